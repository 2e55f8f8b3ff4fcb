import { SAME } from '../../instance'
import { PRIME } from '../known-by'
import type { Packed, PackedCounts } from '../packed-counts'
import type { Problem } from '../sheets'
import type { Oriented, SnugBlock } from './block'

/** A row is made of so many blocks at most, which may be rows themselves. */
const MOST = 4

/** It is no thicker than this part of the sheet. */
const THICKEST = 0.67

/** A block lying one of its two ways: its size along the edge that the row reaches from end to end, and across, mm. */
interface Element extends Oriented {
  readonly wide: number
  readonly thick: number
}

/**
 * Rows of blocks that reach from edge to edge of a sheet. Of such rows sheets are filled: the first cut leaves one on either
 * side. Their length is settled and how thick they are is open, so that there are far more of them than of blocks that fit
 * what happens to be left.
 * @param share what a row may waste, in parts of its area
 * @param keep is told each row
 */
export function spanningRows(
  blocks: readonly SnugBlock[],
  { sheets }: Problem,
  packing: PackedCounts,
  share: number,
  over: () => boolean,
  keep: (row: SnugBlock) => void,
): void {
  for (const { l, w, count } of sheets) {
    if (count === 0) continue
    for (const axis of [0, 1] as const) {
      const [span, depth] = axis === 0 ? [l, w] : [w, l]
      const elements = blocks
        .flatMap((block) => (block.turns ? [false, true] : [false]).map((turned) => lying(block, turned, axis)))
        .filter((e) => e.wide <= span + SAME && e.thick <= THICKEST * depth)
        .sort((a, b) => b.thick - a.thick)
      const rows = new RowsFrom(elements, packing, axis, span, share, keep)
      for (let i = 0; i < elements.length && ((i & 31) !== 0 || !over()); i++) rows.from(i)
    }
  }
}

const lying = (block: SnugBlock, turned: boolean, axis: 0 | 1): Element => {
  const [wide, thick] = (axis === 0) === turned ? [block.w, block.l] : [block.l, block.w]
  return { block, turned, wide, thick }
}

const side = ({ block, turned }: Element): Oriented => ({ block, turned })

/** Rows as thick as their first block, the others being no thicker. */
class RowsFrom {
  /** What goes beside the first block, the narrowest first, and how wide it is. */
  private beside: readonly Element[] = []
  private widths = new Float64Array()
  private thick = 0
  private spare = 0
  private readonly row: Element[] = []
  private readonly narrowest: number

  /** @param elements by falling thickness */
  constructor(
    private readonly elements: readonly Element[],
    private readonly packing: PackedCounts,
    private readonly axis: 0 | 1,
    private readonly span: number,
    private readonly share: number,
    private readonly keep: (row: SnugBlock) => void,
  ) {
    this.narrowest = elements.reduce((least, e) => Math.min(least, e.wide), Infinity)
  }

  from(first: number): void {
    const { elements, packing, span, share } = this
    const one = elements[first]!
    this.thick = one.thick
    this.spare = one.thick * span * share
    const lost = this.lost(one)
    if (lost > this.spare) return
    const room = span - one.wide
    const thinner = this.spare / this.narrowest
    const beside: Element[] = []
    for (let i = first; i < elements.length && this.thick - elements[i]!.thick <= thinner; i++) {
      const other = elements[i]!
      if (other.wide > room + SAME || lost + this.lost(other) > this.spare) continue
      if (packing.both(one.block.holds, other.block.holds)) beside.push(other)
    }
    this.beside = beside.sort((a, b) => a.wide - b.wide)
    this.widths = Float64Array.from(beside, (e) => e.wide)
    this.row.push(one)
    this.goOn(one.block.holds, room, lost, beside.length)
    this.row.pop()
  }

  /** What a block wastes in the row, mm². */
  private lost({ wide, block }: Element): number {
    return this.thick * wide - block.net
  }

  /** Ends the row with one more block, or goes on with one that is no wider than the one before. */
  private goOn(holds: Packed, room: number, lost: number, before: number): void {
    const { beside, widths, row, thick, spare, packing } = this
    const short = (spare - lost) / thick
    let fits = before
    while (fits > 0 && widths[fits - 1]! > room + SAME) fits--
    for (let i = fits - 1; i >= 0 && widths[i]! >= room - short; i--) {
      const last = beside[i]!
      const wasted = lost + this.lost(last) + (room - last.wide) * thick
      if (wasted <= spare && packing.both(holds, last.block.holds)) this.keep(this.joined(last))
    }
    const more = MOST - row.length
    if (more < 2) return
    // each that follows is no wider than this one, and one follows at least
    for (let i = fits - 1; i >= 0 && widths[i]! * more >= room - short; i--) {
      if (widths[i]! + widths[0]! > room + SAME) continue
      const next = beside[i]!
      const wasted = lost + this.lost(next)
      if (wasted > spare || !packing.both(holds, next.block.holds)) continue
      row.push(next)
      this.goOn(packing.sum(holds, next.block.holds), room - next.wide, wasted, i + 1)
      row.pop()
    }
  }

  private joined(last: Element): SnugBlock {
    const { axis, packing } = this
    const [first, ...others] = this.row as [Element, ...Element[]]
    let { wide, thick } = first
    return [...others, last].reduce<Element>((row, next) => {
      const [a, b] = [row.block, next.block]
      wide += next.wide
      thick = Math.max(thick, next.thick)
      const block: SnugBlock = {
        number: -1,
        l: axis === 0 ? wide : thick,
        w: axis === 0 ? thick : wide,
        net: a.net + b.net,
        turns: a.turns && b.turns,
        holds: packing.sum(a.holds, b.holds),
        name: (a.name + b.name) % PRIME,
        largest: Math.max(a.largest, b.largest),
        uneven: a.uneven + b.uneven + Math.abs(row.thick - next.thick),
        joins: a.joins + b.joins + 1,
        chance: a.chance + b.chance,
        made: { axis, parts: [side(row), side(next)], last: b.number },
      }
      return { block, turned: false, wide, thick }
    }, first).block
  }
}
