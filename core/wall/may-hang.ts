import type { Shop } from '../shop/shop'
import { at, meets, type WallBox, type WallPiece } from './extent'
import { hangsBy, inPost, postsOf } from './holding'
import type { Hung, Thing, Wall } from './wall'

const grown = (t: Thing, by: number): WallBox => ({ x0: t.x - by, x1: t.x + t.width + by, z0: t.z - by, z1: t.z + t.height + by }) // prettier-ignore

/** What must stay free of holders: things, with room round outlets and switches. */
export const keepOuts = (wall: Wall, { settings }: Pick<Shop, 'settings'>): { thing: Thing; box: WallBox }[] =>
  wall.things.map((thing) => ({ thing, box: grown(thing, thing.kind === 'outlet' || thing.kind === 'switch' ? settings.outletKeep : 0) })) // prettier-ignore

/** What a piece takes up with the room that a hand wants above it. */
export const roomOf = (piece: WallPiece): WallBox => ({ ...piece.all, z1: piece.all.z1 + piece.above })

/** Whether a piece may hang here, with these others: on the wall, covering nothing, meeting no other. */
export function mayHang(
  wall: Wall,
  outs: readonly { box: WallBox }[],
  piece: WallPiece,
  x: number,
  z: number,
  others: readonly WallBox[],
): boolean {
  const own = at(piece.all, x, z)
  if (own.x0 < -1e-6 || own.x1 > wall.width + 1e-6 || own.z0 < -1e-6 || own.z1 > wall.height + 1e-6) return false
  if (outs.some(({ box }) => meets(own, box))) return false
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
export const placedOn = (wall: Wall, pieces: readonly WallPiece[]): Placed[] =>
  wall.hung.flatMap((hung) => {
    const piece = pieces.find((p) => p.holder === hung.holder)
    return piece ? [{ hung, piece }] : []
  })
