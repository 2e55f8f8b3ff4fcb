import type { Choice } from '../form'
import {
  backHeightQuestion,
  fitQuestion,
  gapQuestion,
  marginQuestion,
  pitchQuestion,
  stockQuestion,
} from '../questions'

const fit = fitQuestion('How freely a plate goes into its kerf.', {
  snug: 'held upright; one pass of most saws',
  sliding: 'in and out with one hand',
  easy: 'for saws grabbed without looking',
})

export const choices: readonly Choice[] = [
  { ...fit, usual: 'snug' } as Choice,
  pitchQuestion('How the kerfs are spaced along the bar.'),
  {
    key: 'guide',
    label: 'Guide bar',
    about: 'A second bar below, its kerfs in line with those above.',
    type: 'option',
    usual: 'with',
    values: [
      { value: 'with', label: 'with one', when: 'plates hang straight and can’t swing against each other' },
      { value: 'without', label: 'none', when: 'less wood; long plates may swing and touch' },
    ],
  },
  gapQuestion('handles'),
  marginQuestion('handle', 'bar'),
  backHeightQuestion('the bars'),
  { key: 'depth', label: 'Depth', about: 'Follows from the deepest plate, unless you have a strip to use.', type: 'derived length', min: 20, max: 1000 }, // prettier-ignore
  stockQuestion('railStock', 'Bars from', 'bar'),
  stockQuestion('backStock', 'Back from', 'back'),
]
