import type { HolderForm } from '../form'
import { isStack } from '../../footprint/stack'
import { shelfEnvelope } from '../on-shelf'
import { choices } from './choices'
import { planBerth } from './plan'

/** Planes, cases, boxes and discs side by side on a shelf. */
export const form: HolderForm = {
  id: 'berth',
  name: 'Berth',
  purpose: 'for planes, shaves and cases that lie on a shelf',
  choices,
  lacks: (tool) => {
    const envelope = shelfEnvelope(tool, 0)
    if (!envelope) return null
    return 'missing' in envelope ? envelope.missing : []
  },
  // along the wall where it would stick out further than anything should; a disc on its rim, edge out
  attitude: (tool, shop) => {
    if (isStack(tool)) return 1
    const envelope = shelfEnvelope(tool, 0)
    return envelope && !('missing' in envelope) && envelope.out.value > shop.settings.sticksOut / 2 ? 1 : 0
  },
  together: isStack,
  plan: planBerth,
}
