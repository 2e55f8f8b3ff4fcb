import type { Choice } from '../form'
import { backHeightQuestion, fitQuestion, gapQuestion, marginQuestion, pitchQuestion, rodQuestion, stockQuestion } from '../questions' // prettier-ignore

export const choices: readonly Choice[] = [
  fitQuestion('How freely a handle goes between the rods.'),
  pitchQuestion('How the places are spaced along the rods.'),
  gapQuestion('heads'),
  marginQuestion('head', 'rod'),
  backHeightQuestion('the rods'),
  rodQuestion('rodStock', 'Rods from', 'rods'),
  stockQuestion('endStock', 'Ends from', 'ends'),
  stockQuestion('backStock', 'Back from', 'back'),
]
