import type { HolderForm } from '../form'
import { choices } from './choices'
import { lacksForOutline } from './lying'
import { planOutlineBoard } from './plan'

/** Flat things against one board, each on two pins set to its outline. */
export const form: HolderForm = {
  id: 'outline-board',
  name: 'Outline board',
  purpose: 'for flat things with an outline, such as pliers and squares, on pins set to it',
  choices,
  lacks: lacksForOutline,
  attitude: () => 0,
  plan: planOutlineBoard,
}
