import { kindOf } from '../../footprint/kinds'
import type { HolderForm } from '../form'
import { choices } from './choices'
import { planSocketBlock } from './plan'

/** Drivers, chisels, files, bits and keys, each standing in a bore. */
export const form: HolderForm = {
  id: 'socket-block',
  name: 'Socket block',
  purpose: 'for drivers, chisels, files, bits and keys that stand in a bore',
  choices,
  lacks: (tool) => {
    const envelope = kindOf(tool.kind)?.shank?.(tool, 0)
    if (!envelope) return null
    return 'missing' in envelope ? envelope.missing : []
  },
  attitude: () => 0,
  plan: planSocketBlock,
}
