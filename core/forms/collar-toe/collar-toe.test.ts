import Module from 'manifold-3d'
import { describe, expect, it } from 'vitest'
import { design } from '../../choose/design'
import { holderViews } from '../../drawing/views'
import { plainTool, type Tool } from '../../footprint/tool'
import { outlineBounds } from '../../geometry/outline'
import { usualShop } from '../../shop/usual'
import { collisions, partSolids } from '../../solid/collisions'

const kernel = await Module()
kernel.setup()

const gouge = (id: string, long = 450): Tool => ({
  ...plainTool(id, 'turning-tool', `Gouge ${id}`),
  sure: 'caliper',
  mass: 0.5,
  options: { delicate: 'edge' },
  measures: { handleDiameter: 32, ferruleDiameter: 22, bladeWidth: 16, handleLength: 280, overallLength: long },
})
const file: Tool = {
  ...plainTool('f', 'handled-blade', 'File'),
  sure: 'caliper',
  measures: { handleDiameter: 28, handleThickness: 28, ferruleDiameter: 14, bladeWidth: 24, bladeThickness: 5, bladeLength: 250, overallLength: 370 }, // prettier-ignore
}
const stood = (tools: Tool[], choices: Record<string, string | number> = {}) =>
  design({
    shop: usualShop(),
    tools: new Map(tools.map((t) => [t.id, t])),
    holder: { id: 'h', name: 'Gouges', form: 'collar-toe', seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 })), choices }, // prettier-ignore
  })

describe('a collar and toe', () => {
  it('has the holes of both boards in line, the collar at six tenths of the shortest tool', () => {
    const { model } = stood([gouge('a'), gouge('b', 520), file])
    const [collar, toe] = ['collar', 'toe'].map((id) => model!.boards.find((b) => b.id === id)!)
    expect(collar!.openings.map((o) => o.centre)).toEqual(toe!.openings.map((o) => o.centre))
    expect(collar!.openings.map((o) => o.width)).toEqual(toe!.openings.map((o) => o.width))
    expect(collar!.placement.at.z - toe!.placement.at.z).toBeCloseTo(0.6 * 370)
    expect(toe!.openings.every((o) => o.depth === 12)).toBe(true)
    expect(collar!.openings.every((o) => o.opensTo === 'front')).toBe(true)
  })

  it('stands each tool on its handle’s end in the cup, a file turned over', () => {
    const { model, verdicts, input } = stood([gouge('a'), file])
    const bottom = model!.boards.find((b) => b.id === 'toe')!.placement.at.z - 12
    expect(model!.seats[0]!.at.z - 280).toBeCloseTo(bottom)
    expect(model!.seats[1]).toMatchObject({ tilt: 180 })
    expect(verdicts.find((v) => v.id === 'edges up')!.seats).toEqual(['s-a', 's-f'])
    // seen from the side and from the front its handle is below
    for (const view of holderViews(model!, input.tools, input.shop).filter((v) => v.name !== 'top')) {
      const seat = view.seats.find((s) => s.seat === 's-f')!
      const low = Math.min(...seat.ghost.map((g) => outlineBounds(g.outline).minY))
      expect(low + seat.neck.y).toBeCloseTo(bottom)
    }
    const parts = partSolids(kernel, model!, input.tools)
    expect(collisions(kernel, parts)).toEqual([])
    for (const { solid } of parts) solid.delete()
  })

  it('is lifted out by the cup, or past the collar where that is closed', () => {
    const lift = (choices: Record<string, string>) =>
      stood([gouge('a')], choices).verdicts.find((v) => v.id === 'lift')!.measured!.value
    expect(lift({})).toBeCloseTo(12)
    expect(lift({ collar: 'hole' })).toBeCloseTo(0.6 * 450 + 12)
  })

  it('can have a stop under a toe that is bored through', () => {
    const { model } = stood([gouge('a')], { toe: 'stop' })
    const [toe, stop] = ['toe', 'stop'].map((id) => model!.boards.find((b) => b.id === id)!)
    expect(toe!.openings[0]!.depth).toBeNull()
    expect(stop!.placement.at.z).toBeCloseTo(toe!.placement.at.z - toe!.thickness)
  })

  it('refuses a collar over the head of its shortest tool', () =>
    expect(stood([gouge('a')], { collarHeight: 440 }).refusals[0]).toMatchObject({ id: 'too high', seats: ['s-a'] }))
})
