import { formOf } from '../forms/all-forms'
import { stockOf } from '../forms/choice-value'
import type { Plan, PlanInput, Refusal } from '../forms/form'
import { letFollow, offer, remedy } from './subject'
import type { Remedy, Verdict } from './verdict'

/** Questions of what tools hang on by a hole or loop. */
const HANGS_ON: ReadonlySet<string> = new Set(['rodStock', 'hookStock'])

/** Other stock is proposed so often at most. */
const MOST = 3

/** What a form refused, as stops: each says what would let it go on. */
export const refusalVerdicts = (plan: Plan, input: PlanInput): Verdict[] =>
  plan.refusals.map((refusal) => ({
    id: `refused:${refusal.id}`,
    check: 'plan',
    title: 'Can’t be drawn so',
    level: 'stop',
    says: refusal.says,
    seats: refusal.seats ?? [],
    ...(refusal.tool && refusal.fields ? { measure: { tool: refusal.tool, fields: refusal.fields } } : {}),
    candidates: candidates(refusal, input),
  }))

function candidates(refusal: Refusal, input: PlanInput): Remedy[] {
  const { holder } = input
  const seats = refusal.seats ?? []
  const leaveOut = (label: string, out: string[]): Remedy[] =>
    out.length > 0 && out.length < holder.seats.length ? [remedy(label, { kind: 'leave out', seats: out })] : []
  if (refusal.id === 'overlap') {
    return [
      ...offer(input, 'Snug fit', 'fit', 'snug'),
      ...offer(input, 'Cut the slots with a jigsaw', 'slots', 'jigsawn'),
      ...seats.flatMap((seat) => [remedy('Turn it: face right', { kind: 'turn', seat, turn: 1 })]),
      ...seats.flatMap((seat) => leaveOut('Leave it out', [seat])),
      ...leaveOut('Leave these out', seats),
    ]
  }
  // what it hangs by is too narrow or too wide
  if (refusal.id.startsWith('slips:')) return [...offer(input, 'Snug fit', 'fit', 'snug'), ...leaveOut('Take it out of this holder', seats)] // prettier-ignore
  if (refusal.id.startsWith('hole:')) return [...thinner(input), ...leaveOut('Take it out of this holder', seats)]
  if (refusal.id === 'too shallow') {
    return letFollow(input, 'Let the depth follow from the tools', 'depth')
  }
  if (refusal.id === 'too low') return letFollow(input, 'Let the height follow from the pins', 'height')
  if (refusal.id === 'no size:strip') return offer(input, 'Screw it on', 'hung', 'screwed')
  if (refusal.id === 'too long') {
    const half = holder.seats.slice(Math.ceil(holder.seats.length / 2)).map((s) => s.id)
    return leaveOut('Keep the first half here', half)
  }
  return leaveOut('Take it out of this holder', seats)
}

/** Thinner stock of the shop for what tools hang on, the nearest first. */
function thinner(input: PlanInput): Remedy[] {
  const { choices } = formOf(input.holder.form)!
  return choices.flatMap((choice): Remedy[] => {
    if (choice.type !== 'stock' || !HANGS_ON.has(choice.key)) return []
    const now = stockOf(choices, input, choice.key)
    return input.shop.stock
      .filter((s) => now && choice.of.includes(s.form) && s.thickness < now.thickness)
      .sort((a, b) => b.thickness - a.thickness)
      .slice(0, MOST)
      .map((s) => remedy(`Take ${s.name}`, { kind: 'choice', key: choice.key, value: s.id }))
  })
}
