import type { HolderForm } from '../form'
import { choices } from './choices'
import { planLeanDeck } from './plan'
import { lacksFor } from './standing'

/** Power tools on their base plates, on a deck that leans out of the wall to a stop. */
export const form: HolderForm = {
  id: 'lean-deck',
  name: 'Lean deck',
  purpose: 'for saws, routers and sanders that stand on a base plate',
  choices,
  lacks: lacksFor,
  attitude: () => 0,
  plan: planLeanDeck,
}
