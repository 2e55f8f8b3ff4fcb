import type { HolderForm } from '../form'
import { choices } from './choices'
import { planRollHanger } from './plan'
import { rollEnvelope } from './rolls'

/** Tape, discs and rolls side by side on a rod. */
export const form: HolderForm = {
  id: 'roll-hanger',
  name: 'Roll hanger',
  purpose: 'for tape, discs and rolls side by side on a rod',
  choices,
  lacks: (tool) => {
    const envelope = rollEnvelope(tool)
    if (!envelope) return null
    return 'missing' in envelope ? envelope.missing : []
  },
  attitude: () => 1,
  plan: planRollHanger,
}
