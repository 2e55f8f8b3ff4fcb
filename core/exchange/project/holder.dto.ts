import 'reflect-metadata'
import { Type } from 'class-transformer'
import { ArrayMaxSize, IsArray, ValidateNested } from 'class-validator'
import { allForms, formOf } from '../../forms/all-forms'
import type { Holder, SeatOrder } from '../../model/holder'
import { Checked, idError, isRecord, nameError, oneOf } from './checked'

/** The most places one holder can have. */
export const MOST_SEATS = 500

function choicesError(value: unknown, owner: object): string | null {
  if (!isRecord(value)) return 'choices are written as {"choice": value}.'
  const form = formOf((owner as HolderDto).form)
  if (!form) return null
  for (const [key, chosen] of Object.entries(value)) {
    const choice = form.choices.find((c) => c.key === key)
    if (!choice) return `a ${form.name.toLowerCase()} has no choice called ${key.slice(0, 40)}.`
    if (choice.type === 'option') {
      const error = oneOf(
        chosen,
        choice.values.map((v) => v.value),
        choice.label,
      )
      if (error) return error
    } else if (choice.type === 'stock') {
      if (idError(chosen)) return `${choice.label}: ${idError(chosen)}`
    } else if (typeof chosen !== 'number' || !(chosen >= choice.min && chosen <= choice.max)) {
      return `${choice.label} lies between ${choice.min} and ${choice.max} mm.`
    }
  }
  return null
}

/** A place in a holder as it comes in. */
export class SeatDto implements SeatOrder {
  @Checked(idError) id!: string
  @Checked(idError) tool!: string
  @Checked((v) => oneOf(v, [0, 1, 2, 3], 'turn')) turn: SeatOrder['turn'] = 0
}

/** A holder as it comes in. */
export class HolderDto implements Holder {
  @Checked(idError) id!: string
  @Checked(nameError) name!: string
  @Checked((v) =>
    oneOf(
      v,
      allForms.map((f) => f.id),
      'the form',
    ),
  )
  form!: string

  @IsArray({ message: 'seats are a list.' })
  @ArrayMaxSize(MOST_SEATS, { message: `at most ${MOST_SEATS} tools in one holder.` })
  @Checked((v) => {
    const ids = (Array.isArray(v) ? v : []).map((s) => (s as SeatOrder)?.id)
    return new Set(ids).size === ids.length ? null : 'two seats have the same id.'
  })
  @ValidateNested({ each: true })
  @Type(() => SeatDto)
  seats: SeatDto[] = []

  @Checked(choicesError) choices: Record<string, string | number> = {}
}
