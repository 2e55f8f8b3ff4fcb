import { below, type Random } from '../random'
import { SAME } from '../instance'
import { copyBin, isEmpty, lookForWaste, newBin, type Bin, type Problem } from './sheets'
import { clear, gather, gatherPieces, place, type Node } from './tree'

/** A plan in the making: some bins, and the pieces that lie in none of them. */
export interface State {
  bins: Bin[]
  left: number[]
  /** What the bins cost, mm². */
  cost: number
}

/** Where a piece would go. */
interface Spot {
  bin: number
  waste: number
  /** A bin to be opened, the index of its sheet; -1 for none. */
  open: number
  l: number
  w: number
  axis: 0 | 1
}

/**
 * How much a piece l x w spoils a piece of waste, the first cut along `axis`: the square of the waste's area less the
 * squares of what remains. Low when the waste is small, or when one large piece of waste is left.
 */
function spoilt(W: number, H: number, l: number, w: number, axis: 0 | 1): number {
  const area = W * H
  const restL = W - l
  const restW = H - w
  const along = axis === 0 ? restL * H : restW * W
  const across = axis === 0 ? l * restW : restL * w
  return area * area - along * along - across * across
}

/** Takes some pieces out of a plan and puts them back in another way: the step of the search. */
export class RuinRecreate {
  private round = 0
  private readonly tried: Int32Array
  private readonly spot: Spot = { bin: -1, waste: -1, open: -1, l: 0, w: 0, axis: 0 }

  constructor(
    private readonly problem: Problem,
    private readonly random: Random,
  ) {
    this.tried = new Int32Array(problem.shapes.length)
  }

  /**
   * One step from a plan. The plan itself stays as it is.
   * @param limit what the bins may cost in all, mm²
   */
  next(from: State, limit: number, largest: number, blink: number): State {
    const state: State = { bins: from.bins.slice(), left: from.left.slice(), cost: from.cost }
    this.ruin(state, largest)
    this.recreate(state, limit, blink)
    return state
  }

  /** Puts what is left into the bins, opening more of them while the limit allows. */
  recreate(state: State, limit: number, blink: number): void {
    const order = this.order(state.left)
    const left: number[] = []
    this.round++
    for (const piece of order) {
      const shape = this.problem.pieces[piece]!
      if (this.tried[shape] === this.round || !this.find(state, shape, limit, blink)) {
        if (blink === 0) this.tried[shape] = this.round
        left.push(piece)
        continue
      }
      this.put(state, piece)
    }
    state.left = left
  }

  private order(left: readonly number[]): number[] {
    const { shapes, pieces } = this.problem
    const r = this.random()
    const noise = 0.3 * this.random()
    const key = (p: number): number => {
      const s = shapes[pieces[p]!]!
      const base = r < 0.5 ? s.area : r < 0.75 ? Math.max(s.l, s.w) ** 2 : r < 0.9 ? Math.min(s.l, s.w) ** 2 : 1
      return base * (1 + noise * this.random())
    }
    const keyed = left.map((p): [number, number] => [key(p), p])
    keyed.sort((a, b) => b[0] - a[0])
    return keyed.map((k) => k[1])
  }

  /** Finds the spot that a shape spoils least. @returns whether there is one */
  private find(state: State, shape: number, limit: number, blink: number): boolean {
    const { l, w, turns } = this.problem.shapes[shape]!
    const spot = this.spot
    let best = Infinity
    for (let b = 0; b < state.bins.length; b++) {
      const waste = state.bins[b]!.waste
      for (let i = 0; i < waste.length; i++) {
        const node = waste[i]!
        for (let turned = 0; turned < (turns ? 2 : 1); turned++) {
          const pl = turned ? w : l
          const pw = turned ? l : w
          if (pl > node.l + SAME || pw > node.w + SAME) continue
          if (blink > 0 && this.random() < blink) continue
          for (let axis: 0 | 1 = 0; axis < 2; axis++) {
            const s = spoilt(node.l, node.w, pl, pw, axis as 0 | 1)
            if (s >= best) continue
            best = s
            spot.bin = b
            spot.waste = i
            spot.open = -1
            spot.l = pl
            spot.w = pw
            spot.axis = axis as 0 | 1
          }
        }
      }
    }
    if (best < Infinity) return true
    return this.findNew(state, l, w, turns, limit)
  }

  /** A sheet to be opened for a shape: the one with the least area for its cost's sake. */
  private findNew(state: State, l: number, w: number, turns: boolean, limit: number): boolean {
    const { sheets } = this.problem
    const fits: Omit<Spot, 'bin' | 'waste'>[] = []
    for (let open = 0; open < sheets.length; open++) {
      const s = sheets[open]!
      if (state.cost + s.cost > limit + SAME) continue
      let used = 0
      for (const bin of state.bins) if (bin.sheet === open) used++
      if (used >= s.count) continue
      const axis = this.random() < 0.5 ? 0 : 1
      if (l <= s.l + SAME && w <= s.w + SAME) fits.push({ open, l, w, axis })
      if (turns && w <= s.l + SAME && l <= s.w + SAME) fits.push({ open, l: w, w: l, axis })
    }
    if (fits.length === 0) return false
    Object.assign(this.spot, fits[below(this.random, fits.length)])
    return true
  }

  private put(state: State, piece: number): void {
    const { bin: b, waste, open, l, w, axis } = this.spot
    let bin: Bin
    let node: Node
    if (open >= 0) {
      bin = newBin(this.problem, open, state)
      state.bins.push(bin)
      state.cost += this.problem.sheets[open]!.cost
      node = bin.root
    } else {
      bin = this.own(state, b)
      node = bin.waste[waste]!
    }
    const at = bin.waste.indexOf(node)
    bin.waste[at] = bin.waste[bin.waste.length - 1]!
    bin.waste.pop()
    place(node, piece, l, w, axis, SAME, bin.waste)
  }

  private own(state: State, b: number): Bin {
    const bin = state.bins[b]!
    if (bin.owner === state) return bin
    const copy = copyBin(bin, state)
    state.bins[b] = copy
    return copy
  }

  private ruin(state: State, largest: number): void {
    const { random } = this
    let wanted = 1 + below(random, largest)
    const all: Node[] = []
    const out: number[] = []
    let rounds = 0
    while (wanted > 0 && state.bins.length > 0 && rounds++ < 20) {
      const b = below(random, state.bins.length)
      if (isEmpty(state.bins[b]!)) continue
      const bin = this.own(state, b)
      all.length = 0
      gather(bin.root, all)
      const node = all[below(random, all.length)]!
      out.length = 0
      gatherPieces(node, out)
      if (out.length === 0) continue
      clear(node)
      wanted -= out.length
      state.left.push(...out)
      if (isEmpty(bin)) {
        state.bins.splice(b, 1)
        state.cost -= this.problem.sheets[bin.sheet]!.cost
      } else lookForWaste(bin)
    }
  }
}
