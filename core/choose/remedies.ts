import { withChange } from '../checks/change'
import { isGraver, type Remedy, type Verdict } from '../checks/verdict'
import { formatLength } from '../units/format-length'
import { design, type Design } from './design'

/** A remedy that was planned through and helps, with what becomes of the main board. */
export interface OfferedRemedy extends Remedy {
  outcome: string
}

const stopsOf = (d: Design) => new Set(d.verdicts.filter((v) => v.level === 'stop').map((v) => v.id))

/**
 * Plans a holder again with a remedy. It is offered only if the verdict gets better and no new stop comes up.
 * @returns the remedy with its outcome, or null
 */
export function tryRemedy(current: Design, verdict: Verdict, remedy: Remedy): OfferedRemedy | null {
  const before = stopsOf(current)
  const after = design(withChange(current.input, remedy.change))
  const same = after.verdicts.find((v) => v.id === verdict.id)
  const drawn = after.model !== null || current.model === null
  const helps = drawn && (!same || isGraver(verdict.level, same.level))
  const newStop = after.verdicts.some((v) => v.level === 'stop' && !before.has(v.id) && current.model !== null)
  const emptied = after.refusals.some((r) => r.id === 'empty')
  return helps && !newStop && !emptied ? { ...remedy, outcome: outcomeOf(after) } : null
}

/** The remedies of a verdict that help, in the order in which they come to mind. */
export const remediesFor = (current: Design, verdict: Verdict): OfferedRemedy[] =>
  verdict.candidates.flatMap((remedy) => tryRemedy(current, verdict, remedy) ?? [])

/** The main board's size after a change, in words. */
export function outcomeOf(d: Design): string {
  const board = d.model?.boards[0]
  if (!board) return ''
  const { shop } = d.input
  return `${board.name.toLowerCase()} ${formatLength(board.length, shop)} × ${formatLength(board.width, shop)}`
}
