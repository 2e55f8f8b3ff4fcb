import { SAME, type CutPlacement } from './instance'

/** One cut from edge to edge of the piece that is on the saw, in the order of cutting; mm from the stock's corner. */
export interface Cut {
  number: number
  /** across the length, or along it */
  direction: 'cross' | 'rip'
  from: { x: number; y: number }
  to: { x: number; y: number }
  /** what the fence or stop is set to: from the edge of the piece on the saw to this side of the cut */
  fence: number
}

interface Region {
  x0: number
  y0: number
  x1: number
  y1: number
}

/**
 * The cuts that part the pieces of one sheet, each from edge to edge. A piece's far edge is cut as a fence sets it: the
 * blade's kerf lies beyond it.
 * @param length, @param width of the sheet, mm
 * @param kerf what the blade takes: a cut is only where there is room for it, mm
 * @returns in order, the sheet's own first
 * @throws RangeError when the pieces can't be parted edge to edge
 */
export function cutsOf(length: number, width: number, placements: readonly CutPlacement[], kerf: number): Cut[] {
  const cuts: Omit<Cut, 'number'>[] = []
  part({ x0: 0, y0: 0, x1: length, y1: width }, placements, cuts, { kerf, regions: [] })
  return cuts.map((cut, i) => ({ number: i + 1, ...cut }))
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
 * @param kerf what the blade takes beside each cut, mm
 * @returns the largest first
 * @throws RangeError when the pieces can't be parted edge to edge
 */
export function leftoversOf(
  length: number,
  width: number,
  placements: readonly CutPlacement[],
  kerf: number,
): Leftover[] {
  const left: Left = { kerf, regions: [] }
  part({ x0: 0, y0: 0, x1: length, y1: width }, placements, [], left)
  return left.regions
    .map(({ x0, y0, x1, y1 }): Leftover => ({ x: x0, y: y0, length: x1 - x0, width: y1 - y0 }))
    .filter((l) => l.length > SAME && l.width > SAME)
    .sort((a, b) => b.length * b.width - a.length * a.width)
}

/** What is left beside the pieces, the kerf off. */
interface Left {
  kerf: number
  regions: Region[]
}

/** From this part of a region on, what is left of it is cut off first and stays in one piece. */
const LARGE_REST = 0.25

/** Cuts the rest off a region where it is large, across or along, whichever leaves more; null where there is none. */
function restFirst(
  region: Region,
  placed: readonly CutPlacement[],
  cuts: Omit<Cut, 'number'>[],
  left: Left,
): Region | null {
  const x = Math.max(...placed.map((p) => p.x + p.length))
  const y = Math.max(...placed.map((p) => p.y + p.width))
  const share = { cross: (region.x1 - x) / (region.x1 - region.x0), rip: (region.y1 - y) / (region.y1 - region.y0) }
  const direction = share.cross > share.rip ? 'cross' : 'rip'
  if (share[direction] < LARGE_REST) return null
  if (direction === 'cross') {
    cuts.push({ direction, from: { x, y: region.y0 }, to: { x, y: region.y1 }, fence: x - region.x0 })
    left.regions.push({ ...region, x0: x + left.kerf })
    return { ...region, x1: x }
  }
  cuts.push({ direction, from: { x: region.x0, y }, to: { x: region.x1, y }, fence: y - region.y0 })
  left.regions.push({ ...region, y0: y + left.kerf })
  return { ...region, y1: y }
}

function part(whole: Region, placed: readonly CutPlacement[], cuts: Omit<Cut, 'number'>[], left: Left): void {
  if (placed.length === 0) return
  const region = restFirst(whole, placed, cuts, left) ?? whole
  for (const cross of [false, true]) {
    const groups = strips(placed, cross, left.kerf)
    const last = Math.max(...placed.map((p) => (cross ? p.x + p.length : p.y + p.width)))
    const far = cross ? region.x1 : region.y1
    const trims = far - last > SAME
    if (groups.length === 1 && !trims) continue
    if (groups.length === 1 && placed.length > 1 && strips(placed, !cross, left.kerf).length > 1) continue
    let from = cross ? region.x0 : region.y0
    groups.forEach((group, i) => {
      const to = Math.max(...group.map((p) => (cross ? p.x + p.length : p.y + p.width)))
      const own: Region = cross ? { ...region, x0: from, x1: to } : { ...region, y0: from, y1: to }
      if (i < groups.length - 1 || trims) {
        const line = cross
          ? { from: { x: to, y: region.y0 }, to: { x: to, y: region.y1 } }
          : { from: { x: region.x0, y: to }, to: { x: region.x1, y: to } }
        cuts.push({ direction: cross ? 'cross' : 'rip', ...line, fence: to - from })
      }
      part(own, group, cuts, left)
      const next = groups[i + 1]
      if (next) from = Math.min(...next.map((p) => (cross ? p.x : p.y)))
    })
    // the blade's kerf lies on the leftover's side of the cut
    const over = last + left.kerf
    if (trims) left.regions.push(cross ? { ...region, x0: over } : { ...region, y0: over })
    return
  }
  if (placed.length > 1) throw new RangeError('these pieces can’t be parted by cuts from edge to edge')
}

/** Pieces in groups that a cut parts, along the length (cross) or across it. */
function strips(placed: readonly CutPlacement[], cross: boolean, kerf: number): CutPlacement[][] {
  const start = (p: CutPlacement): number => (cross ? p.x : p.y)
  const end = (p: CutPlacement): number => (cross ? p.x + p.length : p.y + p.width)
  const groups: CutPlacement[][] = []
  let reach = -Infinity
  for (const p of [...placed].sort((a, b) => start(a) - start(b))) {
    if (start(p) >= reach + kerf - SAME) groups.push([p])
    else groups.at(-1)!.push(p)
    reach = Math.max(reach, end(p))
  }
  return groups
}
