import { kindOf } from '../../footprint/kinds'
import type { Tool } from '../../footprint/tool'
import type { HolderForm } from '../form'
import { choices } from './choices'
import { planTwinRail } from './plan'

/** The way in which the head lies across the rods by its longer side. */
function acrossLongest(tool: Tool): 0 | 1 {
  const e = kindOf(tool.kind)?.neck?.(tool, 0)
  if (!e || 'missing' in e) return 0
  return e.front.value + e.back.value >= e.left.value + e.right.value ? 0 : 1
}

/** Heads that lie across two rods, their handles between them. */
export const form: HolderForm = {
  id: 'twin-rail',
  name: 'Twin rail',
  purpose: 'for heads that lie across two rods',
  choices,
  lacks: (tool) => {
    const envelope = kindOf(tool.kind)?.neck?.(tool, 0)
    if (!envelope) return null
    return 'missing' in envelope ? envelope.missing : []
  },
  attitude: acrossLongest,
  plan: planTwinRail,
}
