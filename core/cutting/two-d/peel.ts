import type { Random } from '../random'
import { buildUp, type FullSheet, type Reach } from './build-up'
import { without } from './rest'
import { areaOfAll, type Problem } from './sheets'

/** What each further piece in a sheet weighs against it, as waste: a part of the largest sheet's area. */
const MANY = 0.0002

/** What is wasted more when nothing fills a sheet, by and by: parts of its area. */
const MORE = [0, 0.004, 0.015, 0.05]

/**
 * Fills one sheet after the other to the brim, each from what the ones before it left, as long as that goes.
 * @param slack what all sheets together may waste, mm²
 * @param limit what they may cost, mm²
 * @param looks how far each sheet is built up
 * @param found is told each full sheet, those too that are not taken
 */
export function peel(
  problem: Problem,
  slack: number,
  limit: number,
  looks: Pick<Reach, 'pairs' | 'enough'>,
  random: Random,
  over: () => boolean,
  found: (full: FullSheet) => void,
): FullSheet[] {
  const peeled: FullSheet[] = []
  let spare = slack
  let cost = 0
  const eager = 0.01 + 0.04 * random()
  while (!over()) {
    const { rest } = without(problem, peeled)
    if (rest.pieces.length === 0) return peeled
    const open = {
      ...rest,
      sheets: rest.sheets.map((s) => (s.count > 0 && cost + s.cost <= limit ? s : { ...s, l: 0, w: 0, area: 0 })),
    }
    const largest = Math.max(...open.sheets.map((s) => s.area))
    if (largest === 0) return peeled
    const area = areaOfAll(rest)
    const sheets = Math.max(1, Math.round((area + spare) / largest))
    const each = sheets === 1 ? spare : Math.min(spare, (spare / sheets) * (0.6 + 1.2 * random()))
    const best = fullest(open, Math.max(each, 0), { eager, ...looks }, random, over, found)
    if (!best) return peeled
    peeled.push(best)
    spare = Math.max(0, spare - best.waste)
    cost += problem.sheets[best.sheet]!.cost
  }
  return peeled
}

/** A sheet as full as may be: more waste is allowed by and by. */
function fullest(
  open: Problem,
  slack: number,
  looks: Omit<Reach, 'slack'>,
  random: Random,
  over: () => boolean,
  found: (full: FullSheet) => void,
): FullSheet | null {
  const largest = Math.max(...open.sheets.map((s) => s.area))
  for (const more of MORE) {
    const { full } = buildUp(open, { ...looks, slack: slack + more * largest }, over)
    full.forEach(found)
    const best = full
      // large pieces first: small ones find a place later
      .map((f): [number, FullSheet] => [(f.waste + MANY * largest * piecesIn(f)) * (0.4 + random()), f])
      .sort((a, b) => a[0] - b[0])[0]
    if (best) return best[1]
  }
  return null
}

/** How many pieces are in a full sheet. */
const piecesIn = (full: FullSheet): number => full.built.counts.reduce((sum, n) => sum + n, 0)
