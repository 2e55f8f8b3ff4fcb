import { describe, expect, it } from 'vitest'
import { below, randomFrom, type Random } from '#core/cutting/random'
import type { Layout } from '#core/cutting/two-d/layout'
import { sameTogether, type Shape } from '#core/cutting/two-d/sheets'
import { Annealing } from '#core/cutting/two-d/slicing/annealing'
import { ShapeCurves, type Rectangle } from '#core/cutting/two-d/slicing/curves'
import { Forest } from '#core/cutting/two-d/slicing/forest'
import { SlicingSearch } from '#core/cutting/two-d/slicing/search'
import { faultsOf, meansOf, shapeOf, sheetOf, shrunk } from './cut-problems'

const HUGE: Rectangle = { l: 1e9, w: 1e9 }

/** All sizes of a nested pair of pairs, the slow way: those that none other is no larger than. */
function allSizes(tree: Tree): Rectangle[] {
  if ('shape' in tree) {
    const { l, w, turns } = tree.shape
    return turns ? [shapeOf(l, w, true), shapeOf(w, l, true)] : [tree.shape]
  }
  const [first, second] = tree.parts
  const all = allSizes(first).flatMap((a) =>
    allSizes(second).flatMap((b) => [
      { l: a.l + b.l, w: Math.max(a.w, b.w) },
      { l: Math.max(a.l, b.l), w: a.w + b.w },
    ]),
  )
  return all.filter((s) => !all.some((o) => o !== s && o.l <= s.l && o.w <= s.w && (o.l < s.l || o.w < s.w)))
}

type Tree = { readonly shape: Shape } | { readonly parts: readonly [Tree, Tree] }

function randomTree(random: Random, pieces: number): Tree {
  if (pieces === 1) return { shape: shapeOf(1 + below(random, 20), 1 + below(random, 20), random() < 0.5) }
  const first = 1 + below(random, pieces - 1)
  return { parts: [randomTree(random, first), randomTree(random, pieces - first)] }
}

describe('sizes of a block', () => {
  it('are all that its cuts and its pieces allow, or the smallest of them', () => {
    const random = randomFrom(4)
    let cut = 0
    for (let i = 0; i < 300; i++) {
      const tree = randomTree(random, 1 + below(random, 5))
      const curves = new ShapeCurves(9)
      let next = 0
      const put = (t: Tree): number => {
        if ('shape' in t) curves.piece(next, t.shape, t.shape.turns)
        else {
          const [first, second] = [put(t.parts[0]), put(t.parts[1])]
          expect(curves.join(next, first, second, Infinity, HUGE)).toBe(true)
        }
        return next++
      }
      const found = curves.sizes(put(tree))
      const names = (sizes: readonly Rectangle[]): string[] => [...new Set(sizes.map((s) => `${s.l} x ${s.w}`))].sort()
      const all = allSizes(tree)
      // what was left out of a part may be missing in the whole
      if ('parts' in tree && tree.parts.some((p) => allSizes(p).length > 8)) continue
      if (names(all).length <= 8) expect(names(found)).toEqual(names(all))
      else {
        cut++
        expect(found).toHaveLength(8)
        expect(names(all)).toEqual(expect.arrayContaining(names(found)))
        const smallest = Math.min(...all.map((s) => s.l * s.w))
        expect(Math.min(...found.map((s) => s.l * s.w))).toBe(smallest)
      }
    }
    expect(cut).toBeGreaterThan(5)
  })

  it('stay as they were where all are too large, and come back after a change', () => {
    const curves = new ShapeCurves(3)
    curves.piece(0, { l: 30, w: 10 }, false)
    curves.piece(1, { l: 30, w: 12 }, false)
    curves.join(2, 0, 1, Infinity, HUGE)
    const before = curves.sizes(2)
    expect(curves.join(2, 0, 1, 659, HUGE)).toBe(false)
    expect(curves.sizes(2)).toEqual(before)
    expect(curves.join(2, 0, 1, 660, HUGE)).toBe(true)
    expect(curves.sizes(2)).toEqual([{ l: 30, w: 22 }])
    expect(curves.areaOf(2)).toBe(660)
    curves.back(2)
    expect(curves.sizes(2)).toEqual(before)
  })

  it('reach over a sheet by what covers both', () => {
    const curves = new ShapeCurves(1)
    curves.piece(0, { l: 40, w: 10 }, true)
    expect(curves.beyond(0, { l: 12, w: 40 })).toBe(0)
    expect(curves.beyond(0, { l: 30, w: 12 })).toBe(40 * 12 - 30 * 12)
  })
})

describe('slicing trees', () => {
  it('keep every leaf in one place, whatever is exchanged and moved', () => {
    const random = randomFrom(9)
    const forest = new Forest([[0, 1, 2, 3, 4], [5], [6, 7, 8, 9]], random)
    const shape = (): string => [forest.up, forest.tree, forest.root].map((a) => [...a].join()).join(' ')
    for (let i = 0; i < 3000; i++) {
      const a = below(random, forest.nodes)
      const b = below(random, forest.nodes)
      if (forest.isIn(a, b) || forest.isIn(b, a)) continue
      const before = shape()
      if (i % 2 === 0) {
        forest.exchange(a, b)
        if (i % 3 === 0) forest.exchange(a, b)
      } else if (forest.up[a]! >= 0 && forest.up[a] !== b && forest.beside(a) !== b) {
        const was = forest.beside(a)
        forest.move(a, b)
        expect(forest.beside(a)).toBe(b)
        if (i % 3 === 0) forest.move(a, was)
      }
      if (i % 3 === 0) expect(shape()).toBe(before)
      expectWhole(forest, 3)
    }
  })
})

function expectWhole(forest: Forest, trees: number): void {
  const met: number[] = []
  const walk = (k: number, up: number, tree: number): void => {
    met.push(k)
    expect([forest.up[k], forest.tree[k]]).toEqual([up, tree])
    if (forest.isLeaf(k)) return
    walk(forest.first[k]!, k, tree)
    walk(forest.second[k]!, k, tree)
  }
  for (let tree = 0; tree < trees; tree++) walk(forest.root[tree]!, -1, tree)
  expect(met.sort((a, b) => a - b)).toEqual(Array.from({ length: forest.nodes }, (_, k) => k))
}

describe('slicing trees that are cooled down', () => {
  const sheet = sheetOf(2440, 1220, Infinity)

  it('fill sheets anew from pieces that shrank a little', () => {
    for (const [seed, turns] of [
      [1, false],
      [2, true],
      [3, false],
    ] as const) {
      // prettier-ignore
      const shapes = shrunk(seed, [sheet, sheet], 11, 3, turns)
      const problem = { ...sameTogether(shapes), sheets: [sheet] }
      const search = new SlicingSearch(problem, 2 * sheet.cost, meansOf(seed))
      expect(search.goes).toBe(true)
      let plan: Layout | null = null
      for (let parts = 0; parts < 60 && plan?.left.length !== 0; parts++) plan = search.next() ?? plan
      expect(plan?.left, `seed ${seed}`).toEqual([])
      expect(plan?.cost).toBeLessThanOrEqual(2 * sheet.cost)
      expect(faultsOf(problem, plan!)).toEqual([])
    }
  })

  it('use offcuts, all of them or some, and leave what reaches over', () => {
    const offcuts = [sheetOf(900, 400, 2, 0), sheetOf(500, 500, 1, 0), sheetOf(300, 300, 1, 0)]
    const shapes = shrunk(5, [offcuts[0]!, offcuts[0]!, offcuts[1]!], 4, 5, true)
    const problem = { ...sameTogether(shapes), sheets: offcuts }
    const search = new SlicingSearch(problem, 0, meansOf(5))
    let plan: Layout | null = null
    for (let parts = 0; parts < 60 && plan?.left.length !== 0; parts++) {
      plan = search.next() ?? plan
      if (plan) expect(faultsOf(problem, plan)).toEqual([])
    }
    expect(plan?.left).toEqual([])
    expect(plan?.cost).toBe(0)

    const tooMuch = { ...sameTogether([...shapes, shapeOf(480, 290, false)]), sheets: offcuts.slice(0, 2) }
    expect(new SlicingSearch(tooMuch, 0, meansOf(5)).goes).toBe(false)
    const long = { ...sameTogether([...shapes.slice(1), shapeOf(901, 20, false)]), sheets: offcuts }
    const never = new SlicingSearch(long, 0, meansOf(5))
    let left: Layout | null = null
    while (!left) left = never.next()
    expect(left.left).toContain(long.pieces.length - 1)
    expect(faultsOf(long, left)).toEqual([])
  })

  it('are through when the time is up', () => {
    const shapes = shrunk(7, [sheet, sheet, sheet], 40, 2, true)
    const problem = { ...sameTogether(shapes), sheets: [sheet] }
    const search = new SlicingSearch(problem, 3 * sheet.cost, meansOf(7, 10, 0.05))
    let plan: Layout | null = null
    let parts = 0
    while (!plan && parts++ < 10) plan = search.next()
    expect(plan).not.toBeNull()
    expect(faultsOf(problem, plan!)).toEqual([])
  })

  it('are no way where there is no limit to what is bought', () => {
    const problem = { ...sameTogether([shapeOf(100, 100, false)]), sheets: [sheet] }
    expect(new SlicingSearch(problem, Infinity, meansOf(1)).goes).toBe(false)
  })

  it('know how far blocks reach over, after any number of moves', () => {
    const shapes = shrunk(11, [sheet, sheet], 15, 6, true)
    const groups = [shapes.map((_, i) => i).slice(0, 20), shapes.map((_, i) => i).slice(20)]
    const annealing = new Annealing(shapes, groups, [sheet, sheet], randomFrom(3))
    for (const heat of [0.05, 0.01, 0.002]) {
      annealing.run(4000, heat * sheet.area)
      const { forest, curves } = annealing
      const pieces = (k: number): number[] =>
        forest.isLeaf(k) ? [k] : [...pieces(forest.first[k]!), ...pieces(forest.second[k]!)]
      for (const tree of [0, 1]) {
        const root = forest.root[tree]!
        const held = pieces(root).filter((k) => k < shapes.length)
        expect(curves.areaOf(root)).toBeCloseTo(
          held.reduce((sum, k) => sum + shapes[k]!.area, 0),
          3,
        )
        const beyond = curves.beyond(root, annealing.sheets[tree]!)
        expect(annealing.goesIn(tree)).toBe(beyond <= 0)
        // no size of a block is too small for its pieces
        for (const s of curves.sizes(root)) expect(s.l * s.w).toBeGreaterThanOrEqual(curves.areaOf(root) - 1e-6)
      }
    }
  })
})
