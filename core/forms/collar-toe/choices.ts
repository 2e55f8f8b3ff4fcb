import type { Choice } from '../form'
import { fitQuestion, gapQuestion, marginQuestion, pitchQuestion, stockQuestion } from '../questions'

export const choices: readonly Choice[] = [
  fitQuestion('How freely a handle goes into its collar and its toe.'),
  pitchQuestion('How the tools are spaced along the wall.'),
  {
    key: 'collar',
    label: 'Collar',
    about: 'How the upper board holds a tool.',
    type: 'option',
    usual: 'slot',
    values: [
      { value: 'slot', label: 'slot', when: 'lifted out of the toe, then leaned forward: no room needed above' },
      { value: 'hole', label: 'hole', when: 'drawn out upward: can’t fall forward' },
    ],
  },
  {
    key: 'toe',
    label: 'Toe',
    about: 'What the lower end stands in.',
    type: 'option',
    usual: 'cup',
    values: [
      { value: 'cup', label: 'blind cup', when: 'one board, bored not quite through' },
      { value: 'stop', label: 'hole and stop', when: 'bored through, a board glued under it: no depth to mind' },
    ],
  },
  gapQuestion('tools'),
  marginQuestion('tool', 'boards'),
  { key: 'collarHeight', label: 'Collar over the toe', about: 'From the top of the one to the top of the other; follows from the shortest tool.', type: 'derived length', min: 60, max: 2500 }, // prettier-ignore
  { key: 'cup', label: 'Cup', about: 'How deep a tool stands in the toe.', type: 'length', setting: 'cupDepth', min: 4, max: 60 }, // prettier-ignore
  stockQuestion('collarStock', 'Collar and toe from', 'collar'),
  stockQuestion('backStock', 'Back from', 'back'),
]
