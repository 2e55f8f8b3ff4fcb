import { withChange, type Change } from '../checks/change'
import { worstOf, type Verdict } from '../checks/verdict'
import { formOf } from '../forms/all-forms'
import type { Choice, PlanInput } from '../forms/form'
import { formatLength } from '../units/format-length'
import { design, type Design } from './design'

/** Answers are changed so often at most. */
const MOST = 6

/** Plans are tried so often at most for all answers together: of many seats, each of which takes its time, fewer. */
const triesFor = (seats: number): number => Math.max(8, Math.floor(600 / Math.max(1, seats)))

/** A holder with answers of its own, by which the checks say less than with the usual ones. */
export interface Settled {
  design: Design
  /** what is answered otherwise than is usual, in words */
  answers: string[]
}

/** How much the checks say: stops, then what to look at; nothing drawn is worst. */
const trouble = ({ model, verdicts }: Design): readonly [number, number, number] => {
  const count = (level: Verdict['level']): number => verdicts.filter((v) => v.level === level).length
  return [model ? 0 : 1, count('stop'), count('watch')]
}

const isLess = (a: readonly number[], b: readonly number[]): boolean => {
  const i = a.findIndex((x, n) => x !== b[n])
  return i >= 0 && a[i]! < b[i]!
}

/** Changes that leave the shop and the tools as they are. */
const isAnswer = (change: Change): boolean => change.kind === 'choice' || change.kind === 'turn'

/**
 * A holder as it would be proposed: where the checks say something of it with the usual answers, those remedies are taken
 * that are answers to the form's own questions, one after the other, as long as the checks say less for each. No tool is left
 * out, nothing bought, no setting of the shop changed.
 */
export function settled(input: PlanInput): Settled {
  let current = design(input)
  const tries = { left: triesFor(input.holder.seats.length) }
  for (let n = 0; n < MOST; n++) {
    const better = bettered(current, tries)
    if (!better) break
    current = better
  }
  return { design: current, answers: answersOf(input, current.input) }
}

/**
 * With the first answer by which the checks say less; where they say stop, one by which they do that less. What is asked of the
 * whole holder comes before tools turned one by one.
 */
function bettered(current: Design, tries: { left: number }): Design | null {
  const before = trouble(current)
  const worst = worstOf(current.verdicts)
  const told = worst === 'pass' ? [] : current.verdicts.filter((v) => v.level === worst)
  const changes = told.flatMap((v) => v.candidates.map((c) => c.change)).filter(isAnswer)
  changes.sort((a, b) => Number(a.kind === 'turn') - Number(b.kind === 'turn'))
  // like places propose the same
  for (const change of new Map(changes.map((c) => [JSON.stringify(c), c])).values()) {
    if (tries.left-- <= 0) return null
    const after = design(withChange(current.input, change))
    if (isLess(trouble(after), before)) return after
  }
  return null
}

/** What is answered otherwise, as its question says it. */
function answersOf(before: PlanInput, { holder, shop }: PlanInput): string[] {
  const choices = formOf(holder.form)!.choices
  const changed = Object.entries(holder.choices).filter(([key, value]) => before.holder.choices[key] !== value)
  const turned = holder.seats.filter((s, i) => s.turn !== before.holder.seats[i]?.turn).length
  const one = (choice: Choice, value: string | number): string => {
    if (typeof value === 'number') return `${choice.label.toLowerCase()} ${formatLength(value, shop)}`
    if (choice.type === 'stock') return `${choice.label.toLowerCase()} ${shop.stock.find((s) => s.id === value)?.name ?? value}` // prettier-ignore
    const label = choice.type === 'option' ? choice.values.find((v) => v.value === value)?.label : undefined
    return `${choice.label.toLowerCase()} ${label ?? value}`
  }
  return [
    ...changed.flatMap(([key, value]) => choices.filter((c) => c.key === key).map((c) => one(c, value))),
    ...(turned > 0 ? [`${turned} turned`] : []),
  ]
}
