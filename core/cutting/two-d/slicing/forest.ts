import { below, type Random } from '../../random'

/**
 * Slicing trees, one for each sheet: a leaf is a piece, every other node is cut in two by an edge-to-edge cut. Which way the
 * cut runs is left open. Leaves are numbered first, and at least one is in each tree.
 */
export class Forest {
  /** The two nodes that a node is cut into, and the node that it is cut from; -1 for none. */
  readonly first: Int32Array
  readonly second: Int32Array
  readonly up: Int32Array
  /** The tree that a node is in. */
  readonly tree: Int32Array
  readonly root: Int32Array
  readonly leaves: number
  readonly nodes: number

  /** @param groups the leaves of each tree, which all together are numbered from 0 on */
  constructor(groups: readonly (readonly number[])[], random: Random) {
    this.leaves = groups.reduce((sum, g) => sum + g.length, 0)
    this.nodes = 2 * this.leaves - groups.length
    this.first = new Int32Array(this.nodes).fill(-1)
    this.second = new Int32Array(this.nodes).fill(-1)
    this.up = new Int32Array(this.nodes).fill(-1)
    this.tree = new Int32Array(this.nodes)
    this.root = new Int32Array(groups.length)
    let next = this.leaves
    groups.forEach((group, tree) => {
      const open = [...group]
      const any = (): number => open.splice(below(random, open.length), 1)[0]!
      while (open.length > 1) {
        this.cut(next, any(), any())
        open.push(next++)
      }
      this.root[tree] = open[0]!
      this.into(open[0]!, tree)
    })
  }

  isLeaf(k: number): boolean {
    return k < this.leaves
  }

  /** Whether a node is another one or in it. */
  isIn(k: number, other: number): boolean {
    for (let at = k; at >= 0; at = this.up[at]!) if (at === other) return true
    return false
  }

  depth(k: number): number {
    let depth = 0
    for (let at = this.up[k]!; at >= 0; at = this.up[at]!) depth++
    return depth
  }

  beside(k: number): number {
    const up = this.up[k]!
    return this.first[up] === k ? this.second[up]! : this.first[up]!
  }

  /** Two nodes, neither of them in the other, change places. */
  exchange(a: number, b: number): void {
    const { up, tree } = this
    const upA = up[a]!
    const upB = up[b]!
    const treeA = tree[a]!
    const treeB = tree[b]!
    const aIsFirst = upA >= 0 && this.first[upA] === a
    const bIsFirst = upB >= 0 && this.first[upB] === b
    this.hang(b, upA, aIsFirst, treeA)
    this.hang(a, upB, bIsFirst, treeB)
    if (treeA === treeB) return
    this.into(a, treeB)
    this.into(b, treeA)
  }

  /** Takes a node that is no root from beside its neighbour, and lays it beside another one that is not in it. */
  move(a: number, beside: number): void {
    const { up, tree } = this
    const node = up[a]!
    const left = this.beside(a)
    const treeA = tree[a]!
    const treeB = tree[beside]!
    this.hang(left, up[node]!, up[node]! >= 0 && this.first[up[node]!] === node, treeA)
    this.hang(node, up[beside]!, up[beside]! >= 0 && this.first[up[beside]!] === beside, treeB)
    this.cut(node, a, beside)
    if (treeA === treeB) return
    tree[node] = treeB
    this.into(a, treeB)
  }

  private cut(node: number, first: number, second: number): void {
    this.first[node] = first
    this.second[node] = second
    this.up[first] = node
    this.up[second] = node
  }

  /** Hangs a node up where another one hung: below a node, or as the root of a tree. */
  private hang(k: number, up: number, asFirst: boolean, tree: number): void {
    this.up[k] = up
    if (up < 0) this.root[tree] = k
    else if (asFirst) this.first[up] = k
    else this.second[up] = k
  }

  private into(k: number, tree: number): void {
    this.tree[k] = tree
    if (this.isLeaf(k)) return
    this.into(this.first[k]!, tree)
    this.into(this.second[k]!, tree)
  }
}
