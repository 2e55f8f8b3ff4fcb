import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boredBy } from '../../fit/bore'
import { design } from '../../choose/design'
import { plainTool, type Tool } from '../../footprint/tool'
import { boardBox } from '../../model/standing'
import { newBit } from '../../shop/shop'
import { usualShop } from '../../shop/usual'
import { diameterAt, pocketBores, widestTo } from './pocket'

const profile = [
  { at: 0, diameter: 14 },
  { at: 10, diameter: 20 },
  { at: 20, diameter: 18 },
  { at: 40, diameter: 30 },
]
const bits = [10, 16, 19, 22, 25, 28, 32, 35].map((d) => newBit('forstner', d))

describe('a pocket', () => {
  it('reads a profile straight between its points, and by what must pass below', () => {
    expect(diameterAt(profile, 5)).toBe(17)
    expect(diameterAt(profile, 60)).toBe(30)
    expect(widestTo(profile, 15)).toBe(20)
  })

  it('steps down where the next narrower bit is wide enough, the widest first', () => {
    // 30 and 1 more: the mouth is 32; 28 is enough up to 27 wide, at 35 high
    const found = pocketBores(profile, { sink: 40, more: 1, shank: 10, bits })
    expect(found.map((b) => b.bit.diameter)).toEqual([32, 28, 25, 22, 19])
    expect(found[0]!.depth).toBeCloseTo(5)
    expect(found[1]!.depth).toBeCloseTo(10)
    expect(found.at(-1)!.depth).toBe(40)
  })

  it('has none where no bit is wide enough, or the shank’s own bore is', () => {
    expect(pocketBores(profile, { sink: 40, more: 10, shank: 10, bits })).toEqual([])
    expect(pocketBores(profile, { sink: 5, more: 1, shank: 25, bits })).toEqual([])
  })

  it('lets the handle pass at every depth', () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 8, max: 30, noNaN: true }), { minLength: 2, maxLength: 6 }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (diameters, more) => {
          const points = diameters.map((diameter, i) => ({ at: 8 * i, diameter }))
          const sink = points.at(-1)!.at
          const found = pocketBores(points, { sink, more, shank: 9, bits })
          found.forEach((b, i) => {
            if (i > 0) {
              expect(b.bit.diameter).toBeLessThan(found[i - 1]!.bit.diameter)
              expect(b.depth).toBeGreaterThan(found[i - 1]!.depth)
            }
          })
          if (found.length === 0) return
          expect(found.at(-1)!.depth).toBe(sink)
          for (let h = 0; h <= sink; h += 0.5) {
            const bore = found.find((b) => sink - h <= b.depth + 1e-9)!
            expect(boredBy(bore.bit) + 1e-6).toBeGreaterThanOrEqual(widestTo(points, h) + more)
          }
        },
      ),
    ))
})

const driver = (id: string): Tool => ({
  ...plainTool(id, 'handled-blade', `Driver ${id}`),
  profile,
  measures: {
    handleDiameter: 32,
    handleThickness: 32,
    ferruleDiameter: 14,
    bladeWidth: 8,
    bladeThickness: 6,
    bladeLength: 100,
    overallLength: 210,
  },
})

const block = (choices: Record<string, string | number>, count = 4) => {
  const tools = Array.from({ length: count }, (_, i) => driver(`t${i}`))
  const holder = {
    id: 'h',
    name: 'Drivers',
    form: 'socket-block',
    seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 as const })),
    choices,
  }
  return design({ shop: usualShop(), tools: new Map(tools.map((t) => [t.id, t])), holder })
}

describe('a block', () => {
  it('with pockets lets each handle sink in, its shank’s bore below', () => {
    const { model, working } = block({ pocket: 'matched', layers: '3' })
    const [opening] = model!.boards[0]!.openings
    const sink = working.find((f) => f.id === 'sink:s-t0')!.value
    expect(sink).toBe(40)
    expect(model!.seats[0]!.at.z).toBe(-40)
    expect(opening!.steps!.at(-1)!.depth).toBeNull()
    expect(opening!.bores[0]!.diameter).toBeGreaterThan(opening!.steps![0]!.diameter)
  })

  it('on steps has a board for each row, the back one highest, none over another', () => {
    const { model } = block({ rows: '2', stand: 'stepped', rise: 40 })
    const [back, front] = ['row-1', 'row-2'].map((id) => boardBox(model!.boards.find((b) => b.id === id)!))
    expect(back!.z[1] - front!.z[1]).toBe(40)
    expect(front!.y[0]).toBeCloseTo(back!.y[1])
    expect(model!.seats.filter((s) => s.board === 'row-2').every((s) => s.at.z === -40)).toBe(true)
  })

  it('leans forward between cheeks that hold all of it, and clears the wall below', () => {
    const { model, verdicts } = block({ tilt: '20', rows: '2', stand: 'stepped' })
    const cheek = boardBox(model!.boards.find((b) => b.id === 'left')!)
    for (const id of ['row-1', 'row-2']) {
      const row = boardBox(model!.boards.find((b) => b.id === id)!)
      for (const axis of ['y', 'z'] as const) {
        expect(row[axis][0]).toBeGreaterThanOrEqual(cheek[axis][0] - 1e-9)
        expect(row[axis][1]).toBeLessThanOrEqual(cheek[axis][1] + 1e-9)
      }
    }
    for (const seat of model!.seats) {
      expect(seat.tilt).toBe(-20)
      expect(seat.at.y - seat.extent.back).toBeGreaterThanOrEqual(18 - 1e-6)
    }
    // handles come forward: 110 above the block, by their sine
    const out = verdicts.find((v) => v.id === 'sticks out')!.measured!.value
    expect(out).toBeGreaterThan(cheek.y[1])
  })
})
