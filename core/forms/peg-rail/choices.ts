import type { Choice } from '../form'
import { fitQuestion, gapQuestion, marginQuestion, pitchQuestion, rodQuestion, stockQuestion } from '../questions'

export const choices: readonly Choice[] = [
  fitQuestion('How freely a handle goes between two pins, and a loop over one.'),
  pitchQuestion('How the places are spaced along the rail.'),
  {
    key: 'layers',
    label: 'Layers',
    about: 'Boards glued on each other, where one is too thin to hold a pin.',
    type: 'option',
    usual: '1',
    values: [
      { value: '1', label: '1', when: 'one board as it is' },
      { value: '2', label: '2', when: 'a deeper hold for thick pins' },
    ],
  },
  gapQuestion('things'),
  marginQuestion('thing', 'rail'),
  { key: 'height', label: 'Height', about: 'Of the rail; follows from the pins.', type: 'derived length', min: 30, max: 600 }, // prettier-ignore
  rodQuestion('rodStock', 'Pins from', 'pins'),
  stockQuestion('railStock', 'Rail from', 'rail'),
]
