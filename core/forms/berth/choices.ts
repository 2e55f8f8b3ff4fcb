import type { Choice } from '../form'
import { backHeightQuestion, gapQuestion, marginQuestion, pitchQuestion, stockQuestion } from '../questions'
import { tiltQuestion } from '../tilting'

export const choices: readonly Choice[] = [
  pitchQuestion('How the places are spaced along the shelf.'),
  {
    key: 'dividers',
    label: 'Dividers',
    about: 'Between neighbours on the shelf.',
    type: 'option',
    usual: 'with',
    values: [
      { value: 'with', label: 'with', when: 'edges can’t meet' },
      { value: 'without', label: 'none', when: 'an open shelf: anything stands anywhere' },
    ],
  },
  tiltQuestion('How far the front of the shelf is raised, between two cheeks.', {
    '0': 'flat: the simplest to make',
    '5': 'what rolls stays at the back',
    '10': 'a knock on the wall carries things back, not out',
    '15': 'for what is smooth or heavy; it takes more height',
  }),
  gapQuestion('tools'),
  marginQuestion('tool', 'shelf'),
  { key: 'lip', label: 'Lip', about: 'How high it stands over the shelf in front.', type: 'length', setting: 'lipHeight', min: 5, max: 200 }, // prettier-ignore
  { key: 'divider', label: 'Divider', about: 'How high dividers and ends stand over the shelf.', type: 'length', setting: 'dividerHeight', min: 10, max: 300 }, // prettier-ignore
  { ...backHeightQuestion('the shelf'), about: 'Of the board behind the shelf, from its underside up.' } as Choice,
  { key: 'depth', label: 'Depth', about: 'Of the shelf; follows from the longest tool.', type: 'derived length', min: 20, max: 1000 }, // prettier-ignore
  stockQuestion('shelfStock', 'Shelf from', 'shelf'),
  stockQuestion('lipStock', 'Lip from', 'lip'),
  stockQuestion('dividerStock', 'Dividers from', 'dividers'),
  stockQuestion('backStock', 'Back from', 'back'),
]
