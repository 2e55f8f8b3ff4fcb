import { lostCost } from './arrange-cost'
import { meets, type WallBox, type WallPiece } from './extent'

/** A place that a piece may have, what it takes up there, with the room for a hand above it, and what that costs; mm. */
export interface Stand {
  x: number
  z: number
  cost: number
  all: WallBox
  room: WallBox
}

/** A piece and its places, the cheapest first. */
export interface Places {
  piece: WallPiece
  stands: readonly Stand[]
  /** what it costs for each mm between it and another of its group */
  tie?: number
}

/** What hangs and stays. */
export type Stays = Pick<Stand, 'all' | 'room'> & Pick<WallPiece, 'group'>

/** Whether two pieces are in each other's way, or in the way of a hand. */
export const collide = (a: Pick<Stand, 'all' | 'room'>, b: Pick<Stand, 'all' | 'room'>): boolean =>
  meets(a.room, b.all) || meets(a.all, b.room)

/** What two pieces cost by hanging apart, where they are of one group. @param tie of each mm */
export const tieOf = (a: Pick<Stand, 'all'>, b: Pick<Stand, 'all'>, tie: number): number => tie * between(a.all, b.all)

/** Wall between two boxes, mm. */
const between = (a: WallBox, b: WallBox): number => Math.hypot(Math.max(0, a.x0 - b.x1, b.x0 - a.x1), Math.max(0, a.z0 - b.z1, b.z0 - a.z1)) // prettier-ignore

/** Whether two are of one group. */
export const mates = (a: Pick<WallPiece, 'group'>, b: Pick<WallPiece, 'group'>): boolean => Boolean(a.group) && a.group === b.group // prettier-ignore

/** What a search for the cheapest places came to. */
export interface Found {
  /** a place for each piece, in their order, null for none; null altogether where nothing is cheaper than what was given */
  stands: (Stand | null)[] | null
  cost: number
  /** every combination that could be cheaper was looked at */
  ended: boolean
}

const area = (p: WallPiece): number => (p.all.x1 - p.all.x0) * (p.all.z1 - p.all.z0)

/** It is asked whether time is over once in so many nodes, less one: a power of two. */
const ASK = 511

/**
 * The cheapest places for some pieces beside what hangs already, none in another's way. Piece by piece, the most used
 * first, every place is tried that could still be cheaper: what the pieces to come cost at least is each one's cheapest
 * place that meets nothing so far. One may have no place, at a price; those of one group cost more the further they hang
 * apart.
 * @param given what is to be bettered, @param nodes after so many it is given up
 */
export function bestPlaces(
  places: readonly Places[],
  stay: readonly Stays[],
  { given, nodes, over }: { given: number; nodes: number; over: () => boolean },
): Found {
  const order = places.map((_, i) => i).sort((a, b) => places[b]!.piece.use - places[a]!.piece.use || area(places[b]!.piece) - area(places[a]!.piece)) // prettier-ignore
  const stands = order.map((i) => places[i]!.stands)
  const lost = order.map((i) => lostCost(places[i]!.piece))
  /** what is known of each place against what stays: 0 nothing yet, 1 free, 2 taken */
  const known = stands.map((s) => new Uint8Array(s.length))
  const chosen: (Stand | null)[] = []
  const own = order.map((i) => places[i]!)
  const staying = own.map(({ piece }) => stay.filter((s) => mates(s, piece)))
  const before = own.map(({ piece }, i) => [...own.keys()].filter((j) => j < i && mates(own[j]!.piece, piece)))
  let least = given
  let best: (Stand | null)[] | null = null
  let [left, stopped] = [nodes, false]

  const free = (i: number, k: number): boolean => {
    const s = stands[i]![k]!
    known[i]![k] ||= stay.some((b) => collide(b, s)) ? 2 : 1
    return known[i]![k] === 1 && chosen.every((c) => c === null || !collide(c, s))
  }
  /** What a place costs by how far it is from those of its group that hang already. */
  const ties = (i: number, s: Stand): number => {
    const { tie = 0 } = own[i]!
    let sum = 0
    for (const m of staying[i]!) sum += tieOf(m, s, tie)
    for (const j of before[i]!) if (chosen[j]) sum += tieOf(chosen[j], s, tie)
    return sum
  }
  /** @param from of each piece, its cheapest place that may be free */
  function go(i: number, cost: number, from: readonly number[]): void {
    if (i === stands.length) {
      if (cost < least - 1e-9) [least, best] = [cost, [...chosen]]
      return
    }
    if (--left < 0 || ((left & ASK) === 0 && over())) stopped = true
    if (stopped) return
    const firsts = [...from]
    let rest = 0
    for (let j = i; j < stands.length; j++) {
      while (firsts[j]! < stands[j]!.length && !free(j, firsts[j]!)) firsts[j]!++
      if (j > i) rest += stands[j]![firsts[j]!]?.cost ?? lost[j]!
    }
    const put = (stand: Stand | null, more: number): void => {
      chosen.push(stand)
      go(i + 1, cost + more, firsts)
      chosen.pop()
    }
    for (let k = firsts[i]!; k < stands[i]!.length; k++) {
      const s = stands[i]![k]!
      if (cost + s.cost + rest >= least - 1e-9) return
      if (free(i, k)) {
        const whole = s.cost + ties(i, s)
        if (cost + whole + rest < least - 1e-9) put(s, whole)
      }
      if (stopped) return
    }
    if (cost + lost[i]! + rest < least - 1e-9) put(null, lost[i]!)
  }
  go(0, 0, order.map(() => 0)) // prettier-ignore
  const back: (Stand | null)[] | null =
    best && [...order.keys()].map((i) => (best as (Stand | null)[])[order.indexOf(i)]!)
  return { stands: back, cost: least, ended: !stopped }
}
