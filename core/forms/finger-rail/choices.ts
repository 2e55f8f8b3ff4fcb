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
  fitQuestion('How freely a neck goes into its slot.'),
  pitchQuestion('How the slots are spaced along the board.'),
  {
    key: 'slots',
    label: 'Slots',
    about: 'How a slot gets its width.',
    type: 'option',
    usual: 'bored',
    values: [
      { value: 'bored', label: 'one bore', when: 'bored and sawn open: a clean round end, as wide as a bit you own' },
      {
        value: 'filed',
        label: 'two, filed',
        when: 'where no bit is near: two overlapping holes, filed straight between them',
      },
      { value: 'jigsawn', label: 'jigsaw', when: 'cut with a jigsaw: any width, no bit needed; a rougher end' },
    ],
  },
  {
    key: 'ends',
    label: 'End heads',
    about: 'Whether the outermost heads may reach past the board’s ends.',
    type: 'option',
    usual: 'inside',
    values: [
      { value: 'inside', label: 'inside', when: 'over the board: nothing sticks out sideways' },
      { value: 'overhang', label: 'overhang', when: 'past its ends: a shorter board, where nothing hangs next to it' },
    ],
  },
  {
    key: 'layers',
    label: 'Layers',
    about: 'Boards glued on each other to a thicker rail.',
    type: 'option',
    usual: '1',
    values: [
      { value: '1', label: '1', when: 'one board, its supports closer together' },
      { value: '2', label: '2', when: 'for heavy heads and long spans' },
    ],
  },
  {
    key: 'support',
    label: 'Carried by',
    about: 'What carries the rail along its length.',
    type: 'option',
    usual: 'back',
    values: [
      { value: 'back', label: 'its back', when: 'along its whole length: nothing sags' },
      { value: '2', label: '2 brackets', when: 'one at either end: the wall behind stays open' },
      { value: '3', label: '3 brackets', when: 'and one in the middle' },
      { value: '4', label: '4 brackets', when: 'for a long, heavy rail' },
    ],
  },
  {
    key: 'back',
    label: 'Back board',
    onlyFor: { key: 'support', value: 'back' },
    about: 'Where the back stands, and so what is behind the heads.',
    type: 'option',
    usual: 'below',
    values: [
      {
        value: 'below',
        label: 'below it',
        when: 'below the rail: heads may reach back over it to the wall, so the rail is less deep',
      },
      {
        value: 'behind',
        label: 'up behind',
        when: 'up behind the heads: keeps them off the wall, so the rail is deeper',
      },
    ],
  },
  gapQuestion('heads'),
  marginQuestion('head', 'board'),
  backHeightQuestion('the rail'),
  {
    key: 'depth',
    label: 'Depth',
    about: 'Follows from the slots and heads, unless you have a strip to use.',
    type: 'derived length',
    min: 20,
    max: 1000,
  },
  stockQuestion('railStock', 'Rail from', 'rail'),
  stockQuestion('backStock', 'Back from', 'back'),
]
