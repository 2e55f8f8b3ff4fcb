import { describe, expect, it } from 'vitest'
import { design } from '../../choose/design'
import { holderViews } from '../../drawing/views'
import { plainTool, type Tool } from '../../footprint/tool'
import { outlineBounds } from '../../geometry/outline'
import { usualShop } from '../../shop/usual'

const clamp = (id: string, long = 600): Tool => ({
  ...plainTool(id, 'bar-clamp', `Clamp ${id}`),
  sure: 'caliper',
  mass: 1.4,
  measures: { barWidth: 28, barThickness: 10, headWidth: 32, jawDepth: 80, overallLength: long, slidingJawWidth: 36 },
})
const broom: Tool = {
  ...plainTool('b', 'long-handled', 'Broom'),
  sure: 'caliper',
  mass: 0.9,
  measures: { handleDiameter: 29, headWidth: 120, headDepth: 60, headHeight: 90, overallLength: 1400 },
}
const comb = (tools: Tool[], choices: Record<string, string | number> = {}) =>
  design({
    shop: usualShop(),
    tools: new Map(tools.map((t) => [t.id, t])),
    holder: { id: 'h', name: 'Clamps', form: 'comb', seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 })), choices }, // prettier-ignore
  })

describe('a comb', () => {
  const { model, working, input } = comb([clamp('a'), clamp('b')])
  const value = (id: string) => working.find((f) => f.id === id)!.value
  const [one, two] = model!.boards

  it('has the same slots in every post, sloping down and back', () => {
    expect(one!.openings.map((o) => o.centre)).toEqual(two!.openings.map((o) => o.centre))
    for (const o of one!.openings) {
      const box = outlineBounds(o.outline)
      // at the front edge it is higher than at its end by the drop
      expect(box.maxX - o.centre.x).toBeCloseTo(value('drop') + value('sawApart') / 2)
      expect(box.maxY).toBeCloseTo(one!.width)
      expect(o.slope).toBe(20)
    }
    expect(value('run')).toBeCloseTo(one!.width - value('line'))
    expect(value('drop')).toBeCloseTo(value('run') * Math.tan(Math.PI / 9))
    expect(value('sawApart')).toBeCloseTo(one!.openings[0]!.width / Math.cos(Math.PI / 9))
  })

  it('stands its posts half of the shortest tool apart, and lies the heads beside the first', () => {
    expect(two!.placement.at.x + two!.thickness).toBe(300)
    for (const s of model!.seats) {
      expect(s.at.x).toBe(-6)
      expect(s).toMatchObject({ along: true, tilt: 20 })
    }
  })

  it('is drawn with its tools lying along the wall, the same in every view', () => {
    const views = holderViews(model!, input.tools, input.shop)
    const ghost = (name: string) => {
      const seat = views.find((v) => v.name === name)!.seats.find((s) => s.seat === 's-a')!
      const boxes = seat.ghost.map((g) => outlineBounds(g.outline))
      return { minX: seat.neck.x + Math.min(...boxes.map((b) => b.minX)), maxX: seat.neck.x + Math.max(...boxes.map((b) => b.maxX)) } // prettier-ignore
    }
    // 600 long, the head beyond the datum end
    for (const name of ['front', 'top']) {
      expect(ghost(name).minX).toBeLessThan(-6)
      expect(ghost(name).maxX - ghost(name).minX).toBeCloseTo(600)
    }
  })

  it('lets a round handle lie as it is, and slots go straight in', () => {
    expect(comb([broom]).model!.seats[0]!.tilt).toBeUndefined()
    const straight = comb([clamp('a')], { slope: '0' })
    expect(straight.working.find((f) => f.id === 'drop')!.value).toBe(0)
    expect(straight.model!.boards[0]!.openings[0]!.slope).toBeUndefined()
  })

  it('refuses tools too short to lie across its posts', () =>
    expect(comb([clamp('a', 60)]).refusals.map((r) => r.id)).toContain('too short'))
})

it('takes no chisel: its edge would lie beside the hand', () => {
  const chisel = { ...plainTool('c', 'handled-blade', 'Chisel'), measures: { handleDiameter: 30, ferruleDiameter: 18, overallLength: 260, bladeLength: 140 } } // prettier-ignore
  expect(comb([chisel]).refusals[0]!.id).toBe('kind:s-c')
})
