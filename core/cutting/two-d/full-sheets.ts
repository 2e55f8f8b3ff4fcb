import { programText, type LinearSolver, type Program } from '../linear-program'
import { below, type Random } from '../random'
import type { BuildUp } from './build-up'
import type { Problem } from './sheets'

/** Branches of the search for the best sheets. */
const NODES = 50

export type FullSheet = BuildUp['full'][number]

const fits = (full: FullSheet, left: Uint16Array, stock: readonly number[]): boolean =>
  stock[full.sheet]! > 0 && full.built.counts.every((n, i) => n <= left[i]!)

/** Some of the full sheets which together use no piece twice: drawn at random, the less wasteful the likelier. */
export function drawFull(problem: Problem, full: readonly FullSheet[], limit: number, random: Random): FullSheet[] {
  const left = demand(problem)
  const stock = problem.sheets.map((s) => s.count)
  const most = 1 + below(random, 12)
  const order = full.map((f): [number, FullSheet] => [f.waste * (0.3 + random()), f]).sort((a, b) => a[0] - b[0])
  const drawn: FullSheet[] = []
  let cost = 0
  for (const [, f] of order) {
    if (drawn.length >= most) break
    const c = problem.sheets[f.sheet]!.cost
    if (cost + c > limit || !fits(f, left, stock)) continue
    drawn.push(f)
    cost += c
    stock[f.sheet]!--
    f.built.counts.forEach((n, i) => (left[i]! -= n))
  }
  return drawn
}

/** How many pieces there are of each shape. */
export function demand(problem: Problem): Uint16Array {
  const counts = new Uint16Array(problem.shapes.length)
  for (const p of problem.pieces) counts[p]!++
  return counts
}

/** The full sheets that together cover most, by a program in whole numbers. */
export function chooseFull(
  problem: Problem,
  full: readonly FullSheet[],
  solver: LinearSolver,
  seconds: number,
): FullSheet[] {
  const need = demand(problem)
  const name = (i: number): string => `x${i}`
  const program: Program = {
    minimise: full.map((f, i) => ({ name: name(i), times: -Math.round((f.built.block.area - f.built.waste) / 100) })),
    rows: [
      ...Array.from(need, (than, shape) => ({
        name: `s${shape}`,
        terms: full.flatMap((f, i) =>
          f.built.counts[shape]! > 0 ? [{ name: name(i), times: f.built.counts[shape]! }] : [],
        ),
        is: '<=' as const,
        than,
      })),
      ...problem.sheets.flatMap((s, sheet) =>
        Number.isFinite(s.count)
          ? [
              {
                name: `t${sheet}`,
                terms: full.flatMap((f, i) => (f.sheet === sheet ? [{ name: name(i), times: 1 }] : [])),
                is: '<=' as const,
                than: s.count,
              },
            ]
          : [],
      ),
    ],
    most: full.map((_, i) => ({ name: name(i), times: 40 })),
    whole: full.map((_, i) => name(i)),
  }
  const found = solver(programText(program), { seconds, nodes: NODES })
  if (!found) return []
  return full.flatMap((f, i) => Array.from({ length: Math.round(found.values.get(name(i)) ?? 0) }, () => f))
}

/** The problem that is left when some full sheets are cut, and the piece of the whole for each of its pieces. */
export function without(
  problem: Problem,
  drawn: readonly FullSheet[],
): { rest: Problem; pieceOf: number[]; taken: number[][] } {
  const byShape: number[][] = problem.shapes.map(() => [])
  problem.pieces.forEach((shape, piece) => byShape[shape]!.push(piece))
  const taken = drawn.map((f) => Array.from(f.built.counts).flatMap((n, shape) => byShape[shape]!.splice(0, n)))
  const pieceOf = byShape.flat()
  const sheets = problem.sheets.map((s, i) => ({ ...s, count: s.count - drawn.filter((f) => f.sheet === i).length }))
  return { rest: { shapes: problem.shapes, sheets, pieces: pieceOf.map((p) => problem.pieces[p]!) }, pieceOf, taken }
}
