import type { Strips } from './strips'

/**
 * What holders are fixed to: sheets, the studs themselves, bevelled strips on the studs or on sheets, one framed panel with
 * strips, uprights on ledgers, or a rack of those that stands and leans.
 */
export const HOLDS = ['panel', 'studs', 'strips', 'backed', 'framed', 'uprights', 'rack'] as const
export type Holds = (typeof HOLDS)[number]

/** What is behind the lining. */
export const BEHIND = ['wood', 'metal', 'masonry'] as const
export type Behind = (typeof BEHIND)[number]

/** A panel that is hung as one piece: its lower left corner on the wall, and its size; mm. */
export interface Framed {
  x: number
  z: number
  width: number
  height: number
}

/** Boards on edge that ledgers carry, from one place along the wall to another, mm. */
export interface Rack {
  from: number
  to: number
  low: number
  high: number
  /** from the middle of one to the middle of the next */
  pitch: number
  ledgers: number
  /** of one that stands: how far it leans, degrees from plumb */
  lean: number
}

/** Where strips usually begin and how far apart they are, mm. */
export const usualStrips = (): Strips => ({ first: 700, gap: 150, top: 60 })

/** How wide and high a wall and a panel are, and what is on a wall at least; mm. */
export const LEAST_WALL = 50
export const LONGEST_WALL = 50_000
export const LEAST_SIZE = 1

/** How close studs stand, mm: no more of them than a wall may have; and how close uprights do. */
export const LEAST_STUDS = 50
export const LEAST_PITCH = 20

/** How far a rack leans at most, degrees. */
export const MOST_LEAN = 20

/** How far a corner may be out of plumb, mm. */
export const OUT_OF_PLUMB = 500

/** What stands on a wall and is not covered; a pipe or a cable runs in it and is not drilled into. */
export const THING_KINDS = ['outlet', 'switch', 'window', 'door', 'bench', 'pipe', 'other'] as const
export type ThingKind = (typeof THING_KINDS)[number]

export const SWINGS = ['left', 'right'] as const
export type Swing = (typeof SWINGS)[number]

/** Something on the wall: its lower left corner from the wall's left corner and the floor; mm. */
export interface Thing {
  id: string
  kind: ThingKind
  name: string
  x: number
  z: number
  width: number
  height: number
  /** of a door that opens over the wall: on which side of it the open leaf lies */
  swing?: Swing
}

/** A holder where it hangs: the lower left corner of its boards from the wall's left corner and the floor; mm. */
export interface Hung {
  holder: string
  x: number
  z: number
  /** stays where it is when the wall is arranged anew */
  fixed: boolean
}

/** A wall as its owner measured it. Lengths mm, from the left corner and the floor. */
export interface Wall {
  id: string
  name: string
  width: number
  height: number
  /** what holders are fixed to: a panel anywhere, studs only, or bevelled strips */
  holds: Holds
  /** how the strips go up, where there are any */
  strips: Strips
  /** centres of the studs */
  studs: number[]
  things: Thing[]
  hung: Hung[]
  /** nothing may stick out further from the wall than this, mm; absent: as far as each holder may */
  line?: number
  /** what is behind the lining; absent: wood studs */
  behind?: Behind
  /** the panel of a framed one, and the uprights of one that has them; absent: as usual */
  frame?: Framed
  rack?: Rack
  /**
   * where its corners really are: how far right of a plumb line each is at the floor, in the middle and at the ceiling, the
   * left one from x = 0, the right one from its width; mm
   */
  corners?: { left: Corner; right: Corner }
}

/** At the floor, in the middle, at the ceiling; mm, to the right above nought. */
export type Corner = readonly [low: number, middle: number, high: number]

export const PLUMB: Corner = [0, 0, 0]

/** Centres of studs at an even spacing, of `LEAST_STUDS` at least, else none. @param first centre of the first, mm */
export const evenStuds = (width: number, first: number, spacing: number): number[] =>
  spacing < LEAST_STUDS
    ? []
    : Array.from(
        { length: Math.max(0, Math.floor((width - first) / spacing + 1e-9) + 1) },
        (_, i) => first + i * spacing,
      )

/** A wall of a usual size with studs at a usual spacing. */
export const newWall = (id: string, unit: 'mm' | 'in'): Wall => {
  const [width, height, spacing] = unit === 'mm' ? [3600, 2400, 600] : [3657.6, 2438.4, 406.4]
  return {
    id,
    name: 'Wall',
    width,
    height,
    holds: 'panel',
    strips: usualStrips(),
    studs: evenStuds(width, spacing, spacing),
    things: [],
    hung: [],
  }
}
