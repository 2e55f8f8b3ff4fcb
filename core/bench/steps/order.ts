import { STEP_KINDS, type Step } from './step'

/** A step in its turn. Minutes from the beginning; `idle`: nothing else can be done before it. */
export interface TimedStep extends Step {
  begins: number
  ends: number
  idle: number
}

/** The whole order, with the minutes of work and those from the first step to the last's end. */
export interface Order {
  steps: TimedStep[]
  handsOn: number
  elapsed: number
}

const rank = (s: Step): number => STEP_KINDS.indexOf(s.kind)

/**
 * Puts steps into the order of the work: none before what it wants has been made and, where it says so, has set. Among
 * those that can be done the earlier kind comes first, so that glue sets while other work is done.
 * @param pace the shop's own: minutes are multiplied by it
 * @throws RangeError when a step wants what no step makes, or steps wait for each other
 */
export function inOrder(steps: readonly Step[], pace = 1): Order {
  const maker = new Map(steps.flatMap((s) => s.makes.map((feature) => [feature, s] as const)))
  const ended = new Map<Step, number>()
  const left = [...steps]
  const done: TimedStep[] = []
  let now = 0
  let handsOn = 0
  while (left.length > 0) {
    const ready = left.map((s) => ({ s, at: readyAt(s, maker, ended) })).filter(({ at }) => at !== null) as {
      s: Step
      at: number
    }[]
    if (ready.length === 0) throw new RangeError(`these steps wait for each other: ${left.map((s) => s.id).join(', ')}`)
    const soonest = Math.max(now, Math.min(...ready.map(({ at }) => at)))
    const next = ready.filter(({ at }) => at <= soonest).reduce((a, b) => (rank(b.s) < rank(a.s) ? b : a)).s
    const minutes = next.minutes * pace
    done.push({ ...next, minutes, begins: soonest, ends: soonest + minutes, idle: soonest - now })
    now = soonest + minutes
    handsOn += minutes
    ended.set(next, now)
    left.splice(left.indexOf(next), 1)
  }
  return { steps: done, handsOn, elapsed: now }
}

/** From when on a step can be done, minutes; null while something it wants has not been made. */
function readyAt(s: Step, maker: ReadonlyMap<string, Step>, ended: ReadonlyMap<Step, number>): number | null {
  let at = 0
  for (const { feature, dry } of s.wants) {
    const by = maker.get(feature)
    if (!by) throw new RangeError(`${s.id} wants ${feature}, which no step makes`)
    const end = ended.get(by)
    if (end === undefined) return null
    at = Math.max(at, dry ? end + by.sets : end)
  }
  return at
}
