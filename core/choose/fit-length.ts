import { withChange } from '../checks/change'
import { formOf } from '../forms/all-forms'
import { greatestLength } from '../forms/choice-value'
import type { PlanInput } from '../forms/form'

/** How a holder meets an offcut of a given length. Lengths mm. */
export interface LengthFit {
  /** seats there are, and how many of them, in this order, fit with the gap as it is */
  seats: number
  fitting: number
  /** the gap that would use the whole length with every seat on it; null when there is only one seat, or none would do */
  gap: number | null
  /** the even pitch with that gap, where the pitch is even */
  pitch: number | null
  /** left over with the gap as it is; negative when it is too short */
  spare: number
}

/**
 * Asks the other way round: given a length, how many fit, or what gap is left. Any form that has a gap and a main board.
 * @param length of the offcut, mm
 * @returns null when the holder can't be drawn at all
 */
export function fitLength(input: PlanInput, length: number): LengthFit | null {
  const form = formOf(input.holder.form)
  const seats = input.holder.seats
  if (!form || seats.length === 0) return null
  const lengthFor = (count: number, gap?: number): number | null => {
    const some: PlanInput = { ...input, holder: { ...input.holder, seats: seats.slice(0, count) } }
    const asked = gap === undefined ? some : withChange(some, { kind: 'choice', key: 'gap', value: gap })
    return form.plan(asked).model?.boards[0]?.length ?? null
  }
  const all = lengthFor(seats.length)
  if (all === null) return null

  let fitting = seats.length
  if (all > length) {
    let low = 0
    while (fitting - low > 1) {
      const middle = (low + fitting) >> 1
      if ((lengthFor(middle) ?? Infinity) <= length) low = middle
      else fitting = middle
    }
    fitting = low
  }
  const gap = seats.length > 1 ? gapFor(input, seats.length, all, length, lengthFor) : null
  const even = gap !== null && input.holder.choices.pitch === 'even'
  const pitch = even ? evenPitch(input, gap) : null
  return { seats: seats.length, fitting, gap, pitch, spare: length - all }
}

/** The board grows by the same length for each mm of gap, so two plans give the gap for any length. */
function gapFor(
  input: PlanInput,
  count: number,
  all: number,
  length: number,
  lengthFor: (count: number, gap: number) => number | null,
): number | null {
  const now = typeof input.holder.choices.gap === 'number' ? input.holder.choices.gap : input.shop.settings.gap
  const wider = lengthFor(count, now + 10)
  if (wider === null || wider <= all) return null
  const gap = now + ((length - all) * 10) / (wider - all)
  return gap >= 0 && gap <= greatestLength(formOf(input.holder.form)!.choices, 'gap') ? gap : null
}

function evenPitch(input: PlanInput, gap: number): number | null {
  const plan = formOf(input.holder.form)!.plan(withChange(input, { kind: 'choice', key: 'gap', value: gap }))
  return plan.trail.has('pitch') ? plan.trail.get('pitch').value : null
}
