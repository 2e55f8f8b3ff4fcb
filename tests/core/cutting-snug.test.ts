import { describe, expect, it } from 'vitest'
import { below, randomFrom } from '#core/cutting/random'
import { readInstance } from '#core/cutting/read-instance'
import type { FullSheet } from '#core/cutting/two-d/build-up'
import { piecesIn } from '#core/cutting/two-d/blocks'
import { fillSnugly, playFor } from '#core/cutting/two-d/snug/fill'
import { fullSheet } from '#core/cutting/two-d/snug/full'
import { SnugSheets } from '#core/cutting/two-d/snug/sheets'
import { outOfBlocks } from '#core/cutting/two-d/layout'
import { inSpanningRows } from '#core/cutting/two-d/rows'
import { pose } from '#core/cutting/two-d/problem'
import { areaOf, demandOf, type Problem } from '#core/cutting/two-d/sheets'
import { dissect } from './cut-instances'

const REACH = { blocks: 20_000, rests: 50_000, sheets: 5000, nodes: 1000 }
const NONE = { share: 0, most: 1 }
const ANY = { waste: 1, cost: Infinity }
const never = (): boolean => false

/** Sheets cut apart edge to edge at random: their pieces fill them without waste. */
function cutApart(
  seed: number,
  sheets: number,
  pieces: number,
  canRotate: boolean,
  coarse?: { grid: number },
): Problem {
  const random = randomFrom(Math.imul(seed, 0x9e3779b1))
  const kerf = coarse ? 0 : [0, 2.4, 3.175][below(random, 3)]!
  const sheet = { length: 2440, width: 1220 }
  const parts = Array.from({ length: sheets }, () => dissect(random, sheet, pieces, kerf, coarse?.grid ?? 1, 60)).flat()
  const read = readInstance(
    JSON.stringify({
      kind: '2d',
      kerf,
      stock: [{ id: 'sheet', ...sheet }],
      parts: parts.map((p, i) => ({ id: `p${i}`, ...p, canRotate })),
    }),
  )
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  return pose(read.instance).problem
}

describe('sheets without waste', () => {
  it('are found together again from their pieces', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const sheets = 1 + (seed % 5)
      const problem = cutApart(seed, sheets, 4 + seed, seed % 2 === 0)
      const found = fillSnugly(problem, NONE, ANY, REACH, never)
      expect(found.length, `seed ${seed}`).toBe(sheets)
      const held = problem.shapes.map((_, i) => found.reduce((sum, f) => sum + f.built.counts[i]!, 0))
      expect(held).toEqual([...demandOf(problem)])
    }
  })

  it('are chosen set after set where sizes are few, so that all fit each other', () => {
    for (const seed of [1, 5, 12]) {
      const problem = cutApart(seed, 8, 10, true, { grid: 10 })
      const reach = { blocks: 3000, rests: 20_000, sheets: 5000, nodes: 1000 }
      expect(fillSnugly(problem, NONE, ANY, reach, never).length, `seed ${seed}`).toBeLessThan(8)
      const found = fillSnugly(problem, NONE, ANY, { ...reach, tries: { lasts: 150, more: [20] } }, never)
      const held = problem.shapes.map((_, i) => found.reduce((sum, f) => sum + f.built.counts[i]!, 0))
      expect(held, `seed ${seed}`).toEqual([...demandOf(problem)])
      for (const full of found) expect(faultsOf(problem, full)).toEqual([])
    }
  })

  it('hold what they say, beside each other and to the edges', () => {
    for (const seed of [3, 8]) {
      const problem = cutApart(seed, 3, 10, seed === 8)
      const tight = new SnugSheets(problem, NONE, REACH)
      tight.find(never)
      expect(tight.found.length).toBeGreaterThanOrEqual(3)
      for (const one of tight.found) {
        const full = fullSheet(tight.packing, one)
        expect(faultsOf(problem, full)).toEqual([])
        const net = full.built.counts.reduce((sum, n, i) => sum + n * problem.shapes[i]!.area, 0)
        expect(net).toBeCloseTo(problem.sheets[full.sheet]!.area, 3)
      }
    }
  })

  it('are all found from the halves of a sheet and from whole ones', () => {
    const problem = cutApart(5, 3, 11, true)
    const names = (blocks: number): string[] => {
      const tight = new SnugSheets(problem, NONE, { ...REACH, blocks })
      expect(tight.find(never)).toBe(true)
      return tight.found.map((f) => [...tight.packing.counts(f.holds)].join(' ')).sort()
    }
    const all = names(1e6)
    let blocks = 200
    while (!new SnugSheets(problem, NONE, { ...REACH, blocks }).find(never) && blocks < 1e6) blocks *= 1.3
    expect(names(blocks)).toEqual(all)
  })

  it('are never wasteful, and none where there is none', () => {
    const problem = cutApart(6, 2, 9, false)
    const short = { ...problem, sheets: problem.sheets.map((s) => ({ ...s, l: s.l - 1, area: (s.l - 1) * s.w })) }
    expect(fillSnugly(short, NONE, ANY, REACH, never)).toEqual([])
    for (const f of fillSnugly(problem, NONE, ANY, REACH, never))
      expect(f.built.counts.reduce((sum, n, i) => sum + n * problem.shapes[i]!.area, 0)).toBeCloseTo(
        problem.sheets[f.sheet]!.area,
        3,
      )
    expect(areaOf(problem, problem.pieces.map((_, i) => i))).toBeCloseTo(2 * problem.sheets[0]!.area, 3) // prettier-ignore
  })

  it('cost no more than they may, and are few enough', () => {
    const problem = cutApart(9, 4, 8, true)
    const [sheet] = problem.sheets
    for (const n of [0, 1, 3]) {
      const found = fillSnugly(problem, NONE, { waste: 1, cost: n * sheet!.cost }, REACH, never)
      expect(found).toHaveLength(n)
    }
    const two = { ...problem, sheets: [{ ...sheet!, count: 2 }] }
    expect(fillSnugly(two, NONE, ANY, REACH, never)).toHaveLength(2)
  })
})

describe('sheets with little waste', () => {
  it('are found from pieces that shrank a little, and waste no more than they may', () => {
    let all = 0
    for (let seed = 1; seed <= 6; seed++) {
      const tight = cutApart(seed, 3, 8, seed % 2 === 0)
      const random = randomFrom(seed)
      const shapes = tight.shapes.map((s) => {
        const [l, w] = [s.l - below(random, 3), s.w - below(random, 3)]
        return { ...s, l, w, area: l * w }
      })
      const problem = { ...tight, shapes }
      const slack = 3 * problem.sheets[0]!.area - areaOf(problem, problem.pieces.map((_, i) => i)) // prettier-ignore
      const play = playFor(problem, slack, 3 * problem.sheets[0]!.area, 2.3)!
      const found = fillSnugly(problem, play, { waste: slack, cost: Infinity }, REACH, never)
      all += found.length
      const wasted = found.reduce((sum, f) => sum + f.waste, 0)
      expect(wasted).toBeLessThanOrEqual(slack + 1)
      if (found.length === 3) expect(wasted).toBeCloseTo(slack, 0)
      for (const f of found) expect(faultsOf(problem, f)).toEqual([])
    }
    // three each; where the sheets chosen first spoil the last one it is one fewer
    expect(all).toBeGreaterThanOrEqual(16)
  })

  it('are looked for only where sides tell something: the more pieces in a sheet, the less may be wasted', () => {
    const wasted = (pieces: number, part: number): boolean => {
      const problem = cutApart(2, 2, pieces, false)
      const room = 2 * problem.sheets[0]!.area
      return playFor(problem, part * room, room, 1) !== null
    }
    expect([6, 12, 28].map((pieces) => wasted(pieces, 0.004))).toEqual([true, true, true])
    expect([6, 12, 28].map((pieces) => wasted(pieces, 0.011))).toEqual([true, true, false])
    expect([6, 12, 28].map((pieces) => wasted(pieces, 0.019))).toEqual([true, false, false])
    expect(wasted(6, 0.021)).toBe(false)
  })

  it('are found where sizes in inches were rounded to hundredths of a millimetre', () => {
    const random = randomFrom(77)
    const inch = 25.4
    const parts = Array.from({ length: 3 }, () => dissect(random, { length: 96 * inch, width: 48 * inch }, 8, inch / 8, inch / 32, 60)).flat() // prettier-ignore
    const rounded = (size: number): number => Math.floor(size * 100) / 100
    const read = readInstance(
      JSON.stringify({
        kind: '2d',
        kerf: 3.17,
        stock: [{ id: 'sheet', length: 2438.4, width: 1219.2 }],
        parts: parts.map((p, i) => ({ id: `p${i}`, length: rounded(p.length), width: rounded(p.width) })),
      }),
    )
    if (!read.ok) throw new Error(JSON.stringify(read.problems))
    const { problem } = pose(read.instance)
    const room = 3 * problem.sheets[0]!.area
    const slack = room - areaOf(problem, problem.pieces.map((_, i) => i)) // prettier-ignore
    expect(slack).toBeGreaterThan(10)
    const play = playFor(problem, slack, room, 2.3)!
    const found = fillSnugly(problem, play, { waste: slack, cost: Infinity }, REACH, never)
    expect(found).toHaveLength(3)
    for (const f of found) expect(faultsOf(problem, f)).toEqual([])
  })

  it('are not looked for where more may be wasted', () => {
    const problem = cutApart(1, 2, 8, false)
    const room = 2 * problem.sheets[0]!.area
    expect(playFor(problem, 0.1 * room, room, 2)).toBeNull()
    expect(playFor(problem, 0, room, 2)).toEqual({ share: 0, most: 1 })
  })
})

describe('equal pieces', () => {
  const posed = (
    parts: { id: string; length: number; width: number; count: number; canRotate?: boolean }[],
  ): Problem => {
    const stock = [{ id: 'sheet', length: 1200, width: 600 }]
    const read = readInstance(JSON.stringify({ kind: '2d', kerf: 0, stock, parts }))
    if (!read.ok) throw new Error(JSON.stringify(read.problems))
    return pose(read.instance).problem
  }

  it('lie in rows that span a sheet, and come out of them again each where it was', () => {
    const problem = posed([
      { id: 'a', length: 300, width: 70, count: 9 },
      { id: 'b', length: 398, width: 110, count: 7, canRotate: true },
      { id: 'c', length: 500, width: 90, count: 1 },
    ])
    const rows = inSpanningRows(problem)!
    // two rows of four and one left; two of three and one left; and the single one
    expect(rows.blocks).toHaveLength(2 + 1 + 2 + 1 + 1)
    const laid = rows.blocks.map((_, piece) => ({ piece, x: 0, y: piece * 200, turned: false }))
    const plan = outOfBlocks(rows.blocks, { laid: [{ sheet: 0, lying: laid }], left: [], cost: 0 })
    const lying = plan.laid[0]!.lying
    expect(lying.map((p) => p.piece).sort((a, b) => a - b)).toEqual(problem.pieces.map((_, i) => i))
    const first = lying.filter((p) => p.y === 0)
    expect(first.map((p) => p.x)).toEqual([0, 300, 600, 900])
  })

  it('lie in no row that goes into no sheet', () => {
    // side by side they are as long as the sheet, and wider than it; each goes in turned
    const rows = inSpanningRows(
      posed([
        { id: 'a', length: 300, width: 700, count: 4, canRotate: true },
        { id: 'b', length: 400, width: 100, count: 6 },
      ]),
    )!
    expect(rows.blocks.map((b) => `${b.l} × ${b.w}`)).toEqual(['600 × 700', '600 × 700', '1200 × 100', '1200 × 100'])
    for (const { l, w, turns } of rows.blocks)
      expect((l <= 1200 && w <= 600) || (turns && w <= 1200 && l <= 600)).toBe(true)
  })

  it('stay single where they span nothing', () => {
    expect(inSpanningRows(posed([{ id: 'a', length: 700, width: 310, count: 8 }]))).toBeNull()
  })
})

/** What is wrong with a full sheet: pieces beyond its edges, over each other, or other pieces than it says. */
function faultsOf(problem: Problem, { sheet, built }: FullSheet): string[] {
  const { l, w } = problem.sheets[sheet]!
  const rects = piecesIn(built.block, 0, 0, false).map(({ piece, x, y, turned }) => {
    const shape = problem.shapes[piece]!
    return { piece, x, y, toX: x + (turned ? shape.w : shape.l), toY: y + (turned ? shape.l : shape.w) }
  })
  const said = Array.from(built.counts)
  for (const { piece } of rects) said[piece]!--
  return [
    ...rects.filter((r) => r.toX > l + 1e-6 || r.toY > w + 1e-6).map((r) => `${r.piece} is beyond the edge`),
    ...said.flatMap((n, shape) => (n === 0 ? [] : [`${n} of ${shape} too few`])),
    ...rects.flatMap((r, i) =>
      rects
        .slice(i + 1)
        .filter((o) => r.x < o.toX - 1e-6 && o.x < r.toX - 1e-6 && r.y < o.toY - 1e-6 && o.y < r.toY - 1e-6)
        .map((o) => `${r.piece} lies over ${o.piece}`),
    ),
  ]
}
