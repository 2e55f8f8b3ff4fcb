import { SAME } from '../../instance'
import { below, type Random } from '../../random'
import type { Shape } from '../sheets'
import { misfit, ShapeCurves, unlike, type Compare, type Rectangle } from './curves'
import { Forest } from './forest'

/** Out of a hundred moves so many exchange two blocks, the others move one. */
const EXCHANGED = 60

/** Out of a hundred blocks so many are single pieces, when two are exchanged, and when one is moved. */
const SINGLE = 60
const SINGLE_MOVED = 70

/** What a block is exchanged with, or laid beside, is the most like it, or the best fitting, of up to so many. */
const TRIALS = 12

/** A sheet reaches so far further than it does, for the sake of rounding, mm. */
const ROUNDING = SAME / 2

/**
 * Pieces in slicing trees, one tree for each sheet, whose blocks may reach over their sheets. Blocks are exchanged and moved,
 * within a tree and between them, until none reaches over: simulated annealing (D. F. Wong and C. L. Liu, A new algorithm for
 * floorplan design, Design Automation Conference 1986).
 */
export class Annealing {
  readonly forest: Forest
  readonly curves: ShapeCurves
  readonly sheets: readonly Rectangle[]
  /** How far each tree's block reaches over its sheet, mm². */
  private readonly beyond: Float64Array
  /** What the sizes that are kept may waste in each tree, mm². */
  private readonly kept: Float64Array
  /** How far the blocks of the trees of a move may reach over for it to be taken, mm². */
  private mayReach = 0
  private heat = 0
  /** Nodes that a move has changed. */
  private readonly changed: Int32Array
  private changes = 0

  /**
   * @param shapes of the pieces
   * @param groups the pieces of each sheet to begin with, by their index; together each piece once
   */
  constructor(
    shapes: readonly Shape[],
    groups: readonly (readonly number[])[],
    sheets: readonly Rectangle[],
    private readonly random: Random,
  ) {
    // a leaf of no size keeps each tree, for a sheet may stay empty
    this.forest = new Forest(
      groups.map((g, i) => [...g, shapes.length + i]),
      random,
    )
    this.curves = new ShapeCurves(this.forest.nodes)
    this.sheets = sheets.map((s) => ({ l: s.l + ROUNDING, w: s.w + ROUNDING }))
    this.beyond = new Float64Array(sheets.length)
    this.kept = new Float64Array(sheets.length).fill(Infinity)
    this.changed = new Int32Array(this.forest.nodes)
    shapes.forEach((s, piece) => this.curves.piece(piece, s, s.turns))
    sheets.forEach((_, i) => this.curves.piece(shapes.length + i, { l: 0, w: 0 }, false))
    for (let k = this.forest.leaves; k < this.forest.nodes; k++) this.join(k)
    sheets.forEach((_, tree) => (this.beyond[tree] = this.reach(tree)))
  }

  /** Whether each block goes into its sheet. */
  get fits(): boolean {
    return this.beyond.every((b) => b <= 0)
  }

  /** How far all blocks reach over their sheets, mm². */
  get reachesOver(): number {
    return this.beyond.reduce((sum, b) => sum + b, 0)
  }

  /** Whether a tree's block goes into its sheet. */
  goesIn(tree: number): boolean {
    return this.beyond[tree]! <= 0
  }

  /**
   * Some steps at one heat.
   * @param heat how much further blocks may reach over for a move to be taken once in e times, mm²
   * @returns whether everything fits
   */
  run(steps: number, heat: number): boolean {
    this.heat = heat
    for (let i = 0; i < steps; i++) {
      this.changes = 0
      const taken = below(this.random, 100) < EXCHANGED ? this.exchange() : this.move()
      if (taken && this.fits) return true
    }
    return false
  }

  private exchange(): boolean {
    const { forest, curves, random } = this
    const { tree } = forest
    const a = below(random, this.among(SINGLE))
    const b = this.bestFor(a, SINGLE, unlike)
    const beside = forest.up[a]! >= 0 && forest.up[a] === forest.up[b]
    if (beside || forest.isIn(a, b) || forest.isIn(b, a)) return false
    const treeA = tree[a]!
    const treeB = tree[b]!
    if (!this.allow(treeA, treeB, curves.areaOf(b) - curves.areaOf(a))) return false
    forest.exchange(a, b)
    if (this.rise(forest.up[a]!, forest.up[b]!) && this.take(treeA, treeB)) return true
    this.undo()
    forest.exchange(a, b)
    return false
  }

  private move(): boolean {
    const { forest, curves, random } = this
    const { up, tree } = forest
    const a = below(random, this.among(SINGLE_MOVED))
    const node = up[a]!
    if (node < 0) return false
    const was = forest.beside(a)
    const beside = this.bestFor(a, 0, misfit)
    if (beside === node || beside === was || forest.isIn(beside, a)) return false
    const treeA = tree[a]!
    const treeB = tree[beside]!
    if (!this.allow(treeA, treeB, -curves.areaOf(a))) return false
    const above = up[node]!
    forest.move(a, beside)
    if (this.rise(above, node) && this.take(treeA, treeB)) return true
    this.undo()
    forest.move(a, was)
    return false
  }

  /** How many nodes are chosen among: the pieces, out of a hundred so many times, or all. */
  private among(single: number): number {
    return below(this.random, 100) < single ? this.forest.leaves : this.forest.nodes
  }

  /** Of some nodes at random the one that compares best with a node. */
  private bestFor(a: number, single: number, compare: Compare): number {
    const { curves, random } = this
    const among = this.among(single)
    let best = below(random, among)
    let least = best === a ? Infinity : curves.compared(a, best, compare)
    for (let i = below(random, TRIALS); i > 0; i--) {
      const k = below(random, among)
      const found = k === a ? Infinity : curves.compared(a, k, compare)
      if (found >= least) continue
      best = k
      least = found
    }
    return best
  }

  /**
   * Settles how far blocks may reach over after a move, by chance the more the hotter it is.
   * @param gained by the first tree from the second, mm²
   * @returns whether that can be, by the area of the pieces
   */
  private allow(a: number, b: number, gained: number): boolean {
    const { beyond, kept, heat } = this
    const more = -heat * Math.log(1 - this.random())
    if (a === b) {
      this.mayReach = beyond[a]! + more
      kept[a] = this.room(a) + this.mayReach
      return true
    }
    this.mayReach = beyond[a]! + beyond[b]! + more
    const leastA = Math.max(0, gained - this.room(a))
    const leastB = Math.max(0, -gained - this.room(b))
    kept[a] = this.room(a) - gained + this.mayReach - leastB
    kept[b] = this.room(b) + gained + this.mayReach - leastA
    return leastA + leastB <= this.mayReach
  }

  /** What a sheet is larger than the pieces in it, mm². */
  private room(tree: number): number {
    const { l, w } = this.sheets[tree]!
    return l * w - this.curves.areaOf(this.forest.root[tree]!)
  }

  /** Joins blocks anew from two nodes upwards, the deeper first. @returns whether there is still hope */
  private rise(a: number, b: number): boolean {
    const { up } = this.forest
    let depthA = a < 0 ? -1 : this.forest.depth(a)
    let depthB = b < 0 ? -1 : this.forest.depth(b)
    while (a >= 0 || b >= 0) {
      const both = a === b
      const onA = depthA >= depthB
      if (!this.join(onA ? a : b)) return false
      if (onA || both) {
        a = up[a]!
        depthA--
      }
      if (!onA || both) {
        b = up[b]!
        depthB--
      }
    }
    return true
  }

  /** Joins the blocks of a node. @returns false if all sizes waste more than what may be wasted in the tree */
  private join(k: number): boolean {
    const { forest, curves } = this
    const first = forest.first[k]!
    const second = forest.second[k]!
    const tree = forest.tree[k]!
    const most = curves.areaOf(first) + curves.areaOf(second) + this.kept[tree]!
    if (!curves.join(k, first, second, most, this.sheets[tree]!)) return false
    this.changed[this.changes++] = k
    return true
  }

  private undo(): void {
    for (let i = 0; i < this.changes; i++) this.curves.back(this.changed[i]!)
  }

  /** Takes a move if blocks don't reach over more than they may. */
  private take(a: number, b: number): boolean {
    const reachA = this.reach(a)
    const reachB = a === b ? 0 : this.reach(b)
    if (reachA + reachB > this.mayReach) return false
    this.beyond[a] = reachA
    if (a !== b) this.beyond[b] = reachB
    return true
  }

  private reach(tree: number): number {
    return Math.max(0, this.curves.beyond(this.forest.root[tree]!, this.sheets[tree]!))
  }
}
