import type { HolderForm } from '../form'
import { shelfEnvelope } from '../on-shelf'
import { choices } from './choices'
import { planTray } from './plan'

/** What stands on its bottom and must not be knocked off: bottles, cans, chargers, cases. */
const KINDS: ReadonlySet<string> = new Set(['case', 'anything'])

/** Bottles, cans, chargers and cases in a tray with a front. */
export const form: HolderForm = {
  id: 'tray',
  name: 'Tray',
  purpose: 'for bottles, cans, chargers and cases behind a front, with room for air and cords',
  choices,
  lacks: (tool) => {
    const envelope = KINDS.has(tool.kind) ? shelfEnvelope(tool, 0) : null
    if (!envelope) return null
    return 'missing' in envelope ? envelope.missing : []
  },
  attitude: () => 0,
  plan: planTray,
}
