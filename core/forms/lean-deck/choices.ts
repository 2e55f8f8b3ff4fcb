import type { Choice } from '../form'
import {
  backHeightQuestion,
  fitQuestion,
  gapQuestion,
  marginQuestion,
  pitchQuestion,
  stockQuestion,
} from '../questions'

export const choices: readonly Choice[] = [
  {
    key: 'angle',
    label: 'Deck leans at',
    about: 'From level, its low end out, where the stop is.',
    type: 'option',
    usual: '30',
    values: [
      { value: '15', label: '15°', when: 'for what is tall on a short base; it sticks out most' },
      { value: '20', label: '20°', when: 'nothing tips that stands on a bench' },
      { value: '30', label: '30°', when: 'the handle comes to the hand' },
      { value: '40', label: '40°', when: 'for long bases; sticks out less' },
      { value: '50', label: '50°', when: 'for long, low tools: look at what tips' },
      { value: '60', label: '60°', when: 'nearly upright: under a lip mostly' },
    ],
  },
  {
    key: 'bears',
    label: 'Rests on the stop with',
    about: 'What of the tool bears on it: over the upper edge of that it would tip.',
    type: 'option',
    usual: 'plate',
    values: [
      { value: 'plate', label: 'its plate', when: 'the edge of a thin base plate, however high the stop' },
      { value: 'front', label: 'a straight front', when: 'its own front is straight as high as the stop' },
      { value: 'lip', label: 'its plate, under a lip', when: 'the plate is caught: it can’t tip, but is drawn up the deck to come out' }, // prettier-ignore
    ],
  },
  pitchQuestion('How the places are spaced along the deck.'),
  fitQuestion('How freely blade and guard go into their slot.'),
  gapQuestion('tools'),
  marginQuestion('tool', 'deck'),
  { key: 'lip', label: 'Stop', about: 'How high it stands over the deck; the cheeks stand over it as high at the sides.', type: 'length', setting: 'lipHeight', min: 5, max: 200 }, // prettier-ignore
  { ...backHeightQuestion('the deck'), about: 'Of the board behind the deck; no lower than the cheeks.' } as Choice,
  { key: 'depth', label: 'Deck, up its slope', about: 'Follows from the longest base.', type: 'derived length', min: 20, max: 1000 }, // prettier-ignore
  stockQuestion('shelfStock', 'Deck from', 'deck'),
  stockQuestion('lipStock', 'Stop from', 'stop'),
  stockQuestion('cheekStock', 'Cheeks from', 'cheeks'),
  stockQuestion('backStock', 'Back from', 'back'),
]
