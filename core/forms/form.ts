import type { Tool } from '../footprint/tool'
import type { Board, HolderModel, Seat } from '../model/model'
import type { Holder, SeatOrder } from '../model/holder'
import type { CutPieces } from '../model/work'
import type { Shop, Stock } from '../shop/shop'
import type { SettingKey } from '../shop/settings'
import type { Trail } from '../working/trail'

/** A question a form asks its user. The screen, the file format and the checks of what comes in all read this. */
export type Choice = {
  key: string
  label: string
  about: string
  /** asked only where another question has this answer */
  onlyFor?: { key: string; value: string | readonly string[] }
} & (
  | { type: 'option'; usual: string; values: readonly { value: string; label: string; when: string }[] }
  /** a length that follows the shop's setting until it is given here */
  | { type: 'length'; setting: SettingKey; min: number; max: number }
  /** a length that follows from the plan until it is given here */
  | { type: 'derived length'; min: number; max: number }
  /** stock of one of these forms; what is taken until it is chosen: the first of them, unless the form knows better */
  | { type: 'stock'; of: readonly Stock['form'][]; usual?: (allowed: readonly Stock[], input: PlanInput) => Stock }
)

/** What a form plans from. */
export interface PlanInput {
  shop: Shop
  tools: ReadonlyMap<string, Tool>
  holder: Holder
  /** pieces of it that are cut already */
  cut?: CutPieces
}

/** Why there is nothing to draw, or why a tool was left out. */
export interface Refusal {
  id: string
  /** in the shop's words */
  says: string
  /** the tool it is about, if one, and the fields to measure */
  tool?: string
  fields?: string[]
  /** ids of the seats it is about */
  seats?: string[]
}

/** A plan: the model (null when nothing can be drawn), the trail of its figures for the checks to carry on, and what was refused. */
export interface Plan {
  model: Omit<HolderModel, 'working'> | null
  trail: Trail
  refusals: Refusal[]
}

/** A form of holder. One folder under core/forms exports one as `form`. */
export interface HolderForm {
  id: string
  name: string
  /** what it is for, one line */
  purpose: string
  choices: readonly Choice[]
  /** field keys a tool still lacks for this form, or null when it can't take this kind of tool at all */
  lacks: (tool: Tool) => string[] | null
  /** the way a tool is best turned when it is put into a holder of this form */
  attitude: (tool: Tool, shop: Shop) => SeatOrder['turn']
  /** like tools share one seat, as a stack of discs does; absent where each has its own */
  together?: (tool: Tool) => boolean
  plan: (input: PlanInput) => Plan
}

export type PlannedModel = Omit<HolderModel, 'working'>
export type { Board, Seat }
