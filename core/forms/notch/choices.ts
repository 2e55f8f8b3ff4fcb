import { SURE_SETTING, FIT_SETTING } from '../../shop/shop'
import { surenessOf } from '../../footprint/tool'
import type { Choice, PlanInput } from '../form'
import {
  backHeightQuestion,
  fitQuestion,
  gapQuestion,
  marginQuestion,
  pitchQuestion,
  stockQuestion,
} from '../questions'

/** The thinnest room behind what hangs in the notches, as far as it is measured; mm. */
function room({ shop, tools, holder }: PlanInput): number {
  const fit = shop.settings[FIT_SETTING[holder.choices.fit as keyof typeof FIT_SETTING] ?? 'fitSnug']
  const necks = holder.seats.flatMap((s) => {
    const tool = tools.get(s.tool)
    const neck = tool?.measures.backToButton
    return tool && neck !== undefined ? [neck - shop.settings[SURE_SETTING[surenessOf(tool, 'backToButton')]]] : []
  })
  return Math.min(...necks) - fit
}

export const choices: readonly Choice[] = [
  fitQuestion('How freely a shaft goes into its notch, and the plate behind the body.'),
  pitchQuestion('How the notches are spaced along the plate.'),
  gapQuestion('bodies'),
  marginQuestion('body', 'plate'),
  { key: 'lift', label: 'Lift', about: 'How far a thing must be lifted to be out: the wood over its button.', type: 'length', setting: 'lipHeight', min: 5, max: 100 }, // prettier-ignore
  { key: 'below', label: 'Below the notches', about: 'How high the strip is that holds the plate off the back.', type: 'length', setting: 'dividerHeight', min: 20, max: 300 }, // prettier-ignore
  backHeightQuestion('the plate'),
  {
    ...stockQuestion('plateStock', 'Plate from', 'plate with the notches'),
    type: 'stock',
    of: ['board', 'sheet'],
    // the thickest that goes behind every button, else the thinnest there is
    usual: (allowed, input) => {
      const most = room(input)
      const thin = [...allowed].sort((a, b) => a.thickness - b.thickness)
      return thin.filter((s) => s.thickness <= most + 1e-6).at(-1) ?? thin[0]!
    },
  },
  stockQuestion('spacerStock', 'Strip from', 'strip behind the plate'),
  stockQuestion('backStock', 'Back from', 'back'),
]
