import { readInstance } from '#core/cutting/read-instance'
import { fail, input, named, option } from './input'
import { bestPlan } from './search'

/**
 * `cut FILE [--seconds S] [--seed N]`: reads what is to be cut from what and prints the best plan found.
 * @returns the exit code: 1 when something has no place
 */
export async function cutCommand(args: string[]): Promise<number> {
  const started = performance.now()
  const rest = [...args]
  const asked = { seconds: option(rest, 'seconds'), seed: option(rest, 'seed') }
  const seconds = asked.seconds === undefined ? 10 : Number(asked.seconds ?? NaN)
  if (!(seconds > 0 && seconds <= 3600)) return fail('--seconds wants a number of seconds above 0 and up to 3600.')
  const seed = asked.seed === undefined ? 1 : Number(asked.seed ?? NaN)
  if (!Number.isInteger(seed)) return fail('--seed wants a whole number.')
  const [file, ...more] = rest
  if (file === undefined) return fail('Which file? cut FILE, or cut - for standard input.')
  if (more.length > 0) return fail(`Not understood: ${more.join(' ')}`)

  let content: string
  try {
    content = (await input(file)).toString('utf8')
  } catch (error) {
    return fail(`Can’t read ${file}: ${(error as Error).message}`)
  }
  const read = readInstance(content)
  if (!read.ok) {
    const problems = read.problems.map((p) => `  ${p.path || 'the file'}: ${p.message}`)
    return fail([`${named(file)} can’t be used:`, ...problems].join('\n'))
  }
  // What starting up took is part of the time, as far as half of it stays for the search
  const end = Math.max(seconds * 1000, started + seconds * 500)
  const plan = await bestPlan(read.instance, seed, end)
  const { placements, unplaced, bought, atLeast, proven, endedByClock } = plan
  const printed = { id: read.instance.id, placements, unplaced, bought, atLeast, proven, endedByClock, seed }
  process.stdout.write(`${JSON.stringify(printed, null, 2)}\n`)
  return unplaced.length > 0 ? 1 : 0
}
