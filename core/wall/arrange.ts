import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import type { Shop } from '../shop/shop'
import { at, meets, type WallBox, type WallPiece } from './extent'
import { costAt, NOWHERE, workAt } from './arrange-cost'
import { carrierOf } from './backing/carried'
import { standsOff } from './backing/stands-off'
import { keepOuts, mayHang, placedOn, roomOf, postsHit } from './may-hang'
import { heightsFor, rowAt, rowsOn } from './strips'
import { hangsBy, postName, postsOf } from './holding'
import type { Hung, Wall } from './wall'

/** Where everything should hang, and why. */
export interface Arrangement {
  hung: Hung[]
  /** holders that have no place, and the reason in the shop's words */
  left: { holder: string; says: string }[]
  /** why each hangs where it does, by the holder's id */
  reasons: Record<string, string>
  /** walking and reaching, weighed by use: less is better; mm */
  cost: number
  /** holders that hung already and are moved */
  moved: number
}

/** Places are tried on a grid of this step, mm. */
const GRID = 50

/** Moving one that hangs already wants to be worth it, mm. */
const MOVE = 150

interface Spot {
  x: number
  z: number
  cost: number
}

/** Places that a piece may have on a wall with nothing else on it, the cheapest first. */
function spotsFor(wall: Wall, shop: Shop, piece: WallPiece, now: Hung | undefined): Spot[] {
  const outs = keepOuts(wall, shop)
  const carries = carrierOf(wall, shop)
  const columns = new Set<number>()
  for (let x = -piece.all.x0; x + piece.all.x1 <= wall.width + 1e-6; x += GRID) columns.add(x)
  // on posts: where screws meet them, besides the grid
  const by = hangsBy(wall)
  if (by === 'posts') for (const post of postsOf(wall)) for (const s of piece.screws) columns.add(post - s)
  const spots: Spot[] = []
  const add = (x: number, z: number, less = 0): void => {
    if (!mayHang(wall, outs, piece, x, z, []) || !carries(piece, x, z)) return
    if (wall.line !== undefined && piece.out + standsOff(wall, shop, z) > wall.line + 1e-6) return
    const one = by === 'posts' && piece.screws.length > 0 && postsHit(wall, piece, x).length < 2 ? 500 : 0
    spots.push({ x, z, cost: costAt(wall, shop, piece, x, z) + one - less })
  }
  const rows = rowsOn(wall, shop)
  if (by === 'strips') {
    for (const x of columns) for (const z of heightsFor(rows, piece, shop)) add(x, z)
    if (now && rowAt(rows, piece, now.z, shop) !== null) add(now.x, now.z, MOVE)
    return inOrder(spots)
  }
  for (const x of columns) for (let z = -piece.all.z0; z + piece.all.z1 <= wall.height + 1e-6; z += GRID) add(x, z)
  if (now) add(now.x, now.z, MOVE)
  return inOrder(spots)
}

const inOrder = (spots: Spot[]): Spot[] => spots.sort((a, b) => a.cost - b.cost || a.x - b.x || a.z - b.z)

/**
 * Looks for places for all holders: none covers anything or meets another, what is used often hangs near where the work is
 * done and between elbow and shoulder, heavy things low. Those that are fixed stay. The same seed and rounds give the same
 * arrangement.
 * @param over ends the search before its rounds are through
 * @returns yields the best so far whenever it has got better; the last is the arrangement
 */
export function* arranging(
  wall: Wall,
  pieces: readonly WallPiece[],
  shop: Shop,
  { seed, rounds, over }: { seed: number; rounds: number; over: () => boolean },
): Generator<Arrangement, Arrangement> {
  const source = xoroshiro128plus(seed | 0)
  const random = (n: number): number => ((source.next() >>> 0) / 4294967296) * n
  const fixed = placedOn(wall, pieces).filter(({ hung }) => hung.fixed)
  const free = pieces.filter((p) => !fixed.some(({ piece }) => piece.holder === p.holder))
  const nowOf = (p: WallPiece): Hung | undefined => wall.hung.find((h) => h.holder === p.holder)
  const spots = new Map(free.map((p) => [p, spotsFor(wall, shop, p, nowOf(p))]))
  const stay: WallBox[] = fixed.map(({ hung, piece }) => at(piece.all, hung.x, hung.z))

  /** The cheapest place that meets nothing; null for none. */
  const placeFor = (piece: WallPiece, chosen: ReadonlyMap<WallPiece, Spot>): Spot | null => {
    const others = [...chosen].map(([p, s]) => ({ all: at(p.all, s.x, s.z), room: at(roomOf(p), s.x, s.z) }))
    return (
      spots.get(piece)!.find((s) => {
        const own = at(piece.all, s.x, s.z)
        const room = at(roomOf(piece), s.x, s.z)
        return !stay.some((b) => meets(room, b)) && !others.some((o) => meets(room, o.all) || meets(o.room, own))
      }) ?? null
    )
  }
  const costOf = (chosen: ReadonlyMap<WallPiece, Spot>): number =>
    [...chosen.values()].reduce((sum, s) => sum + s.cost, 0) + NOWHERE * (free.length - chosen.size)
  const fill = (chosen: Map<WallPiece, Spot>, order: readonly WallPiece[]): Map<WallPiece, Spot> => {
    for (const piece of order) {
      const spot = placeFor(piece, chosen)
      if (spot) chosen.set(piece, spot)
    }
    return chosen
  }
  const area = (p: WallPiece): number => (p.all.x1 - p.all.x0) * (p.all.z1 - p.all.z0)
  const often = [...free].sort((a, b) => b.use - a.use || area(b) - area(a))
  const large = [...free].sort((a, b) => area(b) - area(a))
  let best = fill(new Map(), often)
  const other = fill(new Map(), large)
  if (costOf(other) < costOf(best)) best = other
  yield told(wall, pieces, free, spots, best, costOf(best))
  for (let round = 0; round < rounds && !over() && free.length > 0; round++) {
    // some are taken down and hung again, in another order
    const count = 1 + Math.floor(random(Math.min(4, free.length)))
    const down = new Set(Array.from({ length: count }, () => free[Math.floor(random(free.length))]!))
    for (const p of free) if (!best.has(p)) down.add(p)
    const rest = new Map([...best].filter(([p]) => !down.has(p)))
    const order = [...down].map((p) => ({ p, at: random(1) })).sort((a, b) => a.at - b.at).map(({ p }) => p) // prettier-ignore
    const tried = fill(rest, order)
    if (costOf(tried) >= costOf(best) - 1e-9) continue
    best = tried
    yield told(wall, pieces, free, spots, best, costOf(best))
  }
  return told(wall, pieces, free, spots, best, costOf(best))
}

function told(
  wall: Wall,
  pieces: readonly WallPiece[],
  free: readonly WallPiece[],
  spots: ReadonlyMap<WallPiece, readonly Spot[]>,
  chosen: ReadonlyMap<WallPiece, Spot>,
  cost: number,
): Arrangement {
  const work = workAt(wall)
  const words = ['used rarely', 'used monthly', 'used weekly', 'used daily']
  const reasons: Record<string, string> = {}
  for (const [piece, spot] of chosen) {
    const away = Math.abs(spot.x + (piece.boards.x0 + piece.boards.x1) / 2 - work.x)
    const near =
      away < 700 ? (work.bench ? 'by the bench' : 'in the middle') : away < 1500 ? 'within a step' : 'to the side'
    reasons[piece.holder] = `${near}: ${words[Math.min(piece.use, 3)]}`
  }
  const kept = wall.hung.filter(
    (h) => !free.some((p) => p.holder === h.holder) && pieces.some((p) => p.holder === h.holder),
  )
  const hung = [...kept, ...[...chosen].map(([p, s]): Hung => ({ holder: p.holder, x: s.x, z: s.z, fixed: false }))]
  const moved = wall.hung.filter((h) => hung.some((n) => n.holder === h.holder && (Math.abs(n.x - h.x) > 1 || Math.abs(n.z - h.z) > 1))).length // prettier-ignore
  const left = free
    .filter((p) => !chosen.has(p))
    .map((p) => ({ holder: p.holder, says: whyNot(wall, p, spots.get(p)!.length > 0) }))
  return { hung, left, reasons, cost, moved }
}

/** Why a piece has no place, as far as it can be told. */
function whyNot(wall: Wall, piece: WallPiece, somewhere: boolean): string {
  const [w, h] = [piece.all.x1 - piece.all.x0, piece.all.z1 - piece.all.z0]
  if (w > wall.width) return `${piece.name} is wider than the wall, with its tools.`
  if (h > wall.height) return `${piece.name} is higher than the wall, with its tools.`
  if (hangsBy(wall) === 'strips' && piece.hook === null)
    return `${piece.name} is made to be screwed on, and this wall has strips.`
  if (hangsBy(wall) === 'posts' && postsOf(wall).length === 0)
    return `There is no ${postName(wall)} to screw ${piece.name} to: put a panel up first.`
  if (wall.line !== undefined && !somewhere)
    return `${piece.name} has no place on this wall that is free and within the line that nothing may stick out past.`
  return `${piece.name} finds no free place: too much hangs there already, or is kept free.`
}
