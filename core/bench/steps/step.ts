import { WALL_FORM, type Caution, type HolderModel } from '../../model/model'
import type { Shop } from '../../shop/shop'
import type { SheetCuts } from '../../cutting/sheets-used'

/** What is done at a step, in the order in which one thinks of the work. */
export const STEP_KINDS = ['cut', 'bevel', 'layer', 'mark', 'bore', 'dust', 'flare', 'file', 'saw', 'shape', 'ease', 'fit', 'join', 'wall', 'finish', 'hang', 'prove'] as const // prettier-ignore
export type StepKind = (typeof STEP_KINDS)[number]

/** Something made that must be there before a step; `dry`: and its glue must have set. */
export interface Want {
  feature: string
  dry: boolean
}

/** What a machine is set to, in the shop's words and units. */
export interface Setting {
  label: string
  value: string
}

/** One card of the bench: one machine, one set-up. */
export interface Step {
  /** the same for the same work, so that what is ticked off stays so */
  id: string
  kind: StepKind
  title: string
  /** ids of the parts it works on */
  parts: string[]
  settings: Setting[]
  /** what is done, one sentence a line */
  says: string[]
  cautions: string[]
  /** what must not be done yet */
  notYet: string[]
  /** what is there after it that was not before; each feature of a holder is made by one step */
  makes: string[]
  wants: Want[]
  /** minutes of work, and minutes that its glue sets afterwards */
  minutes: number
  sets: number
  /** how it is shown: boards by themselves, the piece of stock that is cut up by its key, or the parts that stand by then from one side */
  show: { look: 'board' | 'sheet' | 'top' | 'front' | 'side'; boards: string[] } | null
}

/** What steps are made from. */
export interface Bench {
  model: HolderModel
  shop: Shop
  /** how its parts are cut, where that is planned */
  cuts: readonly SheetCuts[]
  /** pieces that are cut already, such as `cut:rail#1` */
  cut?: ReadonlySet<string>
}

/** Whether what is built is what goes up on a wall before any holder. */
export const isWall = (bench: Pick<Bench, 'model'>): boolean => bench.model.form === WALL_FORM

/** What is warned of at a kind of card for the sake of what the holder is for. */
export const cautionsAt = ({ cautions = [] }: Pick<HolderModel, 'cautions'>, at: Caution['at']): string[] =>
  cautions.filter((c) => c.at === at).map((c) => c.says)

/** A step with nothing in it but what every step has. */
export const step = (given: Pick<Step, 'id' | 'kind' | 'title' | 'minutes'> & Partial<Step>): Step => ({
  parts: [],
  settings: [],
  says: [],
  cautions: [],
  notYet: [],
  makes: [],
  wants: [],
  sets: 0,
  show: null,
  ...given,
})

export const wants = (...features: string[]): Want[] => features.map((feature) => ({ feature, dry: false }))
export const wantsDry = (...features: string[]): Want[] => features.map((feature) => ({ feature, dry: true }))
