import type { Choice } from '../form'
import { fitQuestion, gapQuestion, marginQuestion, pitchQuestion, stockQuestion } from '../questions'

export const choices: readonly Choice[] = [
  fitQuestion('How far a clamp still opens beyond the bar.'),
  pitchQuestion('How the clamps are spaced along the bar.'),
  gapQuestion('clamps'),
  marginQuestion('clamp', 'bar'),
  { key: 'barHeight', label: 'Bar height', about: 'How far the jaws reach down over the bar at most.', type: 'length', setting: 'dividerHeight', min: 10, max: 200 }, // prettier-ignore
  { key: 'standOff', label: 'Stand-off', about: 'Room for the rear jaw between the back and the bar; follows from the widest mouth.', type: 'derived length', min: 10, max: 200 }, // prettier-ignore
  stockQuestion('barStock', 'Bar from', 'bar'),
  stockQuestion('endStock', 'Blocks from', 'blocks'),
  stockQuestion('backStock', 'Back from', 'back'),
]
