import type { Choice } from '../form'
import { backHeightQuestion, gapQuestion, marginQuestion, pitchQuestion, stockQuestion } from '../questions'

export const choices: readonly Choice[] = [
  pitchQuestion('How the places are spaced along the tray.'),
  {
    key: 'dividers',
    label: 'Dividers',
    about: 'Between neighbours in the tray.',
    type: 'option',
    usual: 'without',
    values: [
      { value: 'without', label: 'none', when: 'anything stands anywhere' },
      { value: 'with', label: 'with', when: 'each keeps its place, and nothing falls over when its neighbour is out' },
    ],
  },
  {
    key: 'ends',
    label: 'Ends',
    about: 'How ends and dividers run from the back to the front.',
    type: 'option',
    usual: 'sloped',
    values: [
      { value: 'sloped', label: 'sloped', when: 'all is seen over a low front, and nothing tips sideways' },
      { value: 'level', label: 'level', when: 'as high as the front: the simplest to make' },
    ],
  },
  {
    key: 'air',
    label: 'Air and cords',
    about: 'Holes before what has vents, and slots for cords.',
    type: 'option',
    usual: 'with',
    values: [
      { value: 'with', label: 'with', when: 'chargers stay cool, and plugged in' },
      { value: 'without', label: 'none', when: 'nothing in it is ever plugged in' },
    ],
  },
  gapQuestion('things'),
  marginQuestion('thing', 'tray'),
  { key: 'lip', label: 'Front', about: 'How high it stands over the floor; follows from what stands in the tray.', type: 'derived length', min: 5, max: 400 }, // prettier-ignore
  { key: 'sides', label: 'Ends at the back', about: 'How high they are there; follows from the tallest thing.', type: 'derived length', min: 10, max: 600, onlyFor: { key: 'ends', value: 'sloped' } }, // prettier-ignore
  { ...backHeightQuestion('the tray'), about: 'Of the board behind the tray, from its underside up.' } as Choice,
  { key: 'depth', label: 'Depth', about: 'Of the tray inside; follows from the deepest thing.', type: 'derived length', min: 20, max: 1000 }, // prettier-ignore
  stockQuestion('shelfStock', 'Floor from', 'floor'),
  stockQuestion('lipStock', 'Front from', 'front'),
  stockQuestion('dividerStock', 'Ends from', 'ends and dividers'),
  stockQuestion('backStock', 'Back from', 'back'),
]
