/** How sure a measured figure is: read with a caliper, with a rule, or judged by eye. */
export const SURENESS = ['caliper', 'rule', 'eye'] as const
export type Sureness = (typeof SURENESS)[number]

export const USES = ['daily', 'weekly', 'monthly', 'rarely'] as const
export type Use = (typeof USES)[number]

/** One tool as its owner measured it. What `measures` and `options` hold is declared by its kind. */
export interface Tool {
  id: string
  name: string
  /** id of a kind in the registry of kinds */
  kind: string
  /** heap it is laid with, in the owner's words */
  group: string
  /** mm, by field key; a field that is not measured yet is absent */
  measures: Record<string, number>
  /** what is chosen rather than measured, by option key */
  options: Record<string, string>
  /** how sure its figures are, unless `sureOf` says otherwise of one */
  sure: Sureness
  sureOf: Record<string, Sureness>
  /** kg, or null when it has not been on the scale */
  mass: number | null
  use: Use
  note: string
}

/** How sure one figure of a tool is. */
export const surenessOf = (tool: Tool, field: string): Sureness => tool.sureOf[field] ?? tool.sure
