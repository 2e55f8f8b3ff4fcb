import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boardMarks, isMain } from '#core/bench/marks'
import { remediesFor } from '#core/choose/remedies'
import { design, type Design } from '#core/choose/design'
import { withChange } from '#core/checks/change'
import { holderViews } from '#core/drawing/views'
import { HolderDto } from '#core/exchange/project/holder.dto'
import { checkAgainst } from '#core/exchange/project/problems'
import { filledShop, ShopDto } from '#core/exchange/project/shop.dto'
import { boardSvg } from '#core/exchange/svg'
import { SURENESS } from '#core/footprint/tool'
import type { PlanInput } from '#core/forms/form'
import { gridStep } from '#core/units/format-length'
import { mallet, railOf, shopWith } from './samples'
import { wrongIn } from './worked-out'

const tool = fc.record({
  handleWidth: fc.double({ min: 10, max: 60, noNaN: true }),
  headWidth: fc.double({ min: 12, max: 200, noNaN: true }),
  headLength: fc.double({ min: 25, max: 350, noNaN: true }),
  handleThickness: fc.option(fc.double({ min: 10, max: 60, noNaN: true }), { nil: undefined }),
  sure: fc.constantFrom(...SURENESS),
  neck: fc.constantFrom('round', 'rectangular'),
  mass: fc.option(fc.double({ min: 0.05, max: 6, noNaN: true }), { nil: null }),
  turn: fc.constantFrom(0, 1, 2, 3) as fc.Arbitrary<0 | 1 | 2 | 3>,
})

/** Random tools in random shops, with every choice of the form. */
const inputs: fc.Arbitrary<PlanInput> = fc
  .record({
    tools: fc.array(tool, { minLength: 1, maxLength: 12 }),
    unit: fc.constantFrom('mm', 'in') as fc.Arbitrary<'mm' | 'in'>,
    gridMm: fc.constantFrom(0.1, 0.5, 1) as fc.Arbitrary<0.1 | 0.5 | 1>,
    gridIn: fc.constantFrom(8, 16, 32, 64) as fc.Arbitrary<8 | 16 | 32 | 64>,
    fit: fc.constantFrom('snug', 'sliding', 'easy'),
    pitch: fc.constantFrom('neighbour', 'even'),
    slots: fc.constantFrom('bored', 'filed', 'jigsawn'),
    ends: fc.constantFrom('inside', 'overhang'),
    back: fc.constantFrom('below', 'behind'),
    gap: fc.double({ min: 0, max: 80, noNaN: true }),
    margin: fc.double({ min: 0, max: 60, noNaN: true }),
  })
  .map(({ tools, unit, gridMm, gridIn, ...choices }) => {
    const made = tools.map((t, i) => {
      const { sure, neck, mass, turn: _, handleThickness, ...measures } = t
      const all = handleThickness === undefined ? measures : { ...measures, handleThickness }
      return mallet(`t${i}`, t.handleWidth, t.headWidth, { sure, mass, options: { neck }, measures: all })
    })
    const input = railOf(made, choices, shopWith({ unit, gridMm, gridIn }))
    const seats = input.holder.seats.map((s, i) => ({ ...s, turn: tools[i]!.turn }))
    return { ...input, holder: { ...input.holder, seats } }
  })

const numbersIn = (value: unknown): number[] =>
  typeof value === 'number'
    ? [value]
    : value && typeof value === 'object'
      ? Object.values(value).flatMap(numbersIn)
      : []

const runs = { numRuns: 150 }
const each = (check: (d: Design) => void) =>
  fc.assert(
    fc.property(inputs, (input) => check(design(input))),
    runs,
  )

describe('any finger rail', () => {
  it('has no figure that is not a number', () =>
    each((d) => {
      for (const n of numbersIn([d.model, d.working, d.verdicts])) expect(Number.isFinite(n)).toBe(true)
    }))

  it('shows a working that comes to the figure', () =>
    each((d) => {
      expect(wrongIn(d.working)).toEqual([])
    }))

  it('keeps every opening inside its board, and apart from the next', () =>
    each((d) => {
      for (const board of d.model?.boards ?? []) {
        const openings = [...board.openings].sort((a, b) => a.centre.x - b.centre.x)
        openings.forEach((o, i) => {
          expect(o.centre.x - o.width / 2).toBeGreaterThan(0)
          expect(o.centre.x + o.width / 2).toBeLessThan(board.length)
          expect(o.centre.y - o.width / 2).toBeGreaterThan(0)
          const next = openings[i + 1]
          if (next) expect(next.centre.x - next.width / 2).toBeGreaterThan(o.centre.x + o.width / 2)
        })
      }
    }))

  it('prints marks within half a grid step, and a chain that adds up to the printed length', () =>
    each((d) => {
      if (!d.model) return
      const { shop } = d.input
      const { marks, chain } = boardMarks(d.model, d.model.boards[0]!, shop)
      for (const m of marks) expect(Math.abs(m.printed - m.x)).toBeLessThanOrEqual(gridStep(shop) / 2 + 1e-9)
      expect(chain.reduce((sum, l) => sum + l.printed, 0)).toBeCloseTo(marks.at(-1)!.printed, 6)
      const main = marks.filter(isMain)
      chain.forEach((l, i) => expect(l.printed).toBeCloseTo(main[i + 1]!.printed - main[i]!.printed, 6))
    }))

  it('honours the gap and the margin exactly', () =>
    each((d) => {
      if (!d.model || d.input.holder.choices.pitch === 'even' || d.input.holder.choices.ends === 'overhang') return
      const { gap, margin } = d.input.holder.choices as Record<string, number>
      const { seats } = d.model
      expect(seats[0]!.at.x - seats[0]!.extent.left).toBeCloseTo(margin!, 6)
      seats.slice(1).forEach((s, i) => {
        const before = seats[i]!
        expect(s.at.x - s.extent.left - (before.at.x + before.extent.right)).toBeCloseTo(gap!, 6)
      })
    }))

  it('has slots that admit their necks', () =>
    each((d) => {
      for (const seat of d.model?.seats ?? []) {
        const of = (name: string) => d.working.find((f) => f.id === seat.figures[name])!.value
        expect(of('slot')).toBeGreaterThanOrEqual(of('needed') - 1e-6)
        expect(of('slot')).toBeGreaterThan(of('neckAcross'))
      }
    }))

  it('is the same for the same input, and mirrored for the mirrored order', () =>
    each((d) => {
      expect(design(d.input).model).toEqual(d.model)
      if (!d.model) return
      const turn = (t: number) => ((4 - t) % 4) as 0 | 1 | 2 | 3
      const seats = [...d.input.holder.seats].reverse().map((s) => ({ ...s, turn: turn(s.turn) }))
      const other = design({ ...d.input, holder: { ...d.input.holder, seats } }).model!
      const { length, openings } = d.model.boards[0]!
      expect(other.boards[0]!.length).toBeCloseTo(length, 6)
      const back = [...other.boards[0]!.openings].reverse()
      openings.forEach((o, i) => expect(length - back[i]!.centre.x).toBeCloseTo(o.centre.x, 6))
    }))

  it('never gets shorter by a wider tool', () =>
    fc.assert(
      fc.property(
        inputs,
        fc.nat(),
        fc.double({ min: 0.1, max: 40, noNaN: true }),
        fc.boolean(),
        (input, n, more, head) => {
          const tools = [...input.tools.values()]
          const chosen = tools[n % tools.length]!
          const key = head ? 'headWidth' : 'handleWidth'
          const wider = { ...chosen, measures: { ...chosen.measures, [key]: chosen.measures[key]! + more } }
          const before = design(input).model
          const after = design({ ...input, tools: new Map([...input.tools, [chosen.id, wider]]) }).model
          if (before && after) expect(after.boards[0]!.length).toBeGreaterThanOrEqual(before.boards[0]!.length - 1e-6)
        },
      ),
      runs,
    ))

  it('offers only remedies that help and bring no new stop', () =>
    fc.assert(
      fc.property(inputs, (input) => {
        const d = design(input)
        const stops = new Set(d.verdicts.filter((v) => v.level === 'stop').map((v) => v.id))
        for (const v of d.verdicts.filter((x) => x.level !== 'pass').slice(0, 4)) {
          for (const r of remediesFor(d, v)) {
            const after = design(withChange(input, r.change))
            const fresh = after.verdicts.filter((x) => x.level === 'stop' && !stops.has(x.id))
            if (d.model) expect(fresh, r.label).toEqual([])
            // and what it changes can be kept
            expect(checkAgainst(HolderDto, { ...after.input.holder }), r.label).toMatchObject({ ok: true })
            expect(checkAgainst(ShopDto, filledShop({ ...after.input.shop })), r.label).toMatchObject({ ok: true })
          }
        }
      }),
      { numRuns: 40 },
    ))

  it('can be drawn and written out', () =>
    each((d) => {
      if (!d.model) return
      const views = holderViews(d.model, d.input.tools, d.input.shop)
      for (const n of numbersIn(views)) expect(Number.isFinite(n)).toBe(true)
      expect(boardSvg(d.model, d.model.boards[0]!, d.input.shop)).not.toContain('NaN')
    }))
})
