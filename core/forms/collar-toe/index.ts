import type { HolderForm } from '../form'
import { standEnvelope } from '../on-handle'
import { choices } from './choices'
import { planCollarToe } from './plan'

/** Long turning and carving tools, files and long handles, each through a collar onto a toe. */
export const form: HolderForm = {
  id: 'collar-toe',
  name: 'Collar and toe',
  purpose: 'for long tools that stand on their handle’s end, held by a collar above it',
  choices,
  lacks: (tool) => {
    const envelope = standEnvelope(tool, 0)
    if (!envelope) return null
    return 'missing' in envelope ? envelope.missing : []
  },
  attitude: () => 0,
  plan: planCollarToe,
}
