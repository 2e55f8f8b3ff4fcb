import type { Shop } from '../shop/shop'
import { at, meets, type WallBox, type WallPiece } from './extent'
import { hangsBy, inPost, postsOf } from './holding'
import type { Hung, Thing, Wall } from './wall'

const grown = (t: Thing, by: number): WallBox => ({ x0: t.x - by, x1: t.x + t.width + by, z0: t.z - by, z1: t.z + t.height + by }) // prettier-ignore

/** A place on the wall that is kept free: of holders, of what an open door would hit, or of screws alone. */
export interface KeepOut {
  thing: Thing
  box: WallBox
  of: 'holders' | 'swing' | 'screws'
}

/** What must stay free: things, with room round outlets and switches; where a door lies open; of screws, pipes and cables. */
export const keepOuts = (wall: Pick<Wall, 'things'>, { settings }: Pick<Shop, 'settings'>): KeepOut[] =>
  wall.things.flatMap((thing): KeepOut[] => {
    const { kind, x, z, width, height, swing } = thing
    if (kind === 'pipe') return [{ thing, box: grown(thing, settings.outletKeep), of: 'screws' }]
    const own: KeepOut = { thing, box: grown(thing, kind === 'outlet' || kind === 'switch' ? settings.outletKeep : 0), of: 'holders' } // prettier-ignore
    if (kind !== 'door' || !swing) return [own]
    const [x0, x1] = swing === 'left' ? [x - width, x] : [x + width, x + 2 * width]
    return [own, { thing, box: { x0, x1, z0: z, z1: z + height }, of: 'swing' }]
  })

/** Whether a place lies in a box. */
export const inBox = (p: { x: number; z: number }, b: WallBox): boolean => p.x > b.x0 && p.x < b.x1 && p.z > b.z0 && p.z < b.z1 // prettier-ignore

/** Whether what hangs here is in a place that is kept free of it. */
const breaks = ({ box, of }: Pick<KeepOut, 'box' | 'of'>, piece: WallPiece, x: number, z: number): boolean =>
  of === 'screws' ? piece.fixings.some((f) => inBox({ x: f.x + x, z: f.z + z }, box)) : meets(at(piece.all, x, z), box)

/** What a piece takes up with the room that a hand wants above it. */
export const roomOf = (piece: WallPiece): WallBox => ({ ...piece.all, z1: piece.all.z1 + piece.above })

/** Whether a piece may hang here, with these others: on the wall, covering nothing, meeting no other. */
export function mayHang(
  wall: Wall,
  outs: readonly Pick<KeepOut, 'box' | 'of'>[],
  piece: WallPiece,
  x: number,
  z: number,
  others: readonly WallBox[],
): boolean {
  const own = at(piece.all, x, z)
  if (own.x0 < -1e-6 || own.x1 > wall.width + 1e-6 || own.z0 < -1e-6 || own.z1 > wall.height + 1e-6) return false
  if (outs.some((out) => breaks(out, piece, x, z))) return false
  const room = at(roomOf(piece), x, z)
  if (others.some((o) => meets(room, o))) return false
  const by = hangsBy(wall)
  if (by === 'strips') return piece.hook !== null
  return by === 'anywhere' || postsHit(wall, piece, x).length > 0 || piece.screws.length === 0
}

/** Studs, or uprights where there are some, that at least one screw of a piece goes into. */
export function postsHit(wall: Wall, piece: WallPiece, x: number): number[] {
  const near = inPost(wall)
  return postsOf(wall).filter((post) => piece.screws.some((s) => Math.abs(s + x - post) <= near))
}

/** Where a holder hangs, with its piece. */
export interface Placed {
  hung: Hung
  piece: WallPiece
}

/** Holders that hang and can be drawn. */
export function placedOn(wall: Wall, pieces: readonly WallPiece[]): Placed[] {
  const byHolder = new Map(pieces.map((p) => [p.holder, p]))
  return wall.hung.flatMap((hung) => {
    const piece = byHolder.get(hung.holder)
    return piece ? [{ hung, piece }] : []
  })
}
