import type { HolderForm } from '../form'
import { choices } from './choices'
import { discEnvelope } from './chutes'
import { planDispenser } from './plan'

/** Discs and pucks lying on each other in a chute, drawn out one by one from below. */
export const form: HolderForm = {
  id: 'dispenser',
  name: 'Dispenser',
  purpose: 'for pucks, discs and rolls on top of each other, drawn out one by one from below',
  choices,
  lacks: (tool) => {
    const envelope = discEnvelope(tool)
    if (!envelope) return null
    return 'missing' in envelope ? envelope.missing : []
  },
  attitude: () => 0,
  together: () => true,
  plan: planDispenser,
}
