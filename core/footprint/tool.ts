import type { Outline } from '../geometry/outline'

/** How sure a measured figure is: read with a caliper, with a rule, or judged by eye. */
export const SURENESS = ['caliper', 'rule', 'eye'] as const
export type Sureness = (typeof SURENESS)[number]

export const USES = ['daily', 'weekly', 'monthly', 'rarely'] as const
export type Use = (typeof USES)[number]

/** Whether a tool is in the shop, was not found at the last stocktaking, or is still to come and only has room kept for it. */
export const PRESENCES = ['here', 'missing', 'to come'] as const
export type Presence = (typeof PRESENCES)[number]

/** The diameter of a handle at a height, mm. */
export interface ProfilePoint {
  /** from the end that the kind's card names */
  at: number
  diameter: number
}

/** One tool as its owner measured it. What `measures` and `options` hold is declared by its kind. */
export interface Tool {
  id: string
  name: string
  /** id of a kind in the registry of kinds */
  kind: string
  /** heap it is laid with, in the owner's words */
  group: string
  /** how many like this one there are */
  count: number
  /** mm, by field key; a field that is not measured yet is absent */
  measures: Record<string, number>
  /** what is chosen rather than measured, by option key */
  options: Record<string, string>
  /** how sure its figures are, unless `sureOf` says otherwise of one */
  sure: Sureness
  sureOf: Record<string, Sureness>
  /** difference between the largest and the smallest of several readings, mm, by field key; absent for a single reading */
  spread: Record<string, number>
  /** diameters of the handle at several heights, rising; empty when none were taken */
  profile: ProfilePoint[]
  /** the outline taken from it, mm, or null */
  outline: Outline | null
  /** kg, without its battery where it has one, or null when it has not been on the scale */
  mass: number | null
  /** kg with its battery in, or null */
  massWithBattery: number | null
  use: Use
  /** where it is mostly used, in the owner's words */
  usedAt: string
  presence: Presence
  /** date (ISO 8601) on which it was last seen at a stocktaking, or null */
  seen: string | null
  note: string
}

/** How sure one figure of a tool is. */
export const surenessOf = (tool: Pick<Tool, 'sure' | 'sureOf'>, field: string): Sureness =>
  tool.sureOf[field] ?? tool.sure

/** What a tool was weighed as: bare, or with its battery in. */
export type WeighedAs = 'mass' | 'massWithBattery'

/** The heavier of a tool's two weights, which is what a holder has to carry: bare, or with its battery; null when it was not weighed. */
export function heavier({ mass, massWithBattery }: Pick<Tool, WeighedAs>): { kg: number; as: WeighedAs } | null {
  if (massWithBattery !== null && massWithBattery >= (mass ?? 0)) return { kg: massWithBattery, as: 'massWithBattery' }
  return mass === null ? null : { kg: mass, as: 'mass' }
}

/** What a holder has to carry of a tool, kg; null when it was not weighed. */
export const carriedMass = (tool: Pick<Tool, WeighedAs>): number | null => heavier(tool)?.kg ?? null

/** A tool with nothing measured yet. */
export const plainTool = (id: string, kind: string, name: string): Tool => ({
  id,
  name,
  kind,
  group: '',
  count: 1,
  measures: {},
  options: {},
  sure: 'rule',
  sureOf: {},
  spread: {},
  profile: [],
  outline: null,
  mass: null,
  massWithBattery: null,
  use: 'weekly',
  usedAt: '',
  presence: 'here',
  seen: null,
  note: '',
})
