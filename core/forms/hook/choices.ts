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
  fitQuestion('How freely a thing lies in its hook.'),
  pitchQuestion('How the hooks are spaced along the back.'),
  gapQuestion('things'),
  marginQuestion('thing', 'back'),
  { key: 'nose', label: 'Nose', about: 'How high it stands over the hollow: what a thing must be lifted by.', type: 'length', setting: 'lipHeight', min: 5, max: 100 }, // prettier-ignore
  { key: 'armHeight', label: 'Under the hollow', about: 'The wood there; follows from the hollow until it is given.', type: 'derived length', min: 10, max: 200 }, // prettier-ignore
  backHeightQuestion('the hooks'),
  stockQuestion('hookStock', 'Hooks from', 'hooks'),
  stockQuestion('backStock', 'Back from', 'back'),
]
