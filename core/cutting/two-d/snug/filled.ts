import type { FullSheet } from '../build-up'
import { without } from '../rest'
import { areaOfAll, type Problem } from '../sheets'
import type { Play } from './blocks'
import type { Spent } from './cover'
import { goTogether, type Together } from './go-together'
import { SnugSheets, type Reach, type SnugSheet } from './sheets'

/** How many times a piece is given a sheet or left, where one sheet may be left, and where two. */
const NODES = { last: 100_000, pair: 20_000 }

/** How far full sheets are looked for in what leaves two sheets, and in what leaves one: there are few pieces then. */
const PAIR: Reach = { blocks: 2000, rests: 2000, sheets: 300 }
const LAST: Reach = { blocks: 2000, rests: 2000, sheets: 1 }

/** How much larger the step is for them. */
const PAIR_STEP = 1.5
const LAST_STEP = 3

/** How often what a set leaves is looked through: for a last sheet, for the last two. */
export interface Tries {
  readonly lasts: number
  readonly pairs: number
}

const OF_A_PAIR: Tries = { lasts: 30, pairs: 0 }

/**
 * Sheets that go together, and that take every piece or as much as was found. Of sets that leave one or two sheets those first
 * whose sides differ least.
 * @param snug the full sheets found
 * @param may what they may waste and cost in all, mm²
 */
export function filled(
  problem: Problem,
  snug: SnugSheets,
  play: Play,
  may: Spent,
  tries: Tries,
  over: () => boolean,
): readonly FullSheet[] {
  const full = (set: Together): FullSheet[] => set.sheets.map((s) => snug.full(s))
  const lasts = openSets(problem, snug, may, { sheets: 1, nodes: NODES.last, over })
  if (lasts.best.rest < 1) return full(lasts.best)
  for (const set of lasts.sets.slice(0, tries.lasts)) {
    if (over()) break
    const last = lastOf(without(problem, full(set)).rest, play, set.left, over)
    if (last) return [...full(set), last]
  }
  let [most, least] = [full(lasts.best), lasts.best.rest]
  if (tries.pairs === 0) return most
  for (const set of openSets(problem, snug, may, { sheets: 2, nodes: NODES.pair, over }).sets.slice(0, tries.pairs)) {
    if (over() || least < 1) break
    const more = pairOf(without(problem, full(set)).rest, play, set.left, over)
    const rest = set.rest - more.reduce((sum, f) => sum + problem.sheets[f.sheet]!.area - f.waste, 0)
    if (rest < least) [most, least] = [[...full(set), ...more], rest]
  }
  return most
}

/**
 * Sets that leave no more than so many sheets, one for all that leave the same pieces, those first whose sides differ least;
 * and of all sets the one that leaves least.
 */
function openSets(
  problem: Problem,
  snug: SnugSheets,
  may: Spent,
  { sheets, nodes, over }: { sheets: number; nodes: number; over: () => boolean },
): { sets: readonly Together[]; best: Together } {
  const area = sheets * Math.max(...problem.sheets.map((s) => s.area))
  const byRest = new Map<string, Together & { uneven: number }>()
  const best = goTogether(problem, snug.packing, largestFirst(snug, problem), may, { area, nodes, over }, (set) => {
    const uneven = set.sheets.reduce((sum, s) => sum + s.uneven, 0)
    const name = set.holds.join()
    const same = byRest.get(name)
    if (!same || uneven < same.uneven) byRest.set(name, { ...set, sheets: [...set.sheets], uneven })
    return set.rest < 1
  })
  return { sets: [...byRest.values()].sort((a, b) => a.uneven - b.uneven), best }
}

/** The same with a larger step. */
const wider = ({ step, ...play }: Play, times: number): Play =>
  step === undefined ? play : { ...play, step: step * times }

/** One sheet that takes all there is. */
function lastOf(rest: Problem, play: Play, left: Spent, over: () => boolean): FullSheet | null {
  const sheets = rest.sheets.map((s) => (s.cost <= left.cost + 1 ? s : { ...s, count: 0 }))
  const snug = new SnugSheets({ ...rest, sheets }, { ...wider(play, LAST_STEP), most: left.waste })
  snug.find(LAST, over)
  const area = areaOfAll(rest)
  const all = snug.found.find(({ sheet, waste }) => sheets[sheet]!.area - waste >= area - 1)
  return all ? snug.full(all) : null
}

/** Two sheets that take all there is, or as much as was found. */
function pairOf(rest: Problem, play: Play, left: Spent, over: () => boolean): readonly FullSheet[] {
  const larger = { ...wider(play, PAIR_STEP), most: left.waste }
  const snug = new SnugSheets(rest, larger)
  snug.find(PAIR, over)
  return filled(rest, snug, larger, left, OF_A_PAIR, over)
}

/** Full sheets in order, those first whose pieces are large for the sheet. */
export function largestFirst({ found, packing }: SnugSheets, { shapes, sheets }: Problem): SnugSheet[] {
  const weight = ({ holds, sheet }: SnugSheet): number =>
    packing.counts(holds).reduce((sum, n, shape) => sum + n * shapes[shape]!.area ** 2, 0) / sheets[sheet]!.area ** 2
  return found
    .map((s): [number, SnugSheet] => [weight(s), s])
    .sort((a, b) => b[0] - a[0])
    .map(([, s]) => s)
}
