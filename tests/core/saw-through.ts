import type { Cut } from '#core/cutting/cuts'
import type { CutPlacement } from '#core/cutting/instance'

/** A piece on the saw, mm from the stock's corner, and the cut it came from, by which of its sides. */
export interface Sawn {
  x: number
  y: number
  length: number
  width: number
  /** 0 for the whole sheet */
  from: number
  side: 'fence' | 'off'
}

const near = (a: number, b: number): boolean => Math.abs(a - b) < 1e-5

/**
 * Saws a sheet by the cuts' settings alone: each from edge to edge of one piece, set from the edge that lies against the fence.
 * @returns the pieces there are at the end, and for each cut the piece that it was made in
 * @throws Error where a cut goes through no piece from edge to edge
 */
export function sawThrough(length: number, width: number, cuts: readonly Cut[], kerf: number) {
  let pieces: Sawn[] = [{ x: 0, y: 0, length, width, from: 0, side: 'fence' }]
  const on: Sawn[] = []
  for (const cut of cuts) {
    const cross = cut.direction === 'cross'
    const piece = pieces.find((p) =>
      cross
        ? near(cut.from.y, p.y) && near(cut.to.y, p.y + p.width) && cut.from.x > p.x && cut.from.x < p.x + p.length
        : near(cut.from.x, p.x) && near(cut.to.x, p.x + p.length) && cut.from.y > p.y && cut.from.y < p.y + p.width,
    )
    if (!piece) throw new Error(`cut ${cut.number} goes through no piece from edge to edge`)
    const long = cross ? piece.length : piece.width
    const kept = cut.turned ? long - cut.fence : 0
    const off = cut.turned ? [0, Math.max(0, kept - kerf)] : [Math.min(long, cut.fence + kerf), long]
    const part = (at: number, to: number, side: Sawn['side']): Sawn => ({ ...piece, ...(cross ? { x: piece.x + at, length: to - at } : { y: piece.y + at, width: to - at }), from: cut.number, side }) // prettier-ignore
    on.push(piece)
    const parts = [part(kept, kept + cut.fence, 'fence'), part(off[0]!, off[1]!, 'off')]
    pieces = [...pieces.filter((p) => p !== piece), ...parts.filter((p) => p.length > 1e-9 && p.width > 1e-9)]
  }
  return { pieces, on }
}

/** Whether a piece lies where a part is to lie, and is as large. */
export const isPart = (piece: Sawn, p: CutPlacement): boolean =>
  near(piece.x, p.x) && near(piece.y, p.y) && near(piece.length, p.length) && near(piece.width, p.width)
