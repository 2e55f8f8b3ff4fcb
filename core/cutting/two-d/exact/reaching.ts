import { firstWhere } from '../../by-halves'
import { leastFirst } from '../plain/least-first'
import { ALONG } from '../plain/lying'
import type { ExactBlocks } from './blocks'

/** Blocks that reach equally far across an axis, the shortest along it first. */
export interface EquallyFar {
  readonly blocks: Int32Array
  /** How long each is, mm. */
  readonly long: Float64Array
}

/** Blocks by how far they reach across an axis; rows along it are left out: their blocks are taken away one after the other. */
export class Reaching {
  private readonly by = new Map<number, EquallyFar>()
  /** The place of each block among those that reach as far. */
  readonly place: Int32Array

  /** @param axis along which they are taken away */
  constructor(blocks: ExactBlocks, axis: number) {
    const [across, along] = axis === ALONG ? [blocks.w, blocks.l] : [blocks.l, blocks.w]
    this.place = new Int32Array(blocks.top)
    const lists = new Map<number, number[]>()
    for (const block of leastFirst(along, blocks.top)) {
      if (blocks.axis[block] === axis) continue
      const list = lists.get(across[block]!)
      this.place[block] = list?.length ?? 0
      if (list) list.push(block)
      else lists.set(across[block]!, [block])
    }
    for (const [far, list] of lists)
      this.by.set(far, { blocks: Int32Array.from(list), long: Float64Array.from(list, (block) => along[block]!) })
  }

  /** @param across mm, to 1e-6 mm */
  across(across: number): EquallyFar | undefined {
    return this.by.get(across)
  }
}

/** How many of them are shorter than so much, mm. */
export const shorterThan = ({ long }: EquallyFar, room: number): number =>
  firstWhere(long.length, (i) => long[i]! >= room)
