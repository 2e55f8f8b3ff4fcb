import { SAME, type CutPlacement } from './instance'
import type { HeldSafely } from '../shop/held-safely'
import { beginning, ending, farOf, isFull, nearOf, type Region } from './region'
import { largeRest, NOT_HELD, restFrom } from './rest-first'
import { first, last, strips, type Direction } from './strips'

/** One cut from edge to edge of the piece that is on the saw, in the order of cutting; mm from the stock's corner. */
export interface Cut {
  number: number
  direction: Direction
  /** the edge of what lies against the fence: the blade runs beyond it */
  from: { x: number; y: number }
  to: { x: number; y: number }
  /** what the fence or stop is set to: from the edge that lies against it to this side of the cut */
  fence: number
  /** the piece is turned, its far edge against the fence: what lay before it is cut off */
  turned: boolean
  /** parts that have their size by it, the one against the fence first */
  gives: readonly string[]
  /** number of the cut that goes on with what is cut off, where others come before it; else null */
  waits: number | null
}

/** What becomes of a piece: a part it is, or the cut that goes on with it. */
type Next = { part: string } | { cut: number } | null

/** Cuts as they are found, and what is left beside the pieces, the kerf off. */
interface Sawn {
  kerf: number
  held: HeldSafely
  cuts: Cut[]
  left: Region[]
}

/**
 * The cuts that part the pieces of one sheet, each from edge to edge. A piece's far edge is cut as a fence sets it: the
 * blade's kerf lies beyond it. Where there is waste before a piece it is turned, so that its good edge lies against the fence.
 * @param length, @param width of the sheet, mm
 * @param kerf what the blade takes: a cut is only where there is room for it, mm
 * @param held how long what is ripped stays, where there is as much, before it is cut to length
 * @returns in order, the sheet's own first
 * @throws RangeError when the pieces can't be parted edge to edge
 */
export function cutsOf(
  length: number,
  width: number,
  placements: readonly CutPlacement[],
  kerf: number,
  held = NOT_HELD,
): Cut[] {
  return sawn(length, width, placements, kerf, held).cuts
}

/** A rectangle that is left of a sheet when its pieces are cut, mm from the stock's corner. */
export interface Leftover {
  x: number
  y: number
  length: number
  width: number
}

/**
 * What is left of a sheet after its cuts, each a rectangle in one piece.
 * @param kerf what the blade takes beside each cut, @param held as in `cutsOf`
 * @returns the largest first
 * @throws RangeError when the pieces can't be parted edge to edge
 */
export function leftoversOf(
  length: number,
  width: number,
  placements: readonly CutPlacement[],
  kerf: number,
  held = NOT_HELD,
): Leftover[] {
  return sawn(length, width, placements, kerf, held)
    .left.map(({ x0, y0, x1, y1 }): Leftover => ({ x: x0, y: y0, length: x1 - x0, width: y1 - y0 }))
    .filter((l) => l.length > SAME && l.width > SAME)
    .sort((a, b) => b.length * b.width - a.length * a.width)
}

function sawn(
  length: number,
  width: number,
  placements: readonly CutPlacement[],
  kerf: number,
  held: HeldSafely,
): Sawn {
  const out: Sawn = { kerf, held, cuts: [], left: [] }
  part({ x0: 0, y0: 0, x1: length, y1: width }, placements, out)
  return out
}

/** Along comes first: what is long is held well. */
const DIRECTIONS: readonly Direction[] = ['rip', 'cross']

/** Whether there is waste before the first of some pieces. */
const isBare = (region: Region, direction: Direction, placed: readonly CutPlacement[]): boolean =>
  first(placed, direction) - nearOf(region, direction) > SAME

function part(region: Region, placed: readonly CutPlacement[], out: Sawn): Next {
  const [one] = placed
  if (!one) return null
  const rest = largeRest(region, placed)
  // pieces in a row that nothing else parts are cut off one by one, and the rest is what stays
  const row = rest && strips(placed, rest, out.kerf)
  if (rest && row!.length > 1 && placed.every((p) => isFull(p, region, rest))) return strip(region, rest, row!, out)
  const at = rest && restFrom(region, rest, placed, out)
  if (at !== null) return cutAt(region, rest!, at, out, (own) => part(own, placed, out), null)
  const shared = DIRECTIONS.find((d) => placed.length > 1 && isBare(region, d, placed) && placed.every((p) => first([p], d) - first(placed, d) < SAME)) // prettier-ignore
  if (shared) return turnedAt(region, shared, placed, out)
  for (const direction of DIRECTIONS) {
    const groups = strips(placed, direction, out.kerf)
    if (groups.length > 1) return strip(region, direction, groups, out)
    const other = direction === 'cross' ? 'rip' : 'cross'
    if (placed.length > 1 && strips(placed, other, out.kerf).length > 1) continue
    if (farOf(region, direction) - last(placed, direction) > SAME) return strip(region, direction, groups, out)
    if (isBare(region, direction, placed)) return turnedAt(region, direction, placed, out)
  }
  if (placed.length > 1) throw new RangeError('these pieces can’t be parted by cuts from edge to edge')
  return { part: one.partId }
}

/** Parts strips that lie one after the other from their near side on, and cuts off what is over behind them. */
function strip(region: Region, direction: Direction, groups: readonly CutPlacement[][], out: Sawn): Next {
  const [group, ...others] = groups as [CutPlacement[], ...CutPlacement[][]]
  const end = last(group, direction)
  if (others.length === 0 && farOf(region, direction) - end <= SAME) return part(region, group, out)
  const beyond = others.length > 0 ? (rest: Region): Next => strip(rest, direction, others, out) : null
  return cutAt(region, direction, end, out, (own) => part(own, group, out), beyond)
}

/** One cut, and what becomes of either side. @param beyond null where what is cut off is left */
function cutAt(
  region: Region,
  direction: Direction,
  at: number,
  out: Sawn,
  own: (near: Region) => Next,
  beyond: ((far: Region) => Next) | null,
): Next {
  const cut = addCut(out, region, direction, at, false)
  const near = own(ending(region, direction, at))
  // the blade's kerf lies on the other side of the cut
  const rest = beginning(region, direction, at + out.kerf)
  if (!beyond) out.left.push(rest)
  const far = beyond?.(rest) ?? null
  cut.gives = [near, far].flatMap((n) => (n && 'part' in n ? [n.part] : []))
  cut.waits = far && 'cut' in far && far.cut > cut.number + 1 ? far.cut : null
  return { cut: cut.number }
}

/** Cuts off what lies before the pieces, the far edge against the fence. */
function turnedAt(region: Region, direction: Direction, placed: readonly CutPlacement[], out: Sawn): Next {
  const at = first(placed, direction)
  const cut = addCut(out, region, direction, at, true)
  out.left.push(ending(region, direction, at - out.kerf))
  const kept = part(beginning(region, direction, at), placed, out)
  cut.gives = kept && 'part' in kept ? [kept.part] : []
  return { cut: cut.number }
}

function addCut(out: Sawn, region: Region, direction: Direction, at: number, turned: boolean): Cut {
  const { x0, y0, x1, y1 } = region
  const line = direction === 'cross' ? { from: { x: at, y: y0 }, to: { x: at, y: y1 } } : { from: { x: x0, y: at }, to: { x: x1, y: at } } // prettier-ignore
  const fence = turned ? farOf(region, direction) - at : at - nearOf(region, direction)
  const cut: Cut = { number: out.cuts.length + 1, direction, ...line, fence, turned, gives: [], waits: null }
  out.cuts.push(cut)
  return cut
}
