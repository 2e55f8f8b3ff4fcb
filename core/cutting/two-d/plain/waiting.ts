import TinyQueue from 'tinyqueue'

/** Beginnings that wait to be gone on with, by how many sheets they leave; each set of pieces left waits once. */
export class Waiting<Begun extends { readonly left: readonly number[]; readonly rank: number }> {
  private readonly by = new Map<number, TinyQueue<Begun>>()
  private readonly met = new Set<string>()

  /** Whether some pieces are left for the first time. */
  isNew(left: readonly number[]): boolean {
    const { size } = this.met
    return this.met.add(left.join()).size > size
  }

  /** @param sheets how many it leaves */
  add(sheets: number, begun: Begun): void {
    const queue = this.by.get(sheets) ?? new TinyQueue<Begun>([], (a, b) => a.rank - b.rank)
    this.by.set(sheets, queue)
    queue.push(begun)
  }

  /** Takes the one of the least rank that leaves so many sheets. */
  next(sheets: number): Begun | undefined {
    return this.by.get(sheets)?.pop()
  }

  /** Drops all that wait. */
  forget(): void {
    this.by.clear()
    this.met.clear()
  }
}
