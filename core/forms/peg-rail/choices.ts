import type { Choice } from '../form'
import {
  fitQuestion,
  gapQuestion,
  marginQuestion,
  pinLayersQuestion,
  pitchQuestion,
  rodQuestion,
  stockQuestion,
} from '../questions'

export const choices: readonly Choice[] = [
  fitQuestion('How freely a handle goes between two pins, and a loop over one.'),
  pitchQuestion('How the places are spaced along the rail.'),
  pinLayersQuestion,
  gapQuestion('things'),
  marginQuestion('thing', 'rail'),
  { key: 'height', label: 'Height', about: 'Of the rail; follows from the pins.', type: 'derived length', min: 30, max: 600 }, // prettier-ignore
  rodQuestion('rodStock', 'Pins from', 'pins'),
  stockQuestion('railStock', 'Rail from', 'rail'),
]
