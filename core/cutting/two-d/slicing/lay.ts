import { SAME } from '../../instance'
import type { Lying } from '../blocks'
import type { Problem } from '../sheets'
import type { Annealing } from './annealing'
import type { Rectangle } from './curves'

/** Where the pieces of a tree lie whose block goes into its sheet, mm from the sheet's lower left. */
export function layTree(problem: Problem, annealing: Annealing, tree: number): Lying[] {
  const root = annealing.forest.root[tree]!
  const sheet = annealing.sheets[tree]!
  const size = annealing.curves.sizes(root).find((s) => within(s, sheet))!
  return lyingIn(problem, annealing, root, size, 0, 0)
}

const within = (size: Rectangle, other: Rectangle): boolean => size.l <= other.l && size.w <= other.w

/** The pieces of a node whose block has a size at most and lies at x, y. */
function lyingIn(problem: Problem, trees: Annealing, k: number, size: Rectangle, x: number, y: number): Lying[] {
  const { forest, curves } = trees
  if (forest.isLeaf(k)) {
    // the leaves behind the pieces are of no size
    const shape = k < problem.pieces.length ? problem.shapes[problem.pieces[k]!]! : null
    return shape ? [{ piece: k, x, y, turned: shape.l > size.l + SAME || shape.w > size.w + SAME }] : []
  }
  const first = forest.first[k]!
  const second = forest.second[k]!
  for (const a of curves.sizes(first))
    for (const b of curves.sizes(second)) {
      if (within({ l: a.l + b.l, w: Math.max(a.w, b.w) }, size))
        return [...lyingIn(problem, trees, first, a, x, y), ...lyingIn(problem, trees, second, b, x + a.l, y)]
      if (within({ l: Math.max(a.l, b.l), w: a.w + b.w }, size))
        return [...lyingIn(problem, trees, first, a, x, y), ...lyingIn(problem, trees, second, b, x, y + a.w)]
    }
  throw new Error('A block has no size that its parts make')
}
