import { kindOf } from '../../footprint/kinds'
import type { HolderForm } from '../form'
import { bestAttitude } from './attitude'
import { choices } from './choices'
import { planFingerRail } from './plan'

/** Anything hung by its head from a narrower neck. */
export const form: HolderForm = {
  id: 'finger-rail',
  name: 'Finger rail',
  purpose: 'for anything that hangs by its head from a narrower neck',
  choices,
  lacks: (tool) => {
    const envelope = kindOf(tool.kind)?.neck?.(tool, 0)
    if (!envelope) return null
    return 'missing' in envelope ? envelope.missing : []
  },
  attitude: bestAttitude,
  plan: planFingerRail,
}
