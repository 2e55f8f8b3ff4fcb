import type { HolderForm } from '../form'
import { choices } from './choices'
import { lacks, planClipBar } from './plan'

/** Spring clamps clipped over a bar. */
export const form: HolderForm = {
  id: 'clip-bar',
  name: 'Clip bar',
  purpose: 'for spring clamps, clipped over a bar',
  choices,
  lacks,
  attitude: () => 0,
  plan: planClipBar,
}
