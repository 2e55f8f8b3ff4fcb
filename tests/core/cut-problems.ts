import type { Means } from '#core/cutting/means'
import { below, randomFrom } from '#core/cutting/random'
import type { FullSheet } from '#core/cutting/two-d/build-up'
import { readInstance } from '#core/cutting/read-instance'
import { layFull, type Layout } from '#core/cutting/two-d/layout'
import { without } from '#core/cutting/two-d/rest'
import { pose } from '#core/cutting/two-d/problem'
import { areaOfAll, sameTogether, type Problem, type Shape, type Sheet } from '#core/cutting/two-d/sheets'
import { faults } from './cut-checker'
import { dissect, type Known } from './cut-instances'

export const shapeOf = (l: number, w: number, turns: boolean): Shape => ({ l, w, area: l * w, turns })

export const sheetOf = (l: number, w: number, count: number, cost = l * w): Sheet => ({
  l,
  w,
  area: l * w,
  count,
  cost,
})

/** Means without a clock, or with one that goes on by a step each time it is read. */
export function meansOf(seed: number, seconds = Infinity, step = 0): Means {
  let left = seconds
  const secondsLeft = (): number => (left -= step)
  return { random: randomFrom(seed), rounds: 1000, solver: null, secondsLeft, over: () => secondsLeft() <= 0 }
}

/** Pieces of some sheets cut apart at random, each up to `by` smaller than it was. */
export function shrunk(seed: number, sheets: readonly Sheet[], pieces: number, by: number, turns: boolean): Shape[] {
  const random = randomFrom(Math.imul(seed, 0x9e3779b1))
  return sheets.flatMap((s) =>
    dissect(random, { length: s.l, width: s.w }, pieces, 0, 1, 80).map((r) =>
      shapeOf(r.length - below(random, by + 1), r.width - below(random, by + 1), turns),
    ),
  )
}

/** What is wrong with a plan, by the checker that knows nothing of the search. */
export function faultsOf(problem: Problem, layout: Layout): string[] {
  const used = problem.sheets.map(() => 0)
  const parts = problem.pieces.map((at, piece) => {
    const { l, w, turns } = problem.shapes[at]!
    return { id: `${piece}`, length: l, width: w, canRotate: turns }
  })
  const stock = problem.sheets.map((s, i) => ({
    ...{ id: `${i}`, length: s.l, width: s.w, isOffcut: s.cost === 0 },
    ...(Number.isFinite(s.count) ? { count: s.count } : {}),
  }))
  const placements = layout.laid.flatMap(({ sheet, lying }) => {
    const stockIndex = used[sheet]!++
    return lying.map(({ piece, x, y, turned }) => {
      const { l, w } = problem.shapes[problem.pieces[piece]!]!
      const [length, width] = turned ? [w, l] : [l, w]
      return { stockId: `${sheet}`, stockIndex, partId: `${piece}`, x, y, length, width, rotated: turned }
    })
  })
  const unplaced = layout.left.map((piece) => ({ partId: `${piece}`, count: 1 }))
  return faults({ kind: '2d', kerf: 0, stock, parts }, { placements, unplaced })
}

/** A usual sheet, as many as are wanted. */
export const SHEET = sheetOf(2440, 1220, Infinity)

/** Sheets cut apart, of which each piece shrank by up to some mm. */
export function problemOf(
  seed: number,
  sheets: number,
  pieces: number,
  by: number,
  turns = false,
  sheet = SHEET,
): Problem {
  const shapes = shrunk(seed, new Array<typeof SHEET>(sheets).fill(sheet), pieces, by, turns)
  return { ...sameTogether(shapes), sheets: [sheet] }
}

/** What the sheets that pieces were cut from waste, mm². */
export const slackOf = (problem: Problem, sheets: number): number =>
  sheets * problem.sheets[0]!.area - areaOfAll(problem)

/** Faults of a plan of full sheets, and what it leaves. */
export function checked(problem: Problem, full: readonly FullSheet[]): { faults: string[]; left: number } {
  const { taken, pieceOf } = without(problem, full)
  const laid = full.map((f, i) => layFull(problem, f, taken[i]!))
  const cost = full.reduce((sum, f) => sum + problem.sheets[f.sheet]!.cost, 0)
  return { faults: faultsOf(problem, { laid, left: [...pieceOf], cost }), left: pieceOf.length }
}

/** The problem of an instance, and what its best plan costs. */
export function posed({ instance, best }: Known): { problem: Problem; limit: number } {
  const read = readInstance(JSON.stringify(instance))
  if (!read.ok) throw new Error('not an instance')
  const { problem } = pose(read.instance)
  return { problem, limit: best * problem.sheets[0]!.cost }
}
