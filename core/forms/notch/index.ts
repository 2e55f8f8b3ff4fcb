import type { HolderForm } from '../form'
import { buttonEnvelope } from './button'
import { choices } from './choices'
import { planNotch } from './plan'

/** What hangs by a button on its back, its shaft in a notch. */
export const form: HolderForm = {
  id: 'notch',
  name: 'Notch',
  purpose: 'for what hangs by a button on its back, such as an instrument',
  choices,
  lacks: (tool) => {
    const envelope = buttonEnvelope(tool)
    if (!envelope) return null
    return 'missing' in envelope ? envelope.missing : []
  },
  attitude: () => 0,
  plan: planNotch,
}
