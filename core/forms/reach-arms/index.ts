import { kindOf } from '../../footprint/kinds'
import type { HolderForm } from '../form'
import { choices } from './choices'
import { planReachArms } from './plan'

/** Groups of like clamps, stored out from the wall between two arms. */
export const form: HolderForm = {
  id: 'reach-arms',
  name: 'Reach arms',
  purpose: 'for a group of like clamps, one behind the other, out from the wall',
  choices,
  lacks: (tool) => {
    const envelope = kindOf(tool.kind)?.neck?.(tool, 0)
    if (!envelope) return null
    return 'missing' in envelope ? envelope.missing : []
  },
  // the head lies across the arms by its longer side
  attitude: (tool) => {
    const e = kindOf(tool.kind)?.neck?.(tool, 0)
    if (!e || 'missing' in e) return 0
    return e.left.value + e.right.value >= e.front.value + e.back.value ? 0 : 1
  },
  plan: planReachArms,
}
