/** Sizes carry no more digits than this, 1e-6 mm, so that such as agree are the same number however they were added up. */
export const exactly = (mm: number): number => Math.round(mm * 1e6) / 1e6

/** Blocks by two sizes that agree exactly: those of one size across an axis lie together, and among them those of one length. */
export class BySize {
  private readonly rows = new Map<number, { readonly all: number[]; readonly ofLength: Map<number, number[]> }>()

  /** @param across mm, @param along mm */
  add(across: number, along: number, block: number): void {
    let row = this.rows.get(across)
    if (!row) this.rows.set(across, (row = { all: [], ofLength: new Map() }))
    row.all.push(block)
    const same = row.ofLength.get(along)
    if (same) same.push(block)
    else row.ofLength.set(along, [block])
  }

  /** Blocks that reach so far across the axis. @param across mm */
  reaching(across: number): readonly number[] {
    return this.rows.get(across)?.all ?? NONE
  }

  /** Those of them that are so long. @param across mm, @param along mm */
  filling(across: number, along: number): readonly number[] {
    return this.rows.get(across)?.ofLength.get(along) ?? NONE
  }
}

const NONE: readonly number[] = []
