import type { HolderForm } from '../form'
import { choices } from './choices'
import { hangEnvelope } from './hanging'
import { planHook } from './plan'

/** Aprons, cords, ear defenders, discs and C-clamps, each over a hook. */
export const form: HolderForm = {
  id: 'hook',
  name: 'Hook',
  purpose: 'for aprons, cords, discs and C-clamps, each over a hook',
  choices,
  lacks: (tool) => {
    const envelope = hangEnvelope(tool)
    if (!envelope) return null
    return 'missing' in envelope ? envelope.missing : []
  },
  attitude: () => 0,
  plan: planHook,
}
