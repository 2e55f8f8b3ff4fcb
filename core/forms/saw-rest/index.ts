import type { HolderForm } from '../form'
import { choices } from './choices'
import { planSawRest } from './plan'
import { sawEnvelope } from './saws'

/** Saws by their handles, each plate in a kerf. */
export const form: HolderForm = {
  id: 'saw-rest',
  name: 'Saw rest',
  purpose: 'for handsaws, each plate in a kerf',
  choices,
  lacks: (tool) => {
    const envelope = sawEnvelope(tool)
    if (!envelope) return null
    return 'missing' in envelope ? envelope.missing : []
  },
  attitude: () => 0,
  plan: planSawRest,
}
