import TinyQueue from 'tinyqueue'
import type { SnugBlock } from './block'

/** Blocks that wait to be built on, and whose turn it is. */
export interface Turns {
  push(block: SnugBlock): void
  pop(): SnugBlock | null
  /** No block that waits, or was dropped, has pieces of less area, mm²; Infinity when there is none. */
  least(): number
  /** Blocks of more area, mm², or that leave more to chance, bits, would never have their turn: they need not be made. */
  readonly most: number
  readonly unlikely: number
}

/** So many times as many as will have their turn may wait. */
const TOO_MANY = 2

/** Those first of which a measure is least that is never less in a block than in what it is joined of. */
class LeastFirst {
  /** Those of which the measure is more would never have their turn. */
  protected limit = Infinity
  /** The least area of those dropped, mm². */
  protected dropped = Infinity
  protected queue: TinyQueue<SnugBlock>

  /**
   * @param turns how many blocks will have their turn
   * @param order of two blocks, as in sorting: by the measure first
   */
  constructor(
    private turns: number,
    private readonly measure: (block: SnugBlock) => number,
    private readonly order: (a: SnugBlock, b: SnugBlock) => number,
  ) {
    this.queue = new TinyQueue([], order)
  }

  push(block: SnugBlock): void {
    if (this.measure(block) > this.limit) {
      this.dropped = Math.min(this.dropped, block.net)
      return
    }
    this.queue.push(block)
    if (this.queue.length > TOO_MANY * this.turns) this.drop()
  }

  pop(): SnugBlock | null {
    this.turns--
    return this.queue.pop() ?? null
  }

  /** Drops those that would never have their turn. */
  private drop(): void {
    const waiting = this.queue.data
    const limit = Float64Array.from(waiting, this.measure).sort()[Math.ceil(this.turns)]!
    const kept = waiting.filter((b) => this.measure(b) <= limit)
    this.dropped = Math.min(this.dropped, leastOf(waiting.filter((b) => this.measure(b) > limit)))
    this.queue = new TinyQueue(kept, this.order)
    this.limit = limit
  }
}

/** The smallest first: then all up to some area have been built. */
export class SmallestFirst extends LeastFirst implements Turns {
  readonly unlikely = Infinity

  constructor(turns: number) {
    super(
      turns,
      (b) => b.net,
      (a, b) => a.net - b.net || a.l * a.w - b.l * b.w,
    )
  }

  get most(): number {
    return this.limit
  }

  /** Those not made are larger than the limit as well. */
  least(): number {
    return this.queue.peek()?.net ?? this.limit
  }
}

/** Those of which the least is left to chance first, of such the smallest. */
export class LikeliestFirst extends LeastFirst implements Turns {
  readonly most = Infinity

  constructor(turns: number) {
    super(
      turns,
      (b) => b.chance,
      (a, b) => a.chance - b.chance || a.net - b.net,
    )
  }

  get unlikely(): number {
    return this.limit
  }

  least(): number {
    return Math.min(this.dropped, leastOf(this.queue.data))
  }
}

const share = ({ l, w, net }: SnugBlock): number => (l * w - net) / (l * w)

/**
 * One in which the smallest piece is the largest, one in which the next is, and so on, of each the least wasteful first: when
 * not all can be built, large pieces are in as many as small ones.
 */
export class EachInTurn implements Turns {
  readonly most = Infinity
  readonly unlikely = Infinity
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
    return Math.min(...this.queues.map((queue) => leastOf(queue.data)))
  }
}

/** The least area of the pieces in some blocks, mm². */
function leastOf(blocks: readonly SnugBlock[]): number {
  let least = Infinity
  for (const { net } of blocks) if (net < least) least = net
  return least
}
