import type { HolderForm } from '../form'
import { choices } from './choices'
import { pinEnvelope } from './hung'
import { planPegRail } from './plan'

/** Things with a loop or a hole on one pin each, and heads astride two. */
export const form: HolderForm = {
  id: 'peg-rail',
  name: 'Peg rail',
  purpose: 'for what hangs by a loop or a hole, or astride two pins',
  choices,
  lacks: (tool) => {
    const envelope = pinEnvelope(tool, 0)
    if (!envelope) return null
    return 'missing' in envelope ? envelope.missing : []
  },
  attitude: () => 0,
  plan: planPegRail,
}
