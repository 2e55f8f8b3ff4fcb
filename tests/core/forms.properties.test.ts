import { describe, expect, it } from 'vitest'
import { boardMarks } from '#core/bench/marks'
import { design } from '#core/choose/design'
import { holderViews } from '#core/drawing/views'
import { allForms } from '#core/forms/all-forms'
import { outlineBounds, type Outline } from '#core/geometry/outline'
import { bodiesOf, boardOf, type Board } from '#core/model/model'
import { gridStep } from '#core/units/format-length'
import { anyHolder, kindsFor } from './any-holder'
import { plannedOnce } from './planned-once'
import { wrongIn } from './worked-out'

/** Plans of each form: a fixed few in every run of the tests, many by `npm run many-plans`. */
const PLANS = Number(process.env.PLANS ?? 60)
const RUNS = { numRuns: PLANS, ...(process.env.PLANS ? {} : { seed: 17 }) }

const numbersIn = (value: unknown): number[] =>
  typeof value === 'number'
    ? [value]
    : value && typeof value === 'object'
      ? Object.values(value).flatMap(numbersIn)
      : []

/** An outline with its lines only, every point moved along x by so much for each mm of y. */
const sheared = (o: Outline, by: number): Outline => {
  const move = (p: { x: number; y: number }): { x: number; y: number } => ({ x: p.x - by * p.y, y: p.y })
  return { start: move(o.start), segments: o.segments.map((s) => ({ kind: 'line' as const, to: move(s.to) })) }
}

/** Wood between two openings by their boxes, mm; below nought where they overlap both ways. */
function apart(a: Board['openings'][number], b: Board['openings'][number]): number {
  if (a.kind === 'bore' && b.kind === 'bore')
    return Math.hypot(a.centre.x - b.centre.x, a.centre.y - b.centre.y) - a.radius - b.radius
  // sloped ones run side by side: seen along their slope
  const straight = (o: typeof a): Outline =>
    o.slope ? sheared(o.outline, Math.tan(((o.opensTo === 'back' ? -o.slope : o.slope) * Math.PI) / 180)) : o.outline
  const [p, q] = [outlineBounds(straight(a)), outlineBounds(straight(b))]
  return Math.max(p.minX - q.maxX, q.minX - p.maxX, p.minY - q.maxY, q.minY - p.maxY)
}

describe.each(allForms.map((form) => [form.name, form] as const))('any %s', { timeout: 600_000 }, (_, form) => {
  const each = plannedOnce(anyHolder(form), RUNS)

  it('holds some kind of tool, and plans most of what it is given', () => {
    expect(kindsFor(form).length).toBeGreaterThan(0)
    let planned = 0
    each((d) => {
      if (d.model) planned++
      else expect(d.refusals.length).toBeGreaterThan(0)
    })
    expect(planned).toBeGreaterThan(PLANS / 30)
  })

  it('has no figure that is not a number, and a working that comes to each', () =>
    each((d) => {
      for (const n of numbersIn([d.model, d.working, d.verdicts])) expect(Number.isFinite(n)).toBe(true)
      expect(wrongIn(d.working)).toEqual([])
    }))

  it('carries every tool, or says why it does not', () =>
    each((d) => {
      if (!d.model) return
      const told = new Set(d.refusals.flatMap((r) => r.seats ?? []))
      const seated = new Set(d.model.seats.map((s) => s.id))
      for (const seat of d.input.holder.seats) expect(seated.has(seat.id) !== told.has(seat.id)).toBe(true)
      for (const seat of d.model.seats) {
        const board = boardOf(d.model, seat.board)
        if (seat.opening !== null) expect(board.openings.some((o) => o.id === seat.opening)).toBe(true)
      }
    }))

  it('joins every part to another, by parts that are there, each in its turn', () =>
    each((d) => {
      if (!d.model || d.model.boards.length + d.model.rods.length < 2) return
      const ids = [...d.model.boards, ...d.model.rods].map((p) => p.id)
      expect(new Set(ids).size).toBe(ids.length)
      for (const joint of d.model.joints) for (const id of joint.parts) expect(ids).toContain(id)
      for (const id of ids) expect(d.model.joints.some((j) => j.parts.includes(id))).toBe(true)
      const orders = d.model.joints.map((j) => j.order)
      expect(new Set(orders).size).toBe(orders.length)
    }))

  it('keeps every opening inside its board, and apart from the others', () =>
    each((d) => {
      for (const board of d.model?.boards ?? []) {
        for (const o of board.openings) {
          const box = outlineBounds(o.outline)
          expect(box.minX).toBeGreaterThan(0)
          expect(box.maxX).toBeLessThan(board.length)
          expect(box.minY).toBeGreaterThan(o.opensTo === 'back' ? -1e-6 : 0)
          expect(box.maxY).toBeLessThan(board.width + (o.opensTo === 'front' ? 1e-6 : 0))
          if (o.depth !== null) expect(o.depth).toBeLessThan(board.thickness)
        }
        board.openings.forEach((a, i) =>
          board.openings.slice(i + 1).forEach((b) => expect(apart(a, b)).toBeGreaterThan(0)),
        )
      }
    }))

  it('prints marks that add up, and draws every board', () =>
    each((d) => {
      if (!d.model) return
      const { shop } = d.input
      for (const board of d.model.boards) {
        const { marks, chain } = boardMarks(d.model, board, shop)
        for (const m of marks) expect(Math.abs(m.printed - m.x)).toBeLessThanOrEqual(gridStep(shop) / 2 + 1e-9)
        expect(chain.reduce((sum, l) => sum + l.printed, 0)).toBeCloseTo(marks.at(-1)!.printed, 6)
      }
      for (const view of holderViews(d.model, d.input.tools, shop))
        expect(view.boards).toHaveLength(bodiesOf(d.model).length + d.model.rods.length)
    }))

  it('is the same for the same input, and as long for the mirrored order', () =>
    each((d) => {
      expect(design(d.input).model).toEqual(d.model)
      if (!d.model) return
      // one behind the other, out from the wall: the mirror has front and back exchanged, not left and right
      const outward = new Set(d.model.seats.map((s) => s.at.x)).size === 1 && d.model.seats.length > 1
      const seats = [...d.input.holder.seats]
        .reverse()
        .map((s) => ({ ...s, turn: (((outward ? 6 : 4) - s.turn) % 4) as 0 | 1 | 2 | 3 }))
      const other = design({ ...d.input, holder: { ...d.input.holder, seats } }).model
      // rows, and what is stacked in sloping slots, are not alike both ways
      const stacked = d.model.seats.some((s) => s.along)
      // nor is an even pitch of what hangs the same way round in both and reaches further to one side: a C-clamp by its frame
      const sided = d.input.holder.choices.pitch === 'even' && d.model.seats.some((k) => Math.abs(k.extent.left - k.extent.right) > 1e-9 && other?.seats.find((o) => o.id === k.id)?.turn === k.turn) // prettier-ignore
      // nor what is turned along the wall with its blade at one side
      const handed = d.model.seats.some((k) => k.turn % 2 === 1 && d.input.tools.get(k.tool)?.kind === 'base-plate')
      // nor what reaches out or back otherwise when it is turned the other way: a belt hook stays on its side
      const aside = d.model.seats.some((k) => { const o = other?.seats.find((x) => x.id === k.id)?.extent; return o !== undefined && !outward && (Math.abs(o.front - k.extent.front) > 1e-9 || Math.abs(o.back - k.extent.back) > 1e-9) }) // prettier-ignore
      if (d.refusals.length > 0 || stacked || sided || handed || aside || d.input.holder.choices.rows !== undefined)
        return
      // lengths that are summed in another order differ by less than what is told apart here
      const sizes = (boards: readonly Board[]): [number, number][] =>
        boards.map((b): [number, number] => [b.length, b.width]).sort((p, q) => (Math.abs(p[0] - q[0]) > 1e-6 ? p[0] - q[0] : p[1] - q[1])) // prettier-ignore
      const [mine, theirs] = [sizes(d.model.boards), sizes(other!.boards)]
      expect(theirs).toHaveLength(mine.length)
      // a bit is chosen within a millionth of a mm, and so may a size differ
      mine.forEach((pair, i) => pair.forEach((size, k) => expect(Math.abs(theirs[i]![k]! - size)).toBeLessThan(2e-6)))
    }))
})
