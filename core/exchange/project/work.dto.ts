import 'reflect-metadata'
import type { Tick, Work } from '../../model/work'
import { Checked, idError, isRecord, nameError } from './checked'

/** The most steps that are ticked off in one piece of work, and the longest name of one. */
export const MOST_TICKS = 2000
export const LONGEST_STEP = 200

function ticksError(value: unknown): string | null {
  if (!isRecord(value)) return 'ticks are written as {"step": {"at": time, "done": true}}.'
  const entries = Object.entries(value)
  if (entries.length > MOST_TICKS) return `at most ${MOST_TICKS} steps are kept.`
  for (const [step, tick] of entries) {
    if (step.length > LONGEST_STEP) return `a step’s name has at most ${LONGEST_STEP} characters.`
    if (isRecord(tick) && Object.keys(tick).some((key) => !['at', 'done', 'as'].includes(key)))
      return `${step.slice(0, 60)}: only at, done and as are kept.`
    if (!isRecord(tick) || typeof tick.done !== 'boolean') return `${step.slice(0, 60)}: say whether it is done.`
    if (tick.as !== undefined && (typeof tick.as !== 'string' || tick.as.length > LONGEST_STEP))
      return `${step.slice(0, 60)}: as is a word of at most ${LONGEST_STEP} characters.`
    if (typeof tick.at !== 'string' || !/^\d{4}-\d{2}-\d{2}T/.test(tick.at) || Number.isNaN(Date.parse(tick.at)))
      return `${step.slice(0, 60)}: when is a date and time, such as 2026-03-01T09:30:00.000Z.`
  }
  return null
}

/** How far the work on a holder has come, as it comes in. */
export class WorkDto implements Work {
  @Checked(idError) id!: string
  @Checked(nameError) name!: string
  @Checked(ticksError) ticks: Record<string, Tick> = {}
}
