import 'reflect-metadata'
import { plainToInstance, type ClassConstructor } from 'class-transformer'
import { validateSync, type ValidationError } from 'class-validator'

/** One thing wrong with what came in, and where: `tools[2].measures`. */
export interface Problem {
  path: string
  message: string
}

export type Checked<T> = { ok: true; value: T } | { ok: false; problems: Problem[] }

function flat(errors: readonly ValidationError[], before: string): Problem[] {
  return errors.flatMap((error) => {
    const step = /^\d+$/.test(error.property) ? `[${error.property}]` : `${before ? '.' : ''}${error.property}`
    const path = `${before}${step}`
    const own = Object.entries(error.constraints ?? {}).map(([name, message]) => ({
      path,
      message: plain(name, message),
    }))
    return [...own, ...flat(error.children ?? [], path)]
  })
}

/** The library's own messages in plainer words. */
function plain(name: string, message: string): string {
  if (name === 'whitelistValidation') return 'nothing is known by this name.'
  if (name === 'nestedValidation') return 'an object is expected here.'
  if (name === 'unknownValue') return 'an object is expected here.'
  return message
}

/**
 * Checks plain data against a class of ours. Unknown properties are refused, so that a slip of the pen is told.
 * @returns an instance with what was left out filled in, or every problem found
 */
export function checkAgainst<T extends object>(type: ClassConstructor<T>, data: unknown): Checked<T> {
  if (typeof data !== 'object' || data === null || Array.isArray(data)) {
    return { ok: false, problems: [{ path: '', message: 'an object is expected here.' }] }
  }
  const value = plainToInstance(type, data, { exposeDefaultValues: true })
  const errors = validateSync(value, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true })
  return errors.length === 0 ? { ok: true, value } : { ok: false, problems: flat(errors, '') }
}
