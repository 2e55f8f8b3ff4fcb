import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { piecesIn } from '#core/cutting/two-d/plain/bits'
import { PIECE } from '#core/cutting/two-d/plain/lying'
import { FewBlocks } from '#core/cutting/two-d/few/blocks'
import { Pile } from '#core/cutting/two-d/few/pile'
import { Sizes } from '#core/cutting/two-d/few/sizes'
import type { Shape } from '#core/cutting/two-d/sheets'
import { SHEET, shapeOf, shrunk } from './cut-problems'
import { ALL, mayWaste } from './few-sheets'

/** The pieces that each block holds. */
const heldBy = ({ sets, top }: FewBlocks, pieces: number): number[][] =>
  Array.from({ length: top }, (_, i) => piecesIn(sets.subarray(i, i + 1), pieces, true))

describe('blocks of few pieces', () => {
  it('are each made once, waste no more than they may and go into the sheet', () => {
    const pieces = [
      shapeOf(300, 200, true),
      shapeOf(290, 210, false),
      shapeOf(250, 250, false),
      shapeOf(120, 400, true),
    ]
    const blocks = new FewBlocks(SHEET, 1, 10_000)
    expect(blocks.build(pieces, new Float64Array(4), mayWaste(20_000, 4), ALL.over)).toBe(true)
    const names = new Set<string>()
    for (let i = 0; i < blocks.top; i++) {
      const held = piecesIn(blocks.sets.subarray(i, i + 1), pieces.length, true)
      const net = held.reduce((sum, p) => sum + pieces[p]!.area, 0)
      expect(held.length).toBeLessThanOrEqual(3)
      expect(blocks.waste[i]).toBeCloseTo(blocks.l[i]! * blocks.w[i]! - net, 3)
      expect(blocks.waste[i]).toBeLessThanOrEqual(20_000)
      expect(blocks.l[i]! <= SHEET.l && blocks.w[i]! <= SHEET.w).toBe(true)
      names.add([blocks.axis[i], blocks.one[i], blocks.other[i]].join())
    }
    expect(names.size).toBe(blocks.top)
  })

  it('are all that there are, whatever their sizes', () => {
    // of two pieces: each pair lies side by side along either axis, in one order
    for (const turns of [false, true]) {
      const pieces = shrunk(11, [SHEET, SHEET], 8, 20, turns)
      const most = 30_000
      const blocks = new FewBlocks(SHEET, 1, 100_000)
      blocks.build(pieces, new Float64Array(pieces.length), { ...mayWaste(most, pieces.length), parts: 2 }, ALL.over)
      const lying = pieces.flatMap(({ l, w }, p) => (turns ? [[l, w, p], [w, l, p]] : [[l, w, p]]) as [number, number, number][]) // prettier-ignore
      const onSheet = lying.filter(([l, w]) => l <= SHEET.l && w <= SHEET.w)
      let pairs = 0
      for (const [l1, w1, p] of onSheet)
        for (const [l2, w2, q] of onSheet) {
          const areas = l1 * w1 + l2 * w2
          const fits = (l: number, w: number): boolean => l <= SHEET.l && w <= SHEET.w && l * w - areas <= most
          if (p < q) pairs += Number(fits(l1 + l2, Math.max(w1, w2))) + Number(fits(Math.max(l1, l2), w1 + w2))
        }
      expect(pairs).toBeGreaterThan(20)
      const made = heldBy(blocks, pieces.length).filter((held) => held.length <= 2)
      expect(made).toHaveLength(onSheet.length + pairs)
    }
  })

  it('are of more pieces than parts where sides agree, and only there', () => {
    for (const by of [0, 6]) {
      const pieces = shrunk(5, [SHEET], 12, by, false)
      const blocks = new FewBlocks(SHEET, 1, 100_000)
      blocks.build(pieces, new Float64Array(pieces.length), mayWaste(30_000, pieces.length), ALL.over)
      const [takes, reaches] = [
        [blocks.l, blocks.w],
        [blocks.w, blocks.l],
      ]
      for (let i = 0; i < blocks.top; i++) {
        const [axis, one, other] = [blocks.axis[i]!, blocks.one[i]!, blocks.other[i]!]
        if (axis === PIECE) {
          expect(blocks.parts[i]).toBe(1)
          continue
        }
        const agree = Math.abs(reaches[axis - 1]![one]! - reaches[axis - 1]![other]!) < 0.05
        expect(blocks.parts[i]).toBe(blocks.parts[one]! + blocks.parts[other]! - Number(agree))
        expect(blocks.parts[i]).toBeLessThanOrEqual(3)
        expect(takes[axis - 1]![i]).toBeCloseTo(takes[axis - 1]![one]! + takes[axis - 1]![other]!, 6)
      }
      const most = Math.max(...heldBy(blocks, pieces.length).map((held) => held.length))
      // the sheet itself is one where nothing shrank
      if (by === 0) expect(most).toBe(12)
      else expect(most).toBeLessThan(8)
    }
  })

  it('waste so much more for each join whose sides don\u2019t agree, where those are fined', () => {
    const fine = 5000
    const pieces = shrunk(5, [SHEET], 8, 6, false)
    const build = (fined: number): FewBlocks => {
      const blocks = new FewBlocks(SHEET, 1, 100_000)
      blocks.build(pieces, new Float64Array(8), { ...mayWaste(30_000, 8), fine: fined }, ALL.over)
      return blocks
    }
    const blocks = build(fine)
    let [some, without] = [0, 0]
    heldBy(blocks, 8).forEach((held, i) => {
      const wasted = blocks.l[i]! * blocks.w[i]! - held.reduce((sum, p) => sum + pieces[p]!.area, 0)
      // of more pieces than parts each join with one part less agrees
      expect(blocks.waste[i]).toBeCloseTo(wasted + fine * (blocks.parts[i]! - 1), 3)
      expect(blocks.waste[i]).toBeLessThanOrEqual(30_000)
      if (blocks.parts[i]! > 1) some++
      else without++
    })
    expect(Math.min(some, without)).toBeGreaterThan(5)
    // what wastes too much with fines isn't made
    expect(build(0).top).toBeGreaterThan(blocks.top)
  })

  it('are no more than may be made', () => {
    const blocks = new FewBlocks(SHEET, 1, 5)
    const six = new Array<Shape>(6).fill(shapeOf(100, 100, false))
    expect(blocks.build(six, new Float64Array(6), mayWaste(1000, 6), ALL.over)).toBe(false)
    expect(blocks.top).toBe(5)
  })

  it('are no more than there is time for', () => {
    const pieces = shrunk(1, new Array<typeof SHEET>(6).fill(SHEET), 12, 25, true)
    const build = (most: number): { asked: number; top: number; all: boolean } => {
      let asked = 0
      const blocks = new FewBlocks(SHEET, 3, 100_000)
      const all = blocks.build(pieces, new Float64Array(72), mayWaste(60_000, 72), () => ++asked > most)
      return { asked, top: blocks.top, all }
    }
    const whole = build(Infinity)
    expect(whole).toMatchObject({ all: true })
    expect(whole.top).toBeGreaterThan(5000)
    // the clock is asked all along, and what it says ends it at once
    const some = build(20)
    expect(some).toMatchObject({ asked: 21, all: false })
    expect(some.top).toBeLessThan(whole.top)
    expect(whole.asked).toBeGreaterThan(60)
  })

  it('are found by their sizes: all that reach across a rectangle, or fill it, with so much wasted in and beside them', () => {
    const size = fc.double({ min: 5, max: 700, noNaN: true })
    const some = fc.array(fc.tuple(size, size, fc.double({ min: -4000, max: 4000, noNaN: true })), {
      minLength: 1,
      maxLength: 60,
    })
    fc.assert(
      fc.property(
        some,
        size,
        size,
        fc.double({ min: -4000, max: 90_000, noNaN: true }),
        (all, length, width, spare) => {
          const each = (k: 0 | 1 | 2): Float64Array => Float64Array.from(all, (block) => block[k])
          const [along, across, waste] = [each(0), each(1), each(2)]
          const by = new Sizes(Int32Array.from(all.keys()), along, across, waste)
          const goes = [...all.keys()].filter((i) => along[i]! <= length && across[i]! <= width)
          const piled = (is: 'reaching' | 'filling'): number[] => {
            const pile = new Pile()
            by[is](length, width, spare, pile)
            expect(pile.looked).toBeGreaterThanOrEqual(pile.top)
            return [...pile.blocks.subarray(0, pile.top)].sort((a, b) => a - b)
          }
          const beside = (i: number): number => (width - across[i]!) * along[i]!
          expect(piled('reaching')).toEqual(goes.filter((i) => beside(i) + waste[i]! <= spare))
          const left = (i: number): number => length * width - along[i]! * across[i]!
          expect(piled('filling')).toEqual(goes.filter((i) => left(i) + waste[i]! <= spare))
        },
      ),
      { numRuns: 300, seed: 3 },
    )
  })

  it('are piled on those of the rests that one was left of, however many there are', () => {
    const many = 6000
    const of = (value: number): Float64Array => new Float64Array(many).fill(value)
    const by = new Sizes(Int32Array.from({ length: many }, (_, i) => i), of(100), of(50), of(0)) // prettier-ignore
    const pile = new Pile()
    by.reaching(300, 50, 0, pile)
    by.filling(100, 50, 0, pile)
    expect(pile.top).toBe(2 * many)
    expect([...pile.blocks.subarray(0, pile.top)]).toEqual([...Array(2 * many).keys()].map((i) => i % many))
    expect(pile.looked).toBeGreaterThanOrEqual(2 * many)
  })
})
