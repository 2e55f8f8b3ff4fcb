import type { HolderForm } from '../form'
import { choices } from './choices'
import { planMagnetLedge } from './plan'
import { stickEnvelope } from './sticking'

/** Bits, keys, blades and flat steel on magnets sunk behind a thin cover. */
export const form: HolderForm = {
  id: 'magnet-ledge',
  name: 'Magnet ledge',
  purpose: 'for bits, keys, blades and other small steel',
  choices,
  lacks: (tool) => {
    const envelope = stickEnvelope(tool)
    if (!envelope) return null
    return 'missing' in envelope ? envelope.missing : []
  },
  attitude: () => 0,
  plan: planMagnetLedge,
}
