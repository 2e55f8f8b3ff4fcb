import type { HolderForm } from '../form'
import { standEnvelope } from '../on-handle'
import { choices } from './choices'
import { planPipeSocket } from './plan'

/** Long handles and sticks, each standing in a piece of pipe. */
export const form: HolderForm = {
  id: 'pipe-socket',
  name: 'Pipe socket',
  purpose: 'for long handles and sticks, each in a piece of pipe with a slanted mouth',
  choices,
  lacks: (tool) => {
    const envelope = standEnvelope(tool, 0)
    if (!envelope) return null
    return 'missing' in envelope ? envelope.missing : []
  },
  attitude: () => 0,
  plan: planPipeSocket,
}
