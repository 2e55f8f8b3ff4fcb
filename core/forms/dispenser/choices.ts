import type { Choice } from '../form'
import { backHeightQuestion, fitQuestion, stockQuestion } from '../questions'

export const choices: readonly Choice[] = [
  fitQuestion('How freely the stack slides down, and the lowest out.', {
    snug: 'for thin ones: two don’t come out at once',
    easy: 'for thick and rough ones, and where dust gathers',
  }),
  { key: 'high', label: 'Chutes, height', about: 'From the floor up; follows from the tallest stack. Taller leaves room for more.', type: 'derived length', min: 30, max: 1500 }, // prettier-ignore
  { ...backHeightQuestion('the chutes'), about: 'Of the board behind the chutes, from the floor’s underside up.' } as Choice, // prettier-ignore
  stockQuestion('shelfStock', 'Floor from', 'floor'),
  stockQuestion('lipStock', 'Front from', 'front'),
  stockQuestion('dividerStock', 'Sides from', 'sides and dividers'),
  stockQuestion('backStock', 'Back from', 'back'),
]
