import 'reflect-metadata'
import { registerDecorator } from 'class-validator'

/**
 * A property rule of ours: the function says what is wrong, or null. It is given the value and the object it stands in.
 */
export function Checked(check: (value: unknown, owner: object) => string | null): PropertyDecorator {
  return (target, property) => {
    registerDecorator({
      name: 'checked',
      target: target.constructor,
      propertyName: property as string,
      validator: {
        validate: (value, args) => check(value, args!.object) === null,
        defaultMessage: (args) => check(args!.value, args!.object) ?? '',
      },
    })
  }
}

/** Longest name that is kept, in characters. */
export const LONGEST_NAME = 120
export const LONGEST_NOTE = 2000

/** What ids may look like: they stand in addresses and file names. */
export const ID_PATTERN = /^[A-Za-z0-9_-]{1,64}$/

export const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** What is wrong with a name, or null. */
export function nameError(value: unknown): string | null {
  if (typeof value !== 'string') return 'the name must be text.'
  if (value.trim() === '') return 'give it a name.'
  if (value.length > LONGEST_NAME) return `the name has ${value.length} characters; at most ${LONGEST_NAME} are kept.`
  return null
}

/** What is wrong with an id, or null; undefined is taken as 'not given'. */
export const idError = (value: unknown): string | null =>
  typeof value === 'string' && ID_PATTERN.test(value)
    ? null
    : 'an id has 1 to 64 letters, digits, hyphens or underscores.'

/** What is wrong with a text that must be one of a list, or null. */
export const oneOf = (value: unknown, list: readonly (string | number)[], what: string): string | null =>
  list.includes(value as never) ? null : `${what} is one of ${list.join(', ')}.`
