import type { Choice } from '../form'
import { gapQuestion, marginQuestion, pinLayersQuestion, rodQuestion, stockQuestion } from '../questions'

export const choices: readonly Choice[] = [
  {
    key: 'lay',
    label: 'Lies',
    about: 'Which way each thing lies against the board.',
    type: 'option',
    usual: 'steadiest',
    values: [
      { value: 'steadiest', label: 'as it holds best', when: 'what hangs below its pins upright, what would topple on its side' }, // prettier-ignore
      { value: 'upright', label: 'upright', when: 'as its outline was taken: the narrowest' },
      { value: 'along', label: 'along the wall', when: 'its top to the datum: the lowest board' },
    ],
  },
  pinLayersQuestion,
  gapQuestion('things'),
  marginQuestion('thing', 'board'),
  { key: 'height', label: 'Height', about: 'Of the board; follows from what lies on it.', type: 'derived length', min: 30, max: 2000 }, // prettier-ignore
  {
    ...rodQuestion('rodStock', 'Pins from', 'pins'),
    type: 'stock',
    of: ['rod'],
    // flat things are light: the thinnest rod goes nearest to their outline, and deepest into the board
    usual: (allowed) => allowed.reduce((a, b) => (b.thickness < a.thickness ? b : a)),
  },
  stockQuestion('boardStock', 'Board from', 'board'),
]
