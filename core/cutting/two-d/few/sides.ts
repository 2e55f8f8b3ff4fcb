import type { Shape } from '../sheets'
import { AGREE } from './blocks'

/** Sides that don't agree, but are about as long: they differ by no more than this, mm. */
const ABOUT = 20

/** Of those that are about as long so many agree; of whole millimetres a fortieth does by chance. */
const MANY = 0.08

/** Whether pieces have so many sides that agree that most of them were one cut. */
export function sidesAgree(pieces: readonly Shape[]): boolean {
  let [agree, about] = [0, 0]
  const compare = (one: number, other: number): void => {
    const differ = Math.abs(one - other)
    if (differ <= AGREE) agree++
    else if (differ < ABOUT) about++
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
  return agree > 0 && agree >= MANY * about
}
