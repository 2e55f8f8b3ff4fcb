import { kindOf } from '../../footprint/kinds'
import type { HolderForm } from '../form'
import { bestAttitude } from './attitude'
import { choices } from './choices'
import { planFingerRail } from './plan'
import { inSlot } from './seats'

/** Anything hung by its head from a narrower neck, and blades under their handles. */
export const form: HolderForm = {
  id: 'finger-rail',
  name: 'Finger rail',
  purpose: 'for heads over a narrower neck, and handles over a blade',
  choices,
  lacks: (tool) => {
    const kind = kindOf(tool.kind)
    const envelope = kind && inSlot(kind, tool, 0)
    if (!envelope) return null
    return 'missing' in envelope ? envelope.missing : []
  },
  attitude: bestAttitude,
  plan: planFingerRail,
}
