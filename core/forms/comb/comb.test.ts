import Module from 'manifold-3d'
import { describe, expect, it } from 'vitest'
import { design } from '../../choose/design'
import { holderViews } from '../../drawing/views'
import { plainTool, type Tool } from '../../footprint/tool'
import { outlineBounds } from '../../geometry/outline'
import { usualShop } from '../../shop/usual'
import { boardBox } from '../../model/standing'
import { boardMarks } from '../../bench/marks'
import { cutOutline } from '../../exchange/svg'
import { outlineArea } from '../../geometry/area'
import { collisions, partSolids } from '../../solid/collisions'
import { waysOut } from '../../solid/taking'

const kernel = await Module()
kernel.setup()

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

describe('a comb with slots in both edges', () => {
  const clamps = ['a', 'b', 'c', 'd', 'e'].map((id) => clamp(id))
  const { model, working, input } = comb(clamps, { sides: 'both' })
  const value = (id: string) => working.find((f) => f.id === id)!.value
  const [post] = model!.boards

  it('lays every second tool behind, in slots that slope the other way: the posts are lower', () => {
    expect(post!.openings.map((o) => o.opensTo)).toEqual(['front', 'back', 'front', 'back', 'front'])
    for (const o of post!.openings.filter((x) => x.opensTo === 'back')) {
      const box = outlineBounds(o.outline)
      expect(box.minY).toBeCloseTo(0)
      // it comes in higher than it ends
      expect(box.maxX - o.centre.x).toBeCloseTo(value('dropBack') + value('sawApartBack') / 2)
    }
    expect(post!.length).toBeLessThan(comb(clamps).model!.boards[0]!.length)
    expect(model!.seats.map((s) => s.tilt)).toEqual([20, -20, 20, -20, 20])
  })

  it('stands the posts in a frame off the back, with room for a bar to come out behind', () => {
    const back = model!.boards.find((b) => b.id === 'back')!
    const [bottom, top] = ['bottom', 'top'].map((id) => boardBox(model!.boards.find((b) => b.id === id)!))
    const box = boardBox(post!)
    expect(box.y[0] - back.thickness).toBeCloseTo(value('behind'))
    expect([bottom!.z[1], top!.z[0]]).toEqual([box.z[0], box.z[1]])
    expect(bottom!.y[1]).toBeCloseTo(box.y[1])
  })

  it('keeps heads of both rows apart, and lets each out', () => {
    const ways = waysOut(kernel, model!, input.tools)
    expect(ways.map((w) => w.way?.then)).toEqual(['forward', 'sideways', 'forward', 'sideways', 'forward'])
    const parts = partSolids(kernel, model!, input.tools)
    expect(collisions(kernel, parts)).toEqual([])
    for (const { solid } of parts) solid.delete()
  })

  it('lets the uppermost one behind out below the top: straight back once it is out of its slot', () => {
    const even = comb([...clamps, clamp('f', 900)], { sides: 'both' })
    expect(waysOut(kernel, even.model!, even.input.tools).map((w) => w.way?.then)).toEqual(['forward', 'sideways', 'forward', 'sideways', 'forward', 'sideways']) // prettier-ignore
  })

  it('is cut out as one path with slots on both sides, of the area that is left', () => {
    const left = Math.abs(outlineArea(post!.outline)) - post!.openings.reduce((sum, o) => sum + Math.abs(outlineArea(o.outline)), 0) // prettier-ignore
    expect(Math.abs(outlineArea(cutOutline(post!)))).toBeCloseTo(left)
  })

  it('tells which edge a saw line is marked on', () => {
    const { marks } = boardMarks(model!, post!, input.shop)
    const lines = marks.filter((m) => m.label.startsWith('Saw line'))
    expect(lines.filter((m) => m.label.endsWith('back edge')).map((m) => m.seat)).toEqual(['s-b', 's-b', 's-d', 's-d'])
    expect(lines).toHaveLength(10)
  })

  it('lies one tool alone in front, and judges the fingers of both edges', () => {
    expect(comb([clamp('a')], { sides: 'both' }).model!.boards[0]!.openings.map((o) => o.opensTo)).toEqual(['front'])
    const heavy = clamps.map((t, i) => ({ ...t, mass: i === 1 ? 4 : 0.1 }))
    const worked = comb(heavy, { sides: 'both' })
    const finger = worked.working.find((f) => f.id === 'finger')!
    expect(finger.note).toBe('Clamp b')
    expect(finger.value).toBeGreaterThan(0)
  })
})

it('takes no chisel: its edge would lie beside the hand', () => {
  const chisel = { ...plainTool('c', 'handled-blade', 'Chisel'), measures: { handleDiameter: 30, ferruleDiameter: 18, overallLength: 260, bladeLength: 140 } } // prettier-ignore
  expect(comb([chisel]).refusals[0]!.id).toBe('kind:s-c')
})
