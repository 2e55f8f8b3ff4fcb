import type { BitKind } from '../shop/shop'
import type { Rounding } from '../units/grid'

/** What a figure is one of: mm, kg, mm³, N, MPa, GPa, kg/m³, a bare number, degrees, or a whole number of things. */
export type Quantity =
  'length' | 'mass' | 'volume' | 'force' | 'stress' | 'stiffness' | 'density' | 'ratio' | 'angle' | 'count'

/** A rule of the reckoning: what it says and who says so. */
export interface Rule {
  id: string
  says: string
  source: string
}

/** Where a figure comes from: a measurement and a setting can be clicked and changed, a derived one leads further back. */
export type Origin =
  | { kind: 'measurement'; tool: string; field: string }
  /** how far several readings of one measurement lie apart */
  | { kind: 'readings'; tool: string; field: string }
  /** what follows from the whole of a tool: where its weight is centred, how far it reaches down */
  | { kind: 'shape'; tool: string }
  | { kind: 'shop'; key: string }
  | { kind: 'bit'; bit: BitKind; diameter: number }
  | { kind: 'stock'; id: string; key: string }
  /** what a saw’s blade takes */
  | { kind: 'saw'; id: string }
  /** a kind of screw: how long it is, or its gauge */
  | { kind: 'screw'; id: string; key: 'length' | 'gauge' }
  /** a kind of magnet: one of its sizes, or its remanence */
  | { kind: 'magnet'; id: string; key: 'diameter' | 'thickness' | 'remanence' | 'length' | 'width' | 'pull' | 'mass' }
  /** how a wall was measured */
  | { kind: 'wall'; id: string; key: string }
  | { kind: 'choice'; key: string }
  | { kind: 'derived'; rule: Rule }

/** One figure of a plan with its working. */
export interface Figure {
  id: string
  label: string
  value: number
  quantity: Quantity
  origin: Origin
  /**
   * For a derived figure: how it was reckoned, with the ids of other figures in braces, and what is fixed and has a unit
   * in brackets, such as `{neck:s1} + {sure:s1} + [0.5 mm]`. With the figures' values in it, in mm, kg and N, it gives
   * `value`.
   */
  formula: string
  /** ids of the figures named in the formula */
  from: string[]
  /** which way it goes to the shop's grid when printed */
  print: Rounding
  /** said beside the figure, such as which of many decided it */
  note: string
}

/** All figures of a plan, in the order in which they were reckoned. */
export type Working = readonly Figure[]
