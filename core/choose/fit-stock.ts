import { withChange, type Change } from '../checks/change'
import { formOf } from '../forms/all-forms'
import { greatestLength } from '../forms/choice-value'
import type { PlanInput } from '../forms/form'
import type { Holder } from '../model/holder'
import { formatLength, gridStep } from '../units/format-length'
import { toGrid } from '../units/grid'
import { design } from './design'

/** A holder that fits a piece of stock, and what was given up for it. */
export interface FittedHolder {
  holder: Holder
  /** of its main board, mm */
  length: number
  width: number
  /** in the shop's words; empty where nothing was */
  gaveUp: string[]
}

/** Fingers want at least so much between heads, and a head so much to the board's end, before a tool is left out; mm. */
const LEAST_GAP = 12
const LEAST_MARGIN = 8

/** How readily a tool is left out: what is used most, last. */
const USES = ['daily', 'weekly', 'monthly', 'rarely']

/** Plans at most so often. */
const MOST_PLANS = 400

interface Search {
  start: PlanInput
  length: number
  width: number
  left: number
}

/** Size of the main board; null when it can't be drawn with every seat on it. */
function size(search: Search, input: PlanInput): { length: number; width: number } | null {
  if (search.left-- <= 0) return null
  const plan = formOf(input.holder.form)!.plan(input)
  const board = plan.model?.boards[0]
  return board && plan.refusals.length === 0 ? { length: board.length, width: board.width } : null
}

const chosen = (input: PlanInput, key: 'gap' | 'margin'): number => {
  const own = input.holder.choices[key]
  return typeof own === 'number' ? own : input.shop.settings[key]
}

const asks = (input: PlanInput, key: string): boolean =>
  formOf(input.holder.form)?.choices.some((c) => c.key === key) ?? false

const choice = (key: string, value: string | number): Change => ({ kind: 'choice', key, value })

/** Turns every tool a quarter whose turning makes the board shorter. */
function turned(search: Search, input: PlanInput): PlanInput {
  let best = input
  let shortest = size(search, input)?.length ?? Infinity
  for (const seat of input.holder.seats) {
    const turn = ((seat.turn + 1) % 4) as 0 | 1 | 2 | 3
    const tried = withChange(best, { kind: 'turn', seat: seat.id, turn })
    const long = size(search, tried)?.length ?? Infinity
    if (long < shortest - 0.5) {
      best = tried
      shortest = long
    }
  }
  return best
}

function fits(search: Search, input: PlanInput): boolean {
  const now = size(search, input)
  return now !== null && now.length <= search.length + 1e-6 && now.width <= search.width + 1e-6
}

/** The widest gap, no wider than now, at which a holder is no longer than the stock; null where the least is too much. */
function withGap(search: Search, input: PlanInput): PlanInput | null {
  if (fits(search, input)) return input
  const now = size(search, input)
  if (!now || now.width > search.width + 1e-6) return null
  const gap = chosen(input, 'gap')
  if (!asks(input, 'gap') || gap <= LEAST_GAP || input.holder.seats.length < 2) return null
  // the board grows by the same length for each mm of gap
  const wider = size(search, withChange(input, choice('gap', Math.min(gap + 10, greatestLength(formOf(input.holder.form)!.choices, 'gap'))))) // prettier-ignore
  if (!wider || wider.length <= now.length) return null
  const exact = gap - ((now.length - search.length) * 10) / (wider.length - now.length)
  const fitting = toGrid(exact, gridStep(input.shop), 'down')
  return fitting < LEAST_GAP ? null : withChange(input, choice('gap', fitting))
}

/** One set of tools on the stock, giving up as little as may be: first the pitch, then turns, then margins. */
function fitted(search: Search, input: PlanInput): PlanInput | null {
  const byNeighbour = input.holder.choices.pitch === 'even' ? [withChange(input, choice('pitch', 'neighbour'))] : []
  const ways = [input, ...byNeighbour]
  for (const way of ways) if (fits(search, way)) return way
  for (const way of ways) {
    const found = withGap(search, way)
    if (found) return found
  }
  const last = ways.at(-1)!
  const quarter = turned(search, last)
  const tight = (i: PlanInput): PlanInput => (asks(i, 'margin') && chosen(i, 'margin') > LEAST_MARGIN ? withChange(i, choice('margin', LEAST_MARGIN)) : i) // prettier-ignore
  for (const way of [quarter, tight(last), tight(quarter)]) {
    const found = withGap(search, way)
    if (found) return found
  }
  return null
}

/** Seats in the order in which they are left out: seldom used before daily, then the one that saves most. */
function leaving(search: Search, input: PlanInput): string[] {
  const all = size(search, input)?.length ?? 0
  const saves = input.holder.seats.map((seat) => {
    const use = input.tools.get(seat.tool)?.use ?? 'weekly'
    const rest = size(search, withChange(input, { kind: 'leave out', seats: [seat.id] }))?.length ?? all
    return { id: seat.id, use: USES.indexOf(use), saved: all - rest }
  })
  return saves.sort((a, b) => b.use - a.use || b.saved - a.saved).map((s) => s.id)
}

function toldOf(before: PlanInput, after: PlanInput): string[] {
  const { shop, tools } = before
  const told: string[] = []
  const gone = before.holder.seats.filter((s) => !after.holder.seats.some((x) => x.id === s.id))
  if (gone.length > 0)
    told.push(`without ${gone.map((s) => tools.get(s.tool)?.name ?? 'a tool that is gone').join(', ')}`)
  for (const [key, name] of [['gap', 'gap'], ['margin', 'margin']] as const)
    if (chosen(before, key) !== chosen(after, key)) told.push(`${name} ${formatLength(chosen(after, key), shop)} for ${formatLength(chosen(before, key), shop)}`) // prettier-ignore
  const turns = after.holder.seats.filter((s) => before.holder.seats.find((x) => x.id === s.id)!.turn !== s.turn)
  if (turns.length > 0) told.push(`${turns.map((s) => tools.get(s.tool)!.name).join(', ')} turned a quarter`)
  if (before.holder.choices.pitch === 'even' && after.holder.choices.pitch !== 'even') told.push('pitch by neighbour')
  return told
}

/**
 * The best of a holder that fits a piece of stock: as many of its tools as may be, then with as wide a gap, as they are
 * turned, with their margins. No proposal brings a stop that was not there.
 * @param stock length and width of the piece, mm; Infinity for a width that does not matter
 * @returns null where not even one tool fits
 */
export function fitStock(input: PlanInput, stock: { length: number; width: number }): FittedHolder | null {
  if (!formOf(input.holder.form) || input.holder.seats.length === 0) return null
  const search: Search = { start: input, ...stock, left: MOST_PLANS }
  const stops = new Set(design(input).verdicts.filter((v) => v.level === 'stop').map((v) => v.id)) // prettier-ignore
  const order = leaving(search, input)
  for (let n = 0; n < order.length; n++) {
    // one fewer: each alone at first, then those that come first one after the other
    const sets = n === 1 ? order.map((id) => [id]) : [order.slice(0, n)]
    for (const seats of sets) {
      const some = seats.length === 0 ? input : withChange(input, { kind: 'leave out', seats })
      const found = fitted(search, some)
      if (!found) continue
      const d = design(found)
      const board = d.model?.boards[0]
      if (!board || d.verdicts.some((v) => v.level === 'stop' && !stops.has(v.id))) continue
      return { holder: found.holder, length: board.length, width: board.width, gaveUp: toldOf(input, found) }
    }
  }
  return null
}
