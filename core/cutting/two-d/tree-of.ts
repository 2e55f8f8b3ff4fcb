import { SAME } from '../instance'
import type { Layout, Laid } from './layout'
import type { State } from './ruin-recreate'
import type { Bin, Problem } from './sheets'
import { gatherWaste, leaf, type Node } from './tree'

/** A piece where it lies, with its kerf. */
interface Item {
  readonly piece: number
  /** From and to on the length and on the width, mm. */
  readonly from: readonly [number, number]
  readonly to: readonly [number, number]
}

/** A plan as the search with single pieces takes it: each sheet as the tree of its cuts. */
export function stateOf(problem: Problem, layout: Layout): State {
  const owner = {}
  const bins = layout.laid.map((laid): Bin => {
    const sheet = problem.sheets[laid.sheet]!
    const root = nodeOf([sheet.l, sheet.w], itemsOf(problem, laid), 0, null, true)
    const bin: Bin = { sheet: laid.sheet, root, waste: [], owner }
    gatherWaste(root, bin.waste)
    return bin
  })
  return { bins, left: [...layout.left], cost: layout.cost }
}

const itemsOf = (problem: Problem, laid: Laid): Item[] =>
  laid.lying.map(({ piece, x, y, turned }) => {
    const { l, w } = problem.shapes[problem.pieces[piece]!]!
    return { piece, from: [x, y], to: turned ? [x + w, y + l] : [x + l, y + w] }
  })

/** The cuts of a rectangle, first along an axis; what is between pieces goes to its end. */
function nodeOf(
  size: readonly [number, number],
  items: readonly Item[],
  axis: 0 | 1,
  up: Node | null,
  either: boolean,
): Node {
  const groups = groupsOf(items, axis)
  const spans = groups.map((g) => Math.max(...g.map((i) => i.to[axis])) - Math.min(...g.map((i) => i.from[axis])))
  const rest = size[axis] - spans.reduce((sum, s) => sum + s, 0)
  const across = (1 - axis) as 0 | 1
  if (groups.length === 1 && rest <= SAME) {
    if (either) return nodeOf(size, items, across, up, false)
    return leaf(size[0], size[1], items[0]!.piece, up)
  }
  const node = leaf(size[0], size[1], -1, up)
  const part = (long: number): [number, number] => (axis === 0 ? [long, size[1]] : [size[0], long])
  node.axis = axis
  node.kids = groups.map((g, i) => nodeOf(part(spans[i]!), g, across, node, false))
  if (rest > SAME) node.kids.push(leaf(...part(rest), -1, node))
  return node
}

/** Items in groups that cuts across an axis part. */
function groupsOf(items: readonly Item[], axis: 0 | 1): Item[][] {
  const groups: Item[][] = []
  let reach = -Infinity
  for (const item of [...items].sort((a, b) => a.from[axis] - b.from[axis])) {
    if (item.from[axis] >= reach - SAME) groups.push([item])
    else groups.at(-1)!.push(item)
    reach = Math.max(reach, item.to[axis])
  }
  return groups
}
