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
 * The remedies of a verdict that help: with each the holder is planned again, and it is offered only if the verdict
 * gets better and no new stop comes up.
 */
export function remediesFor(current: Design, verdict: Verdict): OfferedRemedy[] {
  const before = stopsOf(current)
  const offered: OfferedRemedy[] = []
  for (const remedy of verdict.candidates) {
    const after = design(withChange(current.input, remedy.change))
    const same = after.verdicts.find((v) => v.id === verdict.id)
    const drawn = after.model !== null || current.model === null
    const helps = drawn && (!same || isGraver(verdict.level, same.level))
    const newStop = after.verdicts.some((v) => v.level === 'stop' && !before.has(v.id) && v.check !== 'plan')
    const emptied = after.refusals.some((r) => r.id === 'empty')
    if (helps && !newStop && !emptied) offered.push({ ...remedy, outcome: outcomeOf(after) })
  }
  return offered
}

/** The main board's size after a change, in words. */
export function outcomeOf(d: Design): string {
  const board = d.model?.boards[0]
  if (!board) return ''
  const { shop } = d.input
  return `${board.name.toLowerCase()} ${formatLength(board.length, shop)} × ${formatLength(board.width, shop)}`
}
