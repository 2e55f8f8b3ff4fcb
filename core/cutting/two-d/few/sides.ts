import type { Shape } from '../sheets'
import { AGREE } from './blocks'

/** Sides that don't agree, but are about as long: they differ by no more than this, mm. */
const ABOUT = 20

/** Of those that are about as long so many agree; of whole millimetres a fortieth does by chance. */
const MANY = 0.08

/** So many times as often as by chance sides agree where that tells which were one cut. */
const OFTEN = 6

/** Sides in steps of this are told apart, mm. */
const STEP = 0.1

/** Whether pieces have so many sides that agree that most of them were one cut. */
export function sidesAgree(pieces: readonly Shape[]): boolean {
  const { agree, about } = compared(pieces)
  return agree > 0 && agree >= MANY * about
}

/** Whether sides of pieces agree so much more often than they would by chance that it tells of a full sheet whether it is a true one. */
export function sidesTell(pieces: readonly Shape[]): boolean {
  const { agree, about, steps } = compared(pieces)
  // each difference but none stands for two, one side being the longer or the other
  return agree * 2 * steps > OFTEN * about
}

/** How many sides agree, how many don't but are about as long, and by how many different steps those differ. */
function compared(pieces: readonly Shape[]): { agree: number; about: number; steps: number } {
  let [agree, about] = [0, 0]
  const steps = new Set<number>()
  const compare = (one: number, other: number): void => {
    const differ = Math.abs(one - other)
    if (differ <= AGREE) agree++
    else if (differ < ABOUT) {
      about++
      steps.add(Math.round(differ / STEP))
    }
  }
  pieces.forEach((one, i) => {
    for (const other of pieces.slice(0, i)) {
      compare(one.l, other.l)
      compare(one.w, other.w)
      if (!one.turns && !other.turns) continue
      compare(one.l, other.w)
      compare(one.w, other.l)
    }
  })
  return { agree, about, steps: steps.size }
}
