import type { Shop } from '../shop/shop'
import { at, type WallPiece } from './extent'
import type { Wall } from './wall'

/** Weight of a place by how often a holder is used, from rarely to daily. */
const OFTEN = [0.2, 0.5, 1.5, 5] as const

/** More than any walk, mm. */
const NOWHERE = 1e6

/** What it costs that a holder has no place: more than any walk, and the more the oftener it is used; mm. */
export const lostCost = ({ use }: Pick<WallPiece, 'use'>): number => NOWHERE * (1 + use)

/** Where the work is done: the middle of the bench, else of the wall. */
export const workAt = (wall: Wall): { x: number; bench: boolean } => {
  const bench = wall.things.find((t) => t.kind === 'bench')
  return bench ? { x: bench.x + bench.width / 2, bench: true } : { x: wall.width / 2, bench: false }
}

/** What a place costs: the walk along the wall and how far it is from the best reach, by use; weight wants to hang low. */
export function costAt(
  wall: Wall,
  { settings: s }: Pick<Shop, 'settings'>,
  piece: WallPiece,
  x: number,
  z: number,
): number {
  const box = at(piece.boards, x, z)
  const middle = (box.z0 + box.z1) / 2
  const [low, high] = [s.bestFrom * s.userHeight, s.easyTo * s.userHeight]
  const reach = Math.max(0, low - middle, middle - high)
  const often = OFTEN[Math.min(piece.use, OFTEN.length - 1)]!
  const heavy = (piece.mass ?? 0) > s.highLoad && box.z1 > high ? NOWHERE / 10 : 0
  const beyond = box.z1 > s.reachTo * s.userHeight ? 2000 : 0
  return often * (Math.abs((box.x0 + box.x1) / 2 - workAt(wall).x) + 1.5 * reach) + (piece.mass ?? 0) * Math.max(0, middle - low) * 0.1 + heavy + beyond // prettier-ignore
}
