import Module from 'manifold-3d'
import { describe, expect, it } from 'vitest'
import { benchSteps } from '../../bench/steps/steps'
import { design } from '../../choose/design'
import { newSeats } from '../../choose/new-seats'
import { plainTool, type Tool } from '../../footprint/tool'
import { holderViews } from '../../drawing/views'
import { outlineBounds, rectangle } from '../../geometry/outline'
import { boardBox } from '../../model/standing'
import { usualShop } from '../../shop/usual'
import { weights } from '../../solid/mass'
import { seatedTool } from '../../solid/tool-solid'
import { wrongIn } from '../../../tests/core/worked-out'
import { formOf } from '../all-forms'
import type { SeatOrder } from '../../model/holder'
import type { PlanInput } from '../form'

const kernel = await Module()
kernel.setup()

const plane = (id: string, wide: number, long = 160): Tool => ({
  ...plainTool(id, 'plane', `Plane ${id}`),
  measures: { soleLength: long, soleWidth: wide, height: 60 },
})

const berth = (
  tools: Tool[],
  choices: Record<string, string | number> = {},
  turn: SeatOrder['turn'] = 0,
): PlanInput => ({
  shop: usualShop(),
  tools: new Map(tools.map((t) => [t.id, t])),
  holder: {
    id: 'h',
    name: 'Planes',
    form: 'berth',
    seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn })),
    choices,
  },
})

const charger = (ventClear: number): Tool => ({
  ...plainTool('c', 'case', 'Charger'),
  options: { type: 'charger' },
  measures: { length: 110, width: 75, height: 60, ventClear },
})

describe('a charger in a berth', () => {
  it('has what its vents want free on every side', () => {
    const { model, working } = design(berth([charger(30)]))
    const [seat] = model!.seats
    expect(model!.boards.find((b) => b.id === 'shelf')!.length).toBe(18 + 20 + 110 + 60 + 20 + 18)
    expect(model!.boards.find((b) => b.id === 'shelf')!.width).toBe(75 + 60 + 12)
    expect([seat!.extent.left, seat!.extent.right]).toEqual([85, 85])
    // it stands in the middle of that
    expect(seat!.at.y).toBe(18 + 6 + 30 + 37.5)
    expect(working.find((f) => f.id === 'half:s-c')!.formula).toBe('{m:c.length} / 2 + {m:c.ventClear}')
  })

  it('takes no more where it has no vents', () => {
    const { model } = design(berth([charger(0)]))
    expect(model!.seats[0]!.extent.left).toBe(55)
  })

  it('is warned of where it is hung', () => {
    const cautions = (tool: Tool) => benchSteps({ model: design(berth([tool])).model!, shop: usualShop(), cuts: [] }, 'h').steps.find((s) => s.kind === 'hang')!.cautions // prettier-ignore
    expect(cautions(charger(30)).join(' ')).toContain('vents free, on something that doesn’t burn')
    expect(cautions({ ...charger(30), options: { type: 'rescue' } }).join(' ')).toContain('in sight')
    expect(cautions({ ...charger(30), options: { type: 'box' } }).join(' ')).not.toMatch(/vents|in sight/)
  })
})

describe('what stands out past its own figures', () => {
  it('has the room that its shape takes: a knob at the end of its sole', () => {
    const knob: Tool = { ...plane('k', 55, 210), measures: { soleLength: 210, soleWidth: 55, height: 110, knobPosition: 209, handlePosition: 53 } } // prettier-ignore
    const { model } = design(berth([knob], {}, 1))
    expect(model!.seats[0]!.extent.left + model!.seats[0]!.extent.right).toBeGreaterThan(215)
  })

  it('is as wide and high as its outline, where only that is known', () => {
    const jig: Tool = { ...plainTool('j', 'anything', 'Jig'), measures: { depth: 30 }, outline: rectangle(0, 0, 80, 120) } // prettier-ignore
    const { model, working } = design(berth([jig]))
    expect(model!.seats[0]!.extent).toMatchObject({ left: 0, right: 80 })
    expect(working.find((f) => f.id === 'high:s-j')!.value).toBe(120)
  })
})

describe('discs in a berth', () => {
  it('stand on their rims, edge out', () => {
    const disc: Tool = { ...plainTool('d', 'ring', 'Disc'), measures: { outerDiameter: 125, thickness: 20 } }
    const { model } = design(berth([disc], {}, 1))
    expect(model!.boards.find((b) => b.id === 'shelf')!.width).toBe(125 + 12)
    expect(model!.seats[0]!.at.z).toBe(62.5)
    expect(model!.seats[0]!.extent.left + model!.seats[0]!.extent.right).toBe(20)
  })

  it('of which there are many share one place, as deep as the stack', () => {
    const discs: Tool = { ...plainTool('d', 'ring', 'Discs'), count: 40, measures: { outerDiameter: 125, thickness: 1.2 } } // prettier-ignore
    const berths = formOf('berth')!
    let n = 0
    const seats = newSeats(berths, [discs], usualShop(), () => `s${n++}`)
    expect(seats).toEqual([{ id: 's0', tool: 'd', turn: 1 }])
    const { model } = design({ shop: usualShop(), tools: new Map([['d', discs]]), holder: { id: 'h', name: 'Discs', form: 'berth', seats, choices: {} } }) // prettier-ignore
    expect(model!.seats[0]!.extent.left + model!.seats[0]!.extent.right).toBeCloseTo(48)
    // and weigh so many times one, in what the wall carries too
    const heavy = { ...discs, mass: 0.02 }
    const d = design({ shop: usualShop(), tools: new Map([['d', heavy]]), holder: { id: 'h', name: 'Discs', form: 'berth', seats, choices: {} } }) // prettier-ignore
    expect(d.model!.seats[0]!.mass).toBeCloseTo(0.8)
    const { alone, loaded } = weights(d.model!, usualShop(), d.input.tools)
    expect(loaded!.mass - alone!.mass).toBeCloseTo(0.8)
    expect(wrongIn(d.working)).toEqual([])
    // drawn as thick as all of them, in the room that is kept for it, and so in the solid
    const [seat] = d.model!.seats
    const room = [seat!.at.x - seat!.extent.left, seat!.at.x + seat!.extent.right]
    const front = holderViews(d.model!, d.input.tools, d.input.shop).find((v) => v.name === 'front')!.seats.find((s) => s.seat === 's0')! // prettier-ignore
    const boxes = front.ghost.map((g) => outlineBounds(g.outline))
    expect(front.neck.x + Math.min(...boxes.map((b) => b.minX))).toBeCloseTo(room[0]!)
    expect(front.neck.x + Math.max(...boxes.map((b) => b.maxX))).toBeCloseTo(room[1]!)
    const solid = seatedTool(kernel, heavy, seat!)!
    const { min, max } = solid.boundingBox()
    solid.delete()
    expect([min[0], max[0]]).toEqual([expect.closeTo(room[0]!, 3), expect.closeTo(room[1]!, 3)])
    expect(newSeats(formOf('hook')!, [{ ...discs, count: 3 }], usualShop(), () => `s${n++}`)).toHaveLength(3)
  })
})

describe('a berth', () => {
  const { model } = design(berth([plane('a', 40), plane('b', 60)]))
  const board = (id: string) => model!.boards.find((b) => b.id === id)!

  it('is as long as its tools, their gaps, margins and two ends', () => {
    expect(board('shelf').length).toBe(18 + 20 + 40 + 25 + 60 + 20 + 18)
    expect(board('shelf').width).toBe(160 + 12)
  })

  it('puts a divider in the middle of each gap, the lip in front', () => {
    // the gap runs from 78 to 103
    expect(board('divider-1').placement.at.x).toBe(90.5 - 9)
    expect(boardBox(board('lip')).y[0]).toBe(18 + 172)
    expect(boardBox(board('lip')).z).toEqual([-18, 20])
  })

  it('lays each tool on the shelf, clear of the back, whichever way it is turned', () => {
    for (const turn of [0, 1, 2, 3] as const) {
      const d = design(berth([plane('a', 40)], {}, turn))
      const [seat] = d.model!.seats
      const [across, out] = turn % 2 === 1 ? [160, 40] : [40, 160]
      expect(seat!.at.x - seat!.extent.left).toBeCloseTo(38)
      expect(seat!.at.x + seat!.extent.right).toBeCloseTo(38 + across)
      expect(seat!.at.y - seat!.extent.back).toBeCloseTo(18 + 6)
      expect(seat!.at.y + seat!.extent.front).toBeCloseTo(18 + 6 + out)
      expect(seat!.at.z).toBe(0)
    }
  })

  it('refuses a divider that has no room, and a shelf that is too shallow', () => {
    const tools = [plane('a', 40), plane('b', 60)]
    expect(design(berth(tools, { gap: 10 })).refusals[0]!.id).toBe('no room')
    expect(design(berth(tools, { gap: 10, dividers: 'without' })).model).not.toBeNull()
    expect(design(berth(tools, { depth: 100 })).refusals[0]!.id).toBe('too shallow')
  })

  it('says when it sticks out too far', () => {
    const { verdicts } = design(berth([plane('long', 70, 560)]))
    expect(verdicts.find((v) => v.id === 'sticks out')).toMatchObject({
      level: 'watch',
      measured: { value: 18 + 572 + 18 },
    })
  })

  it('raises its front between two cheeks, so far off the back that nothing leans into it', () => {
    const { model: leaning, working } = design(berth([plane('a', 40), plane('b', 60)], { tilt: '10' }))
    const part = (id: string) => leaning!.boards.find((b) => b.id === id)!
    const value = (id: string) => working.find((f) => f.id === id)!.value
    const [s, c] = [Math.sin(Math.PI / 18), Math.cos(Math.PI / 18)]
    expect(value('tiltOff')).toBeCloseTo(60 * s)
    expect(part('shelf').length).toBe(board('shelf').length - 36)
    expect(part('shelf').placement).toMatchObject({ tilt: 10, at: { x: 18, y: 18 + 60 * s, z: 0 } })
    expect(part('left').length).toBeCloseTo(60 * s + 190 * c + 18 * s)
    // shelf and lip lie between the cheeks from the back to the front, and from below to above
    for (const id of ['shelf', 'lip', 'divider-1'])
      for (const axis of ['y', 'z'] as const) {
        expect(boardBox(part(id))[axis][0]).toBeGreaterThanOrEqual(boardBox(part('left'))[axis][0] - 1e-9)
        expect(boardBox(part(id))[axis][1]).toBeLessThanOrEqual(boardBox(part('left'))[axis][1] + 1e-9)
      }
    for (const seat of leaning!.seats) {
      expect(seat.tilt).toBe(10)
      expect(seat.at.y - seat.extent.back).toBeGreaterThan(18)
      expect(seat.at.y + seat.extent.front).toBeLessThan(18 + value('cheekLength'))
    }
    // screwed through the cheeks into the ends of the shelf, wherever those lean
    expect(leaning!.fasteners.filter((f) => f.into === 'shelf' && f.toward.x !== 0).length).toBeGreaterThanOrEqual(4)
  })
})
