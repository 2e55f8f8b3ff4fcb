import type { HolderForm } from './form'
import { cautioned } from './cautioned'
import { fixed } from './fastening/wall-row'
import { hang } from './hanging'
import { hangingChoices } from './hanging-choices'
import { possible } from './possible'
import { forms } from './registry'

/** Every form of holder, in the order of their folders; how a holder hangs, and which
 * screws go where, is planned alike for all of them. */
export const allForms: readonly HolderForm[] = forms.map((form) => ({
  ...form,
  choices: [...form.choices, ...hangingChoices],
  plan: (input) => cautioned(fixed(possible(hang(form.plan(input), input), input), input), input),
}))

const byId = new Map(allForms.map((form) => [form.id, form]))

/** The form with this id, or undefined. */
export const formOf = (id: string): HolderForm | undefined => byId.get(id)
