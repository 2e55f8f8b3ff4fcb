import type { Choice } from '../form'
import { backHeightQuestion, fitQuestion, gapQuestion, marginQuestion, rodQuestion, stockQuestion } from '../questions'

export const choices: readonly Choice[] = [
  fitQuestion('How freely a roll turns on the rod.'),
  gapQuestion('rolls'),
  marginQuestion('roll', 'rod'),
  backHeightQuestion('the rolls'),
  rodQuestion('rodStock', 'Rod from', 'rod'),
  stockQuestion('endStock', 'Ends from', 'ends'),
  stockQuestion('backStock', 'Back from', 'back'),
]
