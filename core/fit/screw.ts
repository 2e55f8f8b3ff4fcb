import { POUND_FORCE } from '../units/force'

/** Millimetres in an inch. */
const INCH = 25.4

/** Density in kg/m³ of wood of a specific gravity of 1, as the strength formulas take it. */
const GRAVITY_DENSITY = 1120

/** Specific gravity of a material by its density in kg/m³. */
export const gravityOf = (density: number): number => density / GRAVITY_DENSITY

/** Diameter of a wood screw by its gauge number, mm. Source: ANSI B18.6.1. */
export const screwDiameter = (gauge: number): number => INCH * (0.06 + 0.013 * gauge)

/** Diameters of the root by gauge, in. Source: NDS 2018, table L3. */
const ROOTS: readonly (readonly [gauge: number, root: number])[] = [
  [0, 0.04],
  [2, 0.064],
  [4, 0.086],
  [6, 0.113],
  [7, 0.122],
  [8, 0.131],
  [9, 0.142],
  [10, 0.152],
  [12, 0.171],
  [14, 0.196],
  [16, 0.209],
  [18, 0.232],
  [20, 0.255],
  [24, 0.298],
]

/** Diameter of a screw's root, the core between its threads, mm; between two gauges of the table in proportion. */
export function rootDiameter(gauge: number): number {
  const above = Math.max(1, ROOTS.findIndex(([g]) => g >= gauge)) // prettier-ignore
  const [[g0, r0], [g1, r1]] = [ROOTS[above - 1]!, ROOTS[above]!]
  return INCH * (r0 + ((gauge - g0) / (g1 - g0)) * (r1 - r0))
}

/** Part of the root that a pilot hole is bored to, in soft and in hard wood. */
const PILOT = { soft: 0.7, hard: 0.9 } as const

/** From this density on a wood counts as hard when it is drilled, kg/m³. */
const HARD_FROM = 560

/** The pilot hole for a screw, mm. */
export const pilotFor = (gauge: number, density: number): number =>
  rootDiameter(gauge) * (density >= HARD_FROM ? PILOT.hard : PILOT.soft)

/** How much a screw holds against being pulled out of side grain, N to a mm of thread. Source: NDS 12.2, 2850 G² D lb/in. */
export const withdrawal = (gravity: number, diameter: number): number =>
  (2850 * gravity ** 2 * (diameter / INCH) * POUND_FORCE) / INCH

/** The same for all of its thread as a formula. @param density, diameter, bite ids of figures; a diameter in inches as it stands */
export const withdrawalText = (density: string, diameterInches: string, bite: string): string =>
  `2850 × ({${density}} / [${GRAVITY_DENSITY} kg/m³])² × ${diameterInches} × [${POUND_FORCE} N/lb] / [${INCH} mm/in] × {${bite}}`

/** Bending yield strength of a wood screw's steel by its diameter in inches, psi. Source: NDS 2018, table I1. */
const steel = (d: number): number =>
  d <= 0.142 ? 100000 : d <= 0.177 ? 90000 : d <= 0.236 ? 80000 : d <= 0.273 ? 70000 : 60000

/**
 * How much a screw bears across its axis, N, before it is reduced for a short thread: the least of the yield modes of a
 * joint of two members of the same wood, on the root's diameter. Source: NDS 12.3.
 * @param side thickness of the member under the head, mm
 * @param bite how deep it reaches into the other, mm
 */
export function yieldLoad(gauge: number, gravity: number, side: number, bite: number): number {
  const whole = screwDiameter(gauge) / INCH
  const d = rootDiameter(gauge) / INCH
  const [ls, lm] = [side / INCH, bite / INCH]
  const fe = 16600 * gravity ** 1.84
  const fy = steel(whole)
  const kd = whole <= 0.17 ? 2.2 : 10 * whole + 0.5
  const rt = lm / ls
  const bend = (fy * d * d) / (3 * fe)
  const k1 = (Math.sqrt(1 + 2 * (1 + rt + rt * rt) + rt * rt) - (1 + rt)) / 2
  const k2 = -1 + Math.sqrt(4 + (6 * bend) / (lm * lm))
  const k3 = -1 + Math.sqrt(4 + (6 * bend) / (ls * ls))
  const modes = [
    (d * lm * fe) / kd,
    (d * ls * fe) / kd,
    (k1 * d * ls * fe) / kd,
    (k2 * d * lm * fe) / (3 * kd),
    (k3 * d * ls * fe) / (3 * kd),
    ((d * d) / kd) * Math.sqrt((fe * fy) / 3),
  ]
  return Math.min(...modes) * POUND_FORCE
}

/** Part of the yield load that a thread of so many diameters bears: all of it from ten on, none below six. */
export const shortThread = (bite: number, diameter: number): number => {
  const times = bite / diameter
  return times < 6 ? 0 : Math.min(1, times / 10)
}

/** The same where less than six diameters are to be had, as in a panel: in proportion. Source: the rule above, carried on. */
export const thinThread = (bite: number, diameter: number): number => Math.min(1, bite / diameter / 10)

/** A screw in end grain holds nothing against being pulled, and this part across its axis. Source: NDS 12.5. */
export const END_GRAIN_SHEAR = 0.67
