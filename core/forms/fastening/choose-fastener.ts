import { pilotFor, screwDiameter } from '../../fit/screw'
import type { Row } from '../../shop/lists'
import type { Shop } from '../../shop/shop'

/** What a joint asks of a screw or brad, mm. */
export interface Wanted {
  /** thickness of the part under its head, and how much wood there is behind that */
  side: number
  room: number
  /** half of the narrower side of the contact: how far it stands from an edge */
  edge: number
}

/** A screw that bites less than this many of its diameters holds nothing. */
const LEAST_BITE = 2.5

/** A screw that bites this many of its diameters holds as much as it can. */
const WHOLE_BITE = 10

/** The length between which a screw would do, mm. */
export const lengthsFor = ({ side, room }: Wanted, diameter: number, keep: number): [number, number] => [
  side + LEAST_BITE * diameter,
  side + room - keep,
]

/**
 * The screws of a shop that suit a joint, the best first: none whose point would show; one that keeps from the edges
 * before one that doesn't, then what holds most, then the thinner. One on the shopping list only where nothing else does.
 */
export function screwsFor(wanted: Wanted, shop: Pick<Shop, 'screws' | 'settings'>): Row<'screws'>[] {
  const { pointKeep, screwEdge } = shop.settings
  const fits = shop.screws.filter((s) => {
    const [least, most] = lengthsFor(wanted, screwDiameter(s.gauge), pointKeep)
    return s.length >= least && s.length <= most + 1e-9
  })
  const owned = fits.filter((s) => !s.toBuy)
  const score = (s: Row<'screws'>): number => {
    const d = screwDiameter(s.gauge)
    const hold = Math.min(s.length - wanted.side, WHOLE_BITE * d) * d
    return (d * screwEdge <= wanted.edge + 1e-9 ? 1e6 : 0) + hold - s.gauge * 1e-3
  }
  return [...(owned.length > 0 ? owned : fits)].sort((a, b) => score(b) - score(a))
}

/** The brads whose point stays in the wood, the longest first. */
export const bradsFor = ({ side, room }: Wanted, shop: Pick<Shop, 'brads' | 'settings'>): Row<'brads'>[] =>
  shop.brads
    .filter((b) => b.length > side && b.length <= side + room - shop.settings.pointKeep)
    .sort((a, b) => b.length - a.length)

/** How far a bit may be from what a pilot hole should be, as parts of it: a wider one holds less, a narrower one may split. */
const NEAR_PILOT = [0.8, 1.1] as const

/** The pilot hole that is bored for a screw: by the owned bit that is nearest to it, else as it should be; mm. */
export function pilotBit(gauge: number, density: number, shop: Pick<Shop, 'bits'>): number {
  const wanted = pilotFor(gauge, density)
  const near = shop.bits
    .filter((b) => !b.toBuy && (b.kind === 'twist' || b.kind === 'brad-point'))
    .map((b) => b.diameter)
    .filter((d) => d >= wanted * NEAR_PILOT[0] && d <= wanted * NEAR_PILOT[1])
    .sort((a, b) => Math.abs(a - wanted) - Math.abs(b - wanted))
  return near[0] ?? wanted
}
