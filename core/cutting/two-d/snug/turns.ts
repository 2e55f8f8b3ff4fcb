import TinyQueue from 'tinyqueue'
import type { SnugBlock } from './block'

/** Blocks that wait to be built on, and whose turn it is. */
export interface Turns {
  push(block: SnugBlock): void
  pop(): SnugBlock | null
  /** No block that waits, or was dropped, has pieces of less area, mm²; Infinity when there is none. */
  least(): number
  /** Blocks of more than this area would never have their turn, mm²; they need not wait. */
  readonly most: number
}

/** So many times as many as will have their turn may wait. */
const TOO_MANY = 2

const queueOf = (blocks: SnugBlock[]): TinyQueue<SnugBlock> =>
  new TinyQueue(blocks, (a, b) => a.net - b.net || a.l * a.w - b.l * b.w)

/** The smallest first: then all up to some area have been built. */
export class SmallestFirst implements Turns {
  most = Infinity
  private queue = queueOf([])

  /** @param turns how many blocks will have their turn */
  constructor(private turns: number) {}

  push(block: SnugBlock): void {
    if (block.net > this.most) return
    this.queue.push(block)
    if (this.queue.length > TOO_MANY * this.turns) this.drop()
  }

  pop(): SnugBlock | null {
    this.turns--
    return this.queue.pop() ?? null
  }

  least(): number {
    return this.queue.peek()?.net ?? this.most
  }

  /** Drops those that would never have their turn. */
  private drop(): void {
    const waiting = this.queue.data
    this.most = Float64Array.from(waiting, (b) => b.net).sort()[Math.ceil(this.turns)]!
    this.queue = queueOf(waiting.filter((b) => b.net <= this.most))
  }
}

const share = ({ l, w, net }: SnugBlock): number => (l * w - net) / (l * w)

/**
 * One in which the smallest piece is the largest, one in which the next is, and so on, of each the least wasteful first: when
 * not all can be built, large pieces are in as many as small ones.
 */
export class EachInTurn implements Turns {
  readonly most = Infinity
  private readonly queues: readonly TinyQueue<SnugBlock>[]
  private turn = 0

  /** @param ranks how many shapes there are: blocks have their largest below it */
  constructor(ranks: number) {
    this.queues = Array.from({ length: ranks }, () => new TinyQueue<SnugBlock>([], (a, b) => share(a) - share(b)))
  }

  push(block: SnugBlock): void {
    this.queues[block.largest]!.push(block)
  }

  pop(): SnugBlock | null {
    const { queues } = this
    for (let i = 0; i < queues.length; i++) {
      const block = queues[this.turn]!.pop()
      this.turn = (this.turn + 1) % queues.length
      if (block) return block
    }
    return null
  }

  least(): number {
    return leastIn(this.queues)
  }
}

/** Those of which the least is left to chance first, of such the smallest. */
export class LikeliestFirst implements Turns {
  readonly most = Infinity
  private readonly queue = new TinyQueue<SnugBlock>([], (a, b) => a.chance - b.chance || a.net - b.net)

  push(block: SnugBlock): void {
    this.queue.push(block)
  }

  pop(): SnugBlock | null {
    return this.queue.pop() ?? null
  }

  least(): number {
    return leastIn([this.queue])
  }
}

function leastIn(queues: readonly TinyQueue<SnugBlock>[]): number {
  let least = Infinity
  for (const { data } of queues) for (const { net } of data) if (net < least) least = net
  return least
}
