import type { HolderForm } from '../form'
import { choices } from './choices'
import { lyingEnvelope } from './lying'
import { planComb } from './plan'

/** Bar clamps, brooms and other long things lying across posts, in slots that slope down and back. */
export const form: HolderForm = {
  id: 'comb',
  name: 'Comb',
  purpose: 'for clamps and long handles that lie across posts, in slots',
  choices,
  lacks: (tool) => {
    const envelope = lyingEnvelope(tool, 0)
    if (!envelope) return null
    return 'missing' in envelope ? envelope.missing : []
  },
  // the head flat to the wall, where the holder stands out least
  attitude: () => 0,
  plan: planComb,
}
