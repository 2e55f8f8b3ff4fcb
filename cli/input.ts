import { readFile } from 'node:fs/promises'
import { buffer } from 'node:stream/consumers'

/** Says what is wrong on standard error. @returns the exit code */
export const fail = (message: string): number => {
  process.stderr.write(`${message}\n`)
  return 2
}

/** What stands in a file, or `-` for standard input. @throws when it can't be read */
export const input = (file: string): Promise<Buffer> => (file === '-' ? buffer(process.stdin) : readFile(file))

/** What a file is called in a message. */
export const named = (file: string): string => (file === '-' ? 'standard input' : file)

/** Takes `--name VALUE` out of the arguments. @returns undefined when it is not there, null when its value is missing */
export function option(args: string[], name: string): string | null | undefined {
  const at = args.indexOf(`--${name}`)
  if (at < 0) return undefined
  const [, value] = args.splice(at, 2)
  return value ?? null
}
