import type { HolderForm } from './form'
import { forms } from './registry'

/** Every form of holder, in the order of their folders. */
export const allForms: readonly HolderForm[] = forms

/** The form with this id, or undefined. */
export const formOf = (id: string): HolderForm | undefined => forms.find((form) => form.id === id)
