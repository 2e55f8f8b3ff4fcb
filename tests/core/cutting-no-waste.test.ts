import { describe, expect, it } from 'vitest'
import { below, randomFrom } from '#core/cutting/random'
import { readInstance } from '#core/cutting/read-instance'
import { piecesIn } from '#core/cutting/two-d/blocks'
import { tightCover } from '#core/cutting/two-d/no-waste/tight-cover'
import { TightSheets } from '#core/cutting/two-d/no-waste/tight-sheets'
import { pose } from '#core/cutting/two-d/problem'
import { areaOf, demandOf, type Problem } from '#core/cutting/two-d/sheets'
import { dissect } from './cut-instances'

const REACH = { blocks: 20_000, rests: 50_000, sheets: 5000, nodes: 1000 }
const never = (): boolean => false

/** Sheets cut apart edge to edge at random: their pieces fill them without waste. */
function cutApart(seed: number, sheets: number, pieces: number, canRotate: boolean): Problem {
  const random = randomFrom(Math.imul(seed, 0x9e3779b1))
  const kerf = [0, 2.4, 3.175][below(random, 3)]!
  const sheet = { length: 2440, width: 1220 }
  const parts = Array.from({ length: sheets }, () => dissect(random, sheet, pieces, kerf, 1, 60)).flat()
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
      const found = tightCover(problem, REACH, never)
      expect(found.length, `seed ${seed}`).toBe(sheets)
      const held = problem.shapes.map((_, i) => found.reduce((sum, f) => sum + f.built.counts[i]!, 0))
      expect(held).toEqual([...demandOf(problem)])
    }
  })

  it('hold what they say, beside each other and to the edges', () => {
    for (const seed of [3, 8]) {
      const problem = cutApart(seed, 3, 10, seed === 8)
      const tight = new TightSheets(problem)
      tight.find(REACH, never)
      expect(tight.found.length).toBeGreaterThanOrEqual(3)
      for (const one of tight.found) {
        const { built, sheet } = tight.full(one)
        const lying = piecesIn(built.block, 0, 0, false)
        const rects = lying.map(({ piece, x, y, turned }) => {
          const { l, w } = problem.shapes[piece]!
          return { x, y, l: turned ? w : l, w: turned ? l : w, area: l * w }
        })
        const { l, w } = problem.sheets[sheet]!
        expect(rects.reduce((sum, r) => sum + r.area, 0)).toBeCloseTo(l * w, 3)
        for (const r of rects) {
          expect(r.x + r.l).toBeLessThan(l + 1e-6)
          expect(r.y + r.w).toBeLessThan(w + 1e-6)
          for (const o of rects)
            if (o !== r) {
              const apart = r.x + r.l <= o.x + 1e-6 || o.x + o.l <= r.x + 1e-6
              expect(apart || r.y + r.w <= o.y + 1e-6 || o.y + o.w <= r.y + 1e-6).toBe(true)
            }
        }
      }
    }
  })

  it('are all found from the halves of a sheet and from whole ones', () => {
    const problem = cutApart(5, 3, 11, true)
    const names = (blocks: number): string[] => {
      const tight = new TightSheets(problem)
      expect(tight.find({ ...REACH, blocks }, never)).toBe(true)
      return tight.found.map((f) => [...tight.packing.counts(f.holds)].join(' ')).sort()
    }
    const all = names(1e6)
    const half = new TightSheets(problem)
    let blocks = 200
    while (!half.find({ ...REACH, blocks }, never) && blocks < 1e6) blocks *= 1.3
    expect(names(blocks)).toEqual(all)
  })

  it('are never wasteful, and none where there is none', () => {
    const problem = cutApart(6, 2, 9, false)
    const short = { ...problem, sheets: problem.sheets.map((s) => ({ ...s, l: s.l - 1, area: (s.l - 1) * s.w })) }
    expect(tightCover(short, REACH, never)).toEqual([])
    for (const f of tightCover(problem, REACH, never))
      expect(f.built.counts.reduce((sum, n, i) => sum + n * problem.shapes[i]!.area, 0)).toBeCloseTo(
        problem.sheets[f.sheet]!.area,
        3,
      )
    expect(areaOf(problem, problem.pieces.map((_, i) => i))).toBeCloseTo(2 * problem.sheets[0]!.area, 3) // prettier-ignore
  })
})
