import { ripsSafely } from '../../shop/held-safely'
import type { Row } from '../../shop/lists'
import type { Shop } from '../../shop/shop'

type Saw = Row<'saws'>
type Machine = Row<'machines'>

/** A cut as a saw has to make it, mm and degrees. */
export interface SawWork {
  /** length of the cut, and how far its fence or stop is set */
  long: number
  fence: number
  thickness: number
  tilt: number
  /** how far the board goes past the blade where that is nearer; nought where left out */
  reach?: number
}

const RIP: readonly Saw['kind'][] = ['table saw', 'track saw', 'circular saw', 'band saw', 'jigsaw', 'handsaw']
const CROSS: readonly Saw['kind'][] = ['mitre saw', 'table saw', 'track saw', 'circular saw', 'handsaw', 'jigsaw', 'band saw'] // prettier-ignore
const SLOT: readonly Saw['kind'][] = ['band saw', 'jigsaw', 'scroll saw', 'handsaw', 'table saw']

/** Round inside a board: only what goes in by a starting hole. */
const INSIDE: readonly Saw['kind'][] = ['jigsaw', 'scroll saw']

const KINDS = { rip: RIP, cross: CROSS, slot: SLOT, inside: INSIDE }
type Direction = keyof typeof KINDS

/** Saws whose frame stands beside the blade: a board goes no further past it than what they rip. */
const FRAMED: ReadonlySet<Saw['kind']> = new Set(['band saw', 'scroll saw'])

const SLACK = 1e-6
const within = (limit: number | null, value: number): boolean => limit === null || value <= limit + SLACK

function can(saw: Saw, work: SawWork, direction: Direction): boolean {
  if (saw.toBuy || !within(saw.greatestDepth, work.thickness) || (saw.tilt ?? 0) < work.tilt - SLACK) return false
  if (direction === 'cross') return within(saw.greatestCrosscut, work.long)
  if (direction === 'rip') return within(saw.greatestRip, work.fence) && ripsSafely(saw, work.long)
  return !FRAMED.has(saw.kind) || within(saw.greatestRip, work.reach ?? 0)
}

/** The saw of a shop for a cut, the usual one for that direction first; null where none can. */
export function sawFor(shop: Pick<Shop, 'saws'>, direction: Direction, work: SawWork): Saw | null {
  for (const kind of KINDS[direction]) {
    const saw = shop.saws.find((s) => s.kind === kind && can(s, work, direction))
    if (saw) return saw
  }
  return null
}

/** What leads a cut at a saw: its fence or stop where it has one, else the line that is marked. */
export function guideOf(saw: Pick<Saw, 'kind'> | null, direction: 'rip' | 'cross'): 'fence' | 'stop' | 'line' {
  const kind = saw?.kind
  if (direction === 'rip') return kind === 'table saw' || kind === 'band saw' ? 'fence' : 'line'
  return kind === 'table saw' || kind === 'mitre saw' ? 'stop' : 'line'
}

/** A hole as a drill has to make it, mm. */
export interface DrillWork {
  diameter: number
  deep: number
  /** from the nearest edge of the board to the hole's centre */
  fromEdge: number
  slant: number
}

/** What a hole is drilled with, and what of it does not reach. */
export interface Drill {
  machine: Machine | null
  /** in the shop's words; empty where all is well */
  says: string
}

/** Drill press before guide before hand drill, each only as far as it reaches. */
export function drillFor(shop: Pick<Shop, 'machines'>, work: DrillWork): Drill {
  const owned = (kind: Machine['kind']): Machine | undefined => shop.machines.find((m) => m.kind === kind && !m.toBuy)
  const press = owned('drill press')
  const reaches = (m: Machine, throat: boolean): boolean =>
    within(m.stroke, work.deep) && (!throat || within(m.throat, work.fromEdge))
  if (press && reaches(press, true)) return { machine: press, says: work.slant === 0 ? '' : 'Tilt its table, or wedge the work, by that angle.' } // prettier-ignore
  const guide = owned('drill guide')
  const short = press ? `${press.name} does not reach so far. ` : ''
  if (guide && reaches(guide, false)) return { machine: guide, says: short.trim() }
  const hand = owned('hand drill')
  if (hand)
    return { machine: hand, says: `${short}By eye: stand a square beside the bit, or a block cut to the angle.` }
  return { machine: press ?? guide ?? null, says: press || guide ? `${short}Bore from both faces, or in two goes.` : 'No drill is listed under the shop: add one, or have the holes bored.' } // prettier-ignore
}

/** Speed for a bit by its diameter (mm), turns a minute: usual tables for wood; what the maker says comes first. */
export const bitSpeed = (diameter: number): number =>
  diameter <= 6 ? 3000 : diameter <= 10 ? 2400 : diameter <= 16 ? 1800 : diameter <= 25 ? 1200 : diameter <= 38 ? 700 : 400 // prettier-ignore
