import type { FullSheet } from '../build-up'
import { without } from '../rest'
import { areaOfAll, type Problem } from '../sheets'
import type { Play } from './blocks'
import type { Spent } from './cover'
import { goTogether, type Together } from './go-together'
import { SnugSheets, type Reach, type SnugSheet } from './sheets'

/** How many sets of sheets are looked at, and how many kept that leave a sheet or two. */
const SETS = 50_000
const KEPT = 20_000

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

/** A set that leaves a sheet or two. */
interface Open extends Together {
  readonly uneven: number
}

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
  const largest = Math.max(...problem.sheets.map((s) => s.area))
  let best: Together = { sheets: [], left: may, rest: Infinity }
  const lasts: Open[] = []
  const pairs: Open[] = []
  goTogether(problem, snug.packing, largestFirst(snug, problem), may, SETS, (set) => {
    const { rest } = set
    if (rest < best.rest) best = { ...set, sheets: [...set.sheets] }
    const open = rest <= largest ? lasts : rest <= 2 * largest ? pairs : null
    if (open && open.length < KEPT) open.push({ ...set, sheets: [...set.sheets], uneven: unevenIn(set.sheets) })
    return rest < 1 || over()
  })
  const full = (set: Together): FullSheet[] => set.sheets.map((s) => snug.full(s))
  if (best.rest < 1) return full(best)
  for (const set of evenest(lasts, tries.lasts)) {
    if (over()) break
    const last = lastOf(without(problem, full(set)).rest, play, set.left, over)
    if (last) return [...full(set), last]
  }
  let [most, least] = [full(best), best.rest]
  for (const set of evenest(pairs, tries.pairs)) {
    if (over()) break
    const more = pairOf(without(problem, full(set)).rest, play, set.left, over)
    const rest = set.rest - more.reduce((sum, f) => sum + problem.sheets[f.sheet]!.area - f.waste, 0)
    if (rest < least) [most, least] = [[...full(set), ...more], rest]
    if (rest < 1) break
  }
  return most
}

const unevenIn = (sheets: readonly SnugSheet[]): number => sheets.reduce((sum, s) => sum + s.uneven, 0)

const evenest = (sets: Open[], count: number): Open[] => sets.sort((a, b) => a.uneven - b.uneven).slice(0, count)

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
