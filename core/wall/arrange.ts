import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import type { Shop } from '../shop/shop'
import { at, type WallPiece } from './extent'
import { bestPlaces, collide, mates, tieOf, type Places, type Stand, type Stays } from './arrange-best'
import { costAt, lostCost, workAt } from './arrange-cost'
import { carrierOf } from './backing/carried'
import { standsOff } from './backing/stands-off'
import { keepOuts, mayHang, placedOn, roomOf, postsHit } from './may-hang'
import { heightsFor, rowAt, rowsOn } from './strips'
import { hangsBy, postName, postsOf } from './holding'
import { placesTried } from './places-tried'
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
  /** there is none that costs less, on the grid that is tried */
  proven: boolean
}

/** Moving one that hangs already wants to be worth it, mm. */
const MOVE = 150

/**
 * Places that a piece may have on a wall with nothing else on it, the cheapest first.
 * @param now where it hangs, @param grow room kept between it and the next one, mm
 */
export function standsFor(
  wall: Wall,
  shop: Shop,
  piece: WallPiece,
  now?: Hung,
  grow = shop.settings.growRoom,
): Stand[] {
  const outs = keepOuts(wall, shop)
  const carries = carrierOf(wall, shop)
  const columns = new Set<number>(placesTried(-piece.all.x0, wall.width - piece.all.x1, shop))
  // on posts: where screws meet them, besides the grid
  const by = hangsBy(wall)
  if (by === 'posts') for (const post of postsOf(wall)) for (const s of piece.screws) columns.add(post - s)
  const hand = roomOf(piece)
  const room = { ...hand, x0: hand.x0 - grow, x1: hand.x1 + grow }
  const stands: Stand[] = []
  const add = (x: number, z: number, less = 0): void => {
    if (!mayHang(wall, outs, piece, x, z, []) || !carries(piece, x, z)) return
    if (wall.line !== undefined && piece.out + standsOff(wall, shop, z) > wall.line + 1e-6) return
    const one = by === 'posts' && piece.screws.length > 0 && postsHit(wall, piece, x).length < 2 ? 500 : 0
    stands.push({ x, z, cost: costAt(wall, shop, piece, x, z) + one - less, all: at(piece.all, x, z), room: at(room, x, z) }) // prettier-ignore
  }
  const rows = rowsOn(wall, shop)
  if (by === 'strips') {
    for (const x of columns) for (const z of heightsFor(rows, piece, shop)) add(x, z)
    if (now && rowAt(rows, piece, now.z, shop) !== null) add(now.x, now.z, MOVE)
    return inOrder(stands)
  }
  const heights = placesTried(-piece.all.z0, wall.height - piece.all.z1, shop)
  for (const x of columns) for (const z of heights) add(x, z)
  if (now) add(now.x, now.z, MOVE)
  return inOrder(stands)
}

const inOrder = (stands: Stand[]): Stand[] => stands.sort((a, b) => a.cost - b.cost || a.x - b.x || a.z - b.z)

/** So many are taken down and hung anew together, at least and at most; and so many combinations of them are tried. */
const [FEWEST, MOST] = [2, 6]
const TRIED = 1000

/** No more than so many are hung all together, each time with so many times as many combinations tried. */
const TOGETHER = 14
const ALL_TRIED = 4000
const MORE = 4
/** Rounds between two such tries, at first. */
const APART = 24

/**
 * Looks for places for all holders: none covers anything or meets another, what is used often hangs near where the work is
 * done and between elbow and shoulder, heavy things low. Those that are fixed stay. Some are taken down again and again, and
 * hung in the cheapest way that there is for them together; where they are few, all of them. The same seed and rounds give
 * the same arrangement.
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
  const below = (n: number): number => Math.floor(((source.next() >>> 0) / 4294967296) * n)
  const fixed = placedOn(wall, pieces).filter(({ hung }) => hung.fixed)
  const stay = fixed.map(({ hung, piece }): Stays => ({ group: piece.group, all: at(piece.all, hung.x, hung.z), room: at(roomOf(piece), hung.x, hung.z) })) // prettier-ignore
  const nowOf = (p: WallPiece): Hung | undefined => wall.hung.find((h) => h.holder === p.holder)
  const loose = pieces.filter((p) => !fixed.some(({ piece }) => piece.holder === p.holder))
  const placed = (grow: number): Places[] => loose.map((piece) => ({ piece, stands: standsFor(wall, shop, piece, nowOf(piece), grow), tie: tieFor(piece, pieces) })) // prettier-ignore
  const roomy = placed(shop.settings.growRoom)
  // room to grow is given up where not all would hang with it
  const free = filled(byUse(roomy), stay).size < loose.length ? placed(0) : roomy
  const cost = (chosen: Chosen): number => costOf(free, chosen, stay)
  const now = (chosen: Chosen, proven = false): Arrangement => told(wall, pieces, free, chosen, cost(chosen), proven) // prettier-ignore

  const large = [...free].sort((a, b) => area(b.piece) - area(a.piece))
  const [one, other] = [filled(byUse(free), stay), filled(large, stay)]
  let best: Chosen = cost(other) < cost(one) ? other : one
  yield now(best)
  let [wait, tried] = [0, ALL_TRIED]
  for (let round = 0; round < rounds && !over() && free.length > 0; round++) {
    const all = free.length <= TOGETHER && wait-- <= 0
    const down = all ? free : someOf(free, best, below)
    const rest: Chosen = new Map([...best].filter(([p]) => !down.includes(p)))
    const others = [...stay, ...[...rest].map(([p, stand]): Stays => ({ ...stand, group: p.piece.group }))]
    const lost = down.reduce((sum, p) => sum + lostCost(p.piece), 0)
    const given = cost(best) - cost(rest) + lost
    const found = bestPlaces(down, others, { given, nodes: all ? tried : TRIED, over })
    if (all) [wait, tried] = [(APART * tried) / ALL_TRIED, tried * MORE]
    if (found.stands) {
      const next = new Map(best)
      down.forEach((p, i) => {
        const stand = found.stands![i]!
        if (stand) next.set(p, stand)
        else next.delete(p)
      })
      best = next
    }
    if (all && found.ended) return now(best, true)
    if (found.stands) yield now(best)
  }
  return now(best, free.length === 0)
}

/** Where each piece that has a place hangs. */
type Chosen = ReadonlyMap<Places, Stand>

const area = (p: WallPiece): number => (p.all.x1 - p.all.x0) * (p.all.z1 - p.all.z0)

/** What an arrangement costs: each place, each without one, and how far those of one group hang apart. */
function costOf(free: readonly Places[], chosen: Chosen, stay: readonly Stays[]): number {
  const hung = [...chosen].map(([p, stand]) => ({ ...stand, group: p.piece.group, tie: p.tie ?? 0 }))
  const apartBy = hung.reduce((sum, a, i) => sum + [...hung.slice(0, i), ...stay].reduce((all, b) => all + (mates(a, b) ? tieOf(a, b, a.tie) : 0), 0), 0) // prettier-ignore
  return apartBy + free.reduce((sum, p) => sum + (chosen.get(p)?.cost ?? lostCost(p.piece)), 0)
}

/** What those of a group cost for each mm between them, one with all others: so much. */
const TIE = 0.5

/** What it costs for each mm between a piece and another of its group: shared among those. */
const tieFor = (piece: WallPiece, pieces: readonly WallPiece[]): number =>
  TIE / Math.max(1, pieces.filter((p) => p !== piece && mates(p, piece)).length)

const byUse = (free: readonly Places[]): Places[] => [...free].sort((a, b) => b.piece.use - a.piece.use || area(b.piece) - area(a.piece)) // prettier-ignore

/** Each in its turn in the cheapest place that is free. */
function filled(order: readonly Places[], stay: readonly Stays[]): Chosen {
  const chosen = new Map<Places, Stand>()
  for (const p of order) {
    const stand = p.stands.find((s) => !stay.some((b) => collide(b, s)) && ![...chosen.values()].some((b) => collide(b, s))) // prettier-ignore
    if (stand) chosen.set(p, stand)
  }
  return chosen
}

/** Some that are taken down together: neighbours, or any; what has no place is always among them. */
function someOf(free: readonly Places[], chosen: Chosen, below: (n: number) => number): Places[] {
  const count = Math.min(free.length, FEWEST + below(MOST - FEWEST + 1))
  const first = free[below(free.length)]!
  const lost = free.filter((p) => !chosen.has(p))
  const middle = chosen.get(first)
  const near = middle && below(2) === 0 ? [...free].sort((a, b) => apart(chosen.get(a), middle) - apart(chosen.get(b), middle)) : [] // prettier-ignore
  const down = new Set([first, ...near.slice(0, count)])
  while (down.size < count) down.add(free[below(free.length)]!)
  return [...down, ...lost.filter((p) => !down.has(p)).slice(0, MOST)]
}

/** How far two stand apart; what has no place is far away. */
const apart = (a: Stand | undefined, b: Stand): number => (a ? Math.hypot(a.x - b.x, a.z - b.z) : Infinity)

/** Those of one group hang together where no more wall is between them, mm. */
const BESIDE = 250

function told(
  wall: Wall,
  pieces: readonly WallPiece[],
  free: readonly Places[],
  chosen: Chosen,
  cost: number,
  proven: boolean,
): Arrangement {
  const work = workAt(wall)
  const words = ['used rarely', 'used monthly', 'used weekly', 'used daily']
  const reasons: Record<string, string> = {}
  for (const [{ piece }, spot] of chosen) {
    const away = Math.abs(spot.x + (piece.boards.x0 + piece.boards.x1) / 2 - work.x)
    const near =
      away < 700 ? (work.bench ? 'by the bench' : 'in the middle') : away < 1500 ? 'within a step' : 'to the side'
    const beside = [...chosen].some(([{ piece: p }, s]) => p !== piece && mates(p, piece) && tieOf(s, spot, 1) <= BESIDE) // prettier-ignore
    reasons[piece.holder] = `${near}: ${words[Math.min(piece.use, 3)]}${beside ? `; with ${piece.group}` : ''}`
  }
  const kept = wall.hung.filter(
    (h) => !free.some(({ piece }) => piece.holder === h.holder) && pieces.some((p) => p.holder === h.holder),
  )
  const hung = [
    ...kept,
    ...[...chosen].map(([{ piece }, s]): Hung => ({ holder: piece.holder, x: s.x, z: s.z, fixed: false })),
  ]
  const moved = wall.hung.filter((h) => hung.some((n) => n.holder === h.holder && (Math.abs(n.x - h.x) > 1 || Math.abs(n.z - h.z) > 1))).length // prettier-ignore
  const left = free.filter((p) => !chosen.has(p)).map(({ piece, stands }) => ({ holder: piece.holder, says: whyNot(wall, piece, stands.length > 0) })) // prettier-ignore
  return { hung, left, reasons, cost, moved, proven }
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
