import type { Random } from '../random'
import { buildUp } from './build-up'
import { without, type FullSheet } from './full-sheets'
import type { Problem } from './sheets'

/** What each further piece in a sheet weighs against it, as waste: a part of the largest sheet's area. */
const MANY = 0.0002

/** How many pairs of blocks are looked at for one sheet. */
const PAIRS = 1_000_000

/**
 * Fills one sheet after the other to the brim, each from what the ones before it left, as long as that goes.
 * @param slack what all sheets together may waste, mm²
 * @param limit what they may cost, mm²
 */
export function peel(problem: Problem, slack: number, limit: number, random: Random, over: () => boolean): FullSheet[] {
  const peeled: FullSheet[] = []
  const largest = Math.max(...problem.sheets.map((s) => s.area))
  let spare = slack
  let cost = 0
  const eager = 0.01 + 0.04 * random()
  for (;;) {
    const { rest } = without(problem, peeled)
    const area = rest.pieces.reduce((sum, p) => sum + rest.shapes[p]!.area, 0)
    const sheets = Math.max(1, Math.round((area + spare) / largest))
    if (sheets < 2 || over()) return peeled
    const open = { ...rest, sheets: rest.sheets.map((s) => (s.count > 0 ? s : { ...s, l: 0, w: 0 })) }
    const each = Math.min(spare, (spare / sheets) * (0.6 + 1.2 * random()))
    const { full } = buildUp(open, each, PAIRS, over, eager)
    const best = full
      .filter((f) => cost + problem.sheets[f.sheet]!.cost <= limit)
      // large pieces first: small ones find a place later
      .map((f): [number, FullSheet] => [(f.waste + MANY * largest * piecesIn(f)) * (0.4 + random()), f])
      .sort((a, b) => a[0] - b[0])[0]
    if (!best) return peeled
    peeled.push(best[1])
    spare = Math.max(0, spare - best[1].waste)
    cost += problem.sheets[best[1].sheet]!.cost
  }
}

/** How many pieces are in a full sheet. */
const piecesIn = (full: FullSheet): number => full.built.counts.reduce((sum, n) => sum + n, 0)
