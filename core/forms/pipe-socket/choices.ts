import type { Stock } from '../../shop/shop'
import { FIT_SETTING } from '../../shop/shop'
import type { Choice, PlanInput } from '../form'
import { standEnvelope } from '../on-handle'
import { fitQuestion, gapQuestion, marginQuestion, pitchQuestion, stockQuestion } from '../questions'

/** The bore of a pipe, mm; null where its wall is not known. */
export const boreOfPipe = ({ thickness, wall }: Stock): number | null =>
  wall !== null && thickness > 2 * wall ? thickness - 2 * wall : null

/** The narrowest pipe that every handle goes into as it is measured, else the widest. */
function fitting(allowed: readonly Stock[], { shop, tools, holder }: PlanInput): Stock {
  const fit = FIT_SETTING[holder.choices.fit as keyof typeof FIT_SETTING] ?? 'fitSliding'
  const handles = holder.seats.flatMap(({ tool, turn }) => {
    const found = tools.get(tool)
    const envelope = found && standEnvelope(found, turn)
    return envelope && !('missing' in envelope) ? [envelope.handle.value] : []
  })
  const needed = Math.max(0, ...handles) + shop.settings.sureRule + shop.settings[fit]
  const byBore = [...allowed].sort((a, b) => (boreOfPipe(a) ?? 0) - (boreOfPipe(b) ?? 0))
  return byBore.find((s) => (boreOfPipe(s) ?? 0) >= needed) ?? byBore.at(-1)!
}

export const choices: readonly Choice[] = [
  fitQuestion('How freely a handle stands in its pipe, at least.', { easy: 'dropped in without looking' }),
  pitchQuestion('How the pipes are spaced along the boards.'),
  {
    key: 'mouth',
    label: 'Mouth',
    about: 'How far the upper end is cut from square, low in front.',
    type: 'option',
    usual: '45',
    values: [
      { value: '0', label: 'square', when: 'the simplest to cut' },
      { value: '30', label: '30°', when: 'a handle finds its way in' },
      { value: '45', label: '45°', when: 'a handle is swung in from the front; two come out of one piece by one cut' },
    ],
  },
  gapQuestion('heads or pipes'),
  marginQuestion('head or pipe', 'boards'),
  { key: 'pipeLength', label: 'Pipe, long side', about: 'From the stop up to the back of the mouth; follows from the longest tool.', type: 'derived length', min: 80, max: 1500 }, // prettier-ignore
  { key: 'lip', label: 'Over the collar', about: 'How far the front of a mouth stands over the collar.', type: 'length', setting: 'lipHeight', min: 5, max: 200 }, // prettier-ignore
  { key: 'pipeStock', label: 'Pipe', about: 'The pipe the sockets are cut from.', type: 'stock', of: ['pipe'], usual: fitting }, // prettier-ignore
  stockQuestion('collarStock', 'Boards from', 'collar, toe and stop'),
  stockQuestion('backStock', 'Back from', 'back'),
]
