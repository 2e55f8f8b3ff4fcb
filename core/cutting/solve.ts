import type { CutInstance, CutPlacement, CutPlan } from './instance'
import type { Means } from './means'
import { costOfPatterns, poseLengths, type Lengths, type Pattern } from './one-d/lengths'
import { keepMore as keepMoreOfBar } from './one-d/remainder'
import { layBars } from './one-d/solve'
import { leastBought } from './two-d/bound'
import type { Layout } from './two-d/layout'
import { pose, type Posed } from './two-d/problem'
import { keepMore } from './two-d/remainder'
import { closedUp } from './strips'
import { fewerSetUps } from './two-d/set-ups'
import { layOut } from './two-d/solve'

/** Positions carry no more digits than this: 1e-6 mm. */
const tidy = (mm: number): number => Math.round(mm * 1e6) / 1e6

/**
 * Looks for the plan that cuts everything, buys least, keeps the largest piece over, and wants few settings of the saw. The same instance, seed and
 * rounds give the same plan, unless the clock ends the search before.
 * @returns yields the best plan so far whenever a part of the search is through; the last is the plan
 */
export function* cutting(instance: CutInstance, means: Means): Generator<CutPlan, CutPlan> {
  return yield* instance.kind === '1d' ? cutBars(instance, means) : cutSheets(instance, means)
}

function* cutBars(instance: CutInstance, means: Means): Generator<CutPlan, CutPlan> {
  const lengths = poseLengths(instance)
  const search = layBars(lengths, means)
  for (;;) {
    const { value, done } = search.next()
    const missing = value.left.some((n) => n > 0)
    const patterns = done && !missing ? keepMoreOfBar(lengths, value.patterns) : value.patterns
    const proven = !missing && value.cost <= value.atLeast + 1e-6
    const plan = {
      placements: placeBars(instance, lengths, patterns),
      unplaced: counted(instance, [
        ...lengths.tooLong,
        ...value.left.flatMap((n, s) => (n > 0 ? lengths.partsOf[s]!.slice(-n) : [])),
      ]),
      bought: costOfPatterns(lengths, patterns),
      atLeast: value.atLeast,
      proven,
      endedByClock: !proven && means.over(),
    }
    if (done) return plan
    yield plan
  }
}

/** Of the time, what is kept for a larger rest and fewer settings when the search for less has not come to its end. */
const RESERVE = 0.06

/** Means whose time is up a little earlier. */
function withReserve(means: Means): Means {
  const all = means.secondsLeft()
  if (!Number.isFinite(all)) return means
  const secondsLeft = (): number => means.secondsLeft() - RESERVE * all
  return { ...means, secondsLeft, over: () => secondsLeft() <= 0 }
}

function* cutSheets(instance: CutInstance, means: Means): Generator<CutPlan, CutPlan> {
  const posed = pose(instance)
  const atLeast = leastBought(posed.problem)
  const searching = withReserve(means)
  const search = layOut(posed.problem, searching)
  let shown: Layout | null = null
  let last: CutPlan | null = null
  for (;;) {
    const { value, done } = search.next()
    if (!done && value === shown) {
      yield last!
      continue
    }
    shown = value
    const layout = done ? fewerSetUps(posed.problem, keepMore(posed.problem, value, means), means) : value
    const proven = layout.left.length === 0 && layout.cost <= atLeast + 1
    const plan: CutPlan = {
      placements: placeSheets(instance, posed, layout),
      unplaced: counted(instance, [...posed.tooLarge, ...layout.left.map((p) => posed.partOf[p]!)]),
      bought: layout.cost,
      atLeast: Math.min(atLeast, layout.cost),
      proven,
      endedByClock: !proven && searching.over(),
    }
    if (done) return plan
    last = plan
    yield plan
  }
}

function counted(instance: CutInstance, parts: readonly number[]): CutPlan['unplaced'] {
  return instance.parts.flatMap(({ id }, i) => {
    const count = parts.filter((p) => p === i).length
    return count > 0 ? [{ partId: id, count }] : []
  })
}

function placeBars(instance: CutInstance, lengths: Lengths, patterns: readonly Pattern[]): CutPlacement[] {
  const next = lengths.partsOf.map(() => 0)
  const used = lengths.bars.map(() => 0)
  return patterns.flatMap(({ bar, counts }) => {
    const stock = instance.stock[bar]!
    const stockIndex = used[bar]!++
    let x = 0
    return counts.flatMap((count, s) =>
      Array.from({ length: count }, () => {
        const part = instance.parts[lengths.partsOf[s]![next[s]!++]!]!
        const at = tidy(x)
        x += lengths.sizes[s]!
        const { id: partId, length, width } = part
        return { stockId: stock.id, stockIndex, partId, x: at, y: 0, length, width, rotated: false }
      }),
    )
  })
}

function placeSheets(instance: CutInstance, posed: Posed, layout: Layout): CutPlacement[] {
  const used = posed.problem.sheets.map(() => 0)
  return layout.laid.flatMap(({ sheet, lying }) => {
    const stockIndex = used[sheet]!++
    const placed = lying.map(({ piece, x, y, turned }) => {
      const { id: partId, length, width } = instance.parts[posed.partOf[piece]!]!
      return {
        stockId: instance.stock[sheet]!.id,
        stockIndex,
        partId,
        x,
        y,
        length: turned ? width : length,
        width: turned ? length : width,
        rotated: turned,
      }
    })
    return closedUp(placed, instance.kerf).map((p) => ({ ...p, x: tidy(p.x), y: tidy(p.y) }))
  })
}
