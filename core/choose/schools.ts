import { withChange } from '../checks/change'
import { formOf } from '../forms/all-forms'
import type { PlanInput } from '../forms/form'

/** What one answer to a form's question leads to: the main board's length and width in mm, null when it can't be drawn. */
export interface Consequence {
  value: string
  board: { length: number; width: number } | null
}

/** Plans the holder once for each answer to a question of its form. */
export function consequences(input: PlanInput, key: string): Consequence[] {
  const form = formOf(input.holder.form)
  const choice = form?.choices.find((c) => c.key === key)
  if (!form || choice?.type !== 'option') return []
  return choice.values.map(({ value }) => {
    const board = form.plan(withChange(input, { kind: 'choice', key, value })).model?.boards[0]
    return { value, board: board ? { length: board.length, width: board.width } : null }
  })
}
