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
  fitQuestion('How freely a bar goes between the arms.'),
  pitchQuestion('How the places are spaced out from the wall.'),
  gapQuestion('heads'),
  marginQuestion('head', 'arm'),
  {
    key: 'armHeight',
    label: 'Height of the arms',
    about: 'Where they leave the back: a quarter of their length until it is given.',
    type: 'derived length',
    min: 30,
    max: 400,
  },
  backHeightQuestion('the arms'),
  stockQuestion('armStock', 'Arms from', 'arms'),
  stockQuestion('backStock', 'Back from', 'back'),
]
