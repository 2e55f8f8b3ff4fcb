import Module from 'manifold-3d'
import { describe, expect, it } from 'vitest'
import { boardMarks } from '../../bench/marks'
import { benchSteps } from '../../bench/steps/steps'
import { design } from '../../choose/design'
import { newSeats } from '../../choose/new-seats'
import { holderViews } from '../../drawing/views'
import { plainTool, type Tool } from '../../footprint/tool'
import { outlineBounds } from '../../geometry/outline'
import { boardOf } from '../../model/model'
import { usualShop } from '../../shop/usual'
import { collisions, partSolids } from '../../solid/collisions'
import { toolWeight } from '../../solid/mass'
import { waysOut } from '../../solid/taking'
import { seatedTool } from '../../solid/tool-solid'
import { formOf } from '../all-forms'

const kernel = await Module()
kernel.setup()

const disc = (id: string, across: number, thick: number, count: number, more: Partial<Tool> = {}): Tool => ({
  ...plainTool(id, 'ring', `Puck ${id}`),
  sure: 'caliper',
  mass: 0.05,
  count,
  measures: { outerDiameter: across, holeDiameter: 0, thickness: thick },
  ...more,
})
const pucks = disc('a', 66, 28, 8)
const others = disc('b', 60, 25, 10)

const dispenser = (
  tools: Tool[],
  choices: Record<string, string | number> = {},
  change: Partial<ReturnType<typeof usualShop>> = {},
) =>
  // prettier-ignore
  design({
    shop: { ...usualShop(), ...change },
    tools: new Map(tools.map((t) => [t.id, t])),
    holder: { id: 'h', name: 'Pucks', form: 'dispenser', seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 as const })), choices }, // prettier-ignore
  })
const found = (d: ReturnType<typeof dispenser>, check: string) => d.verdicts.find((v) => v.check === check)!

describe('a dispenser', () => {
  const d = dispenser([pucks, others])
  const model = d.model!
  const value = (id: string) => d.working.find((f) => f.id === id)!.value

  it('has a chute for each stack, as wide as its disc and as deep as the widest, as high as the tallest stack', () => {
    expect(model.boards.map((b) => b.id)).toEqual(['shelf', 'back', 'lip', 'left', 'divider-1', 'right'])
    expect(value('length')).toBe(18 + 69 + 18 + 63 + 18)
    expect(boardOf(model, 'left')).toMatchObject({ length: 250, width: 69 })
    expect(boardOf(model, 'divider-1').placement.at.x).toBe(18 + 69)
    expect(boardOf(model, 'shelf').width).toBe(69 + 18)
  })

  it('leaves a gap over the floor for the thickest to slide through', () => {
    expect(value('pickGap')).toBe(28 + 3)
    expect(boardOf(model, 'lip')).toMatchObject({ width: 250 - 31, placement: { at: { z: 31 } } })
    expect(found(d, 'one at a time').level).toBe('pass')
  })

  it('holds each stack in one place, lying, without running into its wood', () => {
    expect(model.seats.map((s) => [s.stack, s.tilt, s.at.z])).toEqual([[8, 90, 224], [10, 90, 250]]) // prettier-ignore
    const parts = partSolids(kernel, model, d.input.tools)
    expect(collisions(kernel, parts).map((c) => `${c.a.id} ${c.b.id} ${c.volume}`)).toEqual([])
    for (const { id, solid } of parts) {
      // it stands on the floor
      if (id === 's-a') expect(solid.boundingBox().min[2]).toBeCloseTo(0)
      solid.delete()
    }
    // and the lowest of each comes out straight forward
    for (const { way } of waysOut(kernel, model, d.input.tools)) expect(way).toEqual({ lift: 0, then: 'forward' })
  })

  it('lets the lowest out in front, and not the next one', () => {
    const wood = partSolids(kernel, model, new Map())
    const meets = (up: number): boolean => {
      const { at, ...seat } = model.seats[0]!
      const one = seatedTool(kernel, pucks, { ...seat, stack: 1, at: { ...at, z: up + 28 } })!
      const way = kernel.Manifold.hull([one, one.translate([0, 300, 0])])
      return wood.some(({ solid }) => kernel.Manifold.intersection(way, solid).volume() > 1)
    }
    expect([meets(0), meets(28)]).toEqual([false, true])
  })

  it('weighs a stack where its middle lies', () => {
    expect(toolWeight(model.seats[0]!, pucks)).toMatchObject({ mass: 8 * 0.05, at: { z: expect.closeTo(112) } })
    expect(found(d, 'drag')).toMatchObject({ level: 'pass', measured: { value: expect.closeTo(0.3 * 9.80665 * 0.05 * 19) } }) // prettier-ignore
  })

  it('lets a finger in from below, by notches on one line', () => {
    const notches = boardOf(model, 'shelf').openings
    expect(notches.map((o) => [o.width, o.centre.y])).toEqual([[30, 49.5], [30, 49.5]]) // prettier-ignore
    expect(outlineBounds(notches[0]!.outline)).toMatchObject({ minY: 34.5, maxY: 87 })
    const { marks } = boardMarks(model, boardOf(model, 'shelf'), d.input.shop)
    expect(marks.map((m) => m.label)).toContain('Centre finger 2')
    expect(d.verdicts.find((v) => v.check === 'web' && v.says.startsWith('Web finger 1–finger 2'))).toBeTruthy()
  })

  it('is drawn with its discs lying: as high as the stack from in front, round from above', () => {
    const views = holderViews(model, d.input.tools, d.input.shop)
    const seen = (name: string) => {
      const item = views.find((v) => v.name === name)!.seats.find((s) => s.seat === 's-a')!
      const { minX, maxX, minY, maxY } = outlineBounds(item.ghost[0]!.outline)
      return [minX, maxX, item.neck.y + minY, item.neck.y + maxY].map(Math.round)
    }
    expect(seen('front')).toEqual([-33, 33, 0, 224])
    expect(seen('top')).toEqual([-33, 33, -(18 + 34.5 + 33), -(18 + 34.5 - 33)].map(Math.round))
    expect(seen('side')).toEqual([-33, 33, 0, 224])
  })

  it('is built like a chest: the front last', () => {
    const { steps } = benchSteps({ model, shop: d.input.shop, cuts: [] }, 'h')
    const joins = steps.filter((s) => s.kind === 'join').map((s) => s.title)
    expect(joins.at(-1)).toContain('front')
    expect(steps.flatMap((s) => s.says).join(' ')).not.toContain('battery')
  })
})

describe('what a dispenser can’t hold, or not well', () => {
  it('leaves out what is so thin that two come out at once', () => {
    const d = dispenser([disc('t', 125, 1.5, 20, { sure: 'rule' })])
    expect(d.model).toBeNull()
    expect(d.refusals[0]).toMatchObject({ id: 'thin:s-t', fields: ['thickness'] })
    // measured well it goes, with a snug gap
    const well = dispenser([disc('t', 125, 1.5, 20)], { fit: 'snug' })
    expect(found(well, 'one at a time').level).toBe('pass')
  })

  it('tells of a gap that lets two of the thinner out, with the way back', () => {
    const d = dispenser([disc('a', 66, 6, 8), disc('b', 66, 4, 8)])
    expect(found(d, 'one at a time')).toMatchObject({ level: 'watch', seats: ['s-b'] })
    expect(found(d, 'one at a time').candidates[0]!.change).toEqual({ kind: 'choice', key: 'fit', value: 'snug' })
    expect(found(dispenser([disc('a', 66, 6, 8), disc('b', 66, 4, 8)], { fit: 'snug' }), 'one at a time').level).toBe('pass') // prettier-ignore
  })

  it('leaves out a stack that would lean over beside a wide one', () =>
    expect(dispenser([pucks, disc('n', 50, 20, 6)]).refusals[0]!.id).toBe('narrow:s-n'))

  it('tells of a stack that drags, and of a floor that is too smooth', () => {
    const heavy = dispenser([disc('h', 100, 30, 12, { mass: 0.4 })])
    expect(found(heavy, 'drag')).toMatchObject({ level: 'watch', measured: { value: expect.closeTo(0.3 * 9.80665 * 0.4 * 23), limit: 20 } }) // prettier-ignore
    expect(found(heavy, 'keep').level).toBe('pass')
    const waxed = { settings: { ...usualShop().settings, slideFriction: 0.1 } }
    expect(found(dispenser([pucks], {}, waxed), 'keep')).toMatchObject({ level: 'watch', measured: { value: expect.closeTo(5.71, 1) } }) // prettier-ignore
  })

  it('refuses chutes lower than their gap, and makes them as high as asked', () => {
    expect(dispenser([pucks], { high: 40 }).refusals[0]!.id).toBe('too low')
    expect(boardOf(dispenser([pucks], { high: 400 }).model!, 'left').length).toBe(400)
  })

  it('saws a notch where every bit is so wide that the disc would drop through', () => {
    const bits = usualShop().bits.filter((b) => b.diameter >= 30)
    const d = dispenser([disc('s', 36, 15, 6)], {}, { bits })
    expect(boardOf(d.model!, 'shelf').openings[0]).toMatchObject({ cut: 'sawn', width: 18, bores: [] })
  })

  it('gives all there are of a disc one seat', () =>
    expect(newSeats(formOf('dispenser')!, [pucks], usualShop(), () => 's')).toHaveLength(1))
})
