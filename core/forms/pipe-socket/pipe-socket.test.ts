import Module from 'manifold-3d'
import { describe, expect, it } from 'vitest'
import { benchSteps } from '../../bench/steps/steps'
import { design } from '../../choose/design'
import { jobsOf } from '../../cutting/from-holders'
import { quickCuts } from '../../cutting/quick-cuts'
import { holderViews } from '../../drawing/views'
import { pipePair } from '../../fit/pipe'
import { plainTool, type Tool } from '../../footprint/tool'
import { outlineBounds } from '../../geometry/outline'
import { kerfOf } from '../../shop/pieces-of-stock'
import { usualShop } from '../../shop/usual'
import { collisions, partSolids } from '../../solid/collisions'
import { rodLump } from '../../solid/mass'
import { waysOut } from '../../solid/taking'

const kernel = await Module()
kernel.setup()

const rake = (id: string, handleDiameter = 32, overallLength = 900): Tool => ({
  ...plainTool(id, 'long-handled', `Rake ${id}`),
  sure: 'caliper',
  mass: 0.9,
  measures: { handleDiameter, headWidth: 60, headDepth: 50, headHeight: 90, overallLength },
})

const sockets = (tools: Tool[], choices: Record<string, string | number> = {}, shop = usualShop()) =>
  design({
    shop,
    tools: new Map(tools.map((t) => [t.id, t])),
    holder: { id: 'h', name: 'Rakes', form: 'pipe-socket', seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 as const })), choices }, // prettier-ignore
  })

describe('pipe sockets', () => {
  const { model, input, working, verdicts } = sockets([rake('a'), rake('b'), rake('c', 40)])
  const value = (id: string) => working.find((f) => f.id === id)!.value

  it('are as wide inside as the pipe’s wall leaves, and reach up a part of the longest tool', () => {
    expect(value('pipeBore')).toBeCloseTo(50 - 3.6)
    expect(value('pipeLength')).toBeCloseTo(0.3 * 900)
    expect(value('pipeLow')).toBeCloseTo(270 - 50)
    expect(value('collarHeight')).toBeCloseTo(270 - 50 - 20)
    expect(model!.rods.map((r) => [r.length, r.pipe!.slant])).toEqual([[270, 45], [270, 45], [270, 45]]) // prettier-ignore
  })

  it('leave out what is too thick for the pipe, and ask for a wall that nobody wrote', () => {
    expect(sockets([rake('a', 45)]).refusals[0]).toMatchObject({ id: 'pipe:s-a', tool: 'a' })
    const shop = { ...usualShop(), stock: usualShop().stock.map((s) => (s.form === 'pipe' ? { ...s, wall: null } : s)) }
    expect(sockets([rake('a')], {}, shop).refusals[0]!.id).toBe('wall')
    const none = { ...usualShop(), stock: usualShop().stock.filter((s) => s.form !== 'pipe') }
    expect(sockets([rake('a')], {}, none).refusals[0]!.id).toBe('stock')
  })

  it('take the narrowest pipe that every handle goes into', () => {
    const pipe = usualShop().stock.find((s) => s.form === 'pipe')!
    const wide = { ...pipe, id: 'pipe-75', name: 'Pipe 75', thickness: 75 }
    const thin = { ...pipe, id: 'pipe-40', name: 'Pipe 40', thickness: 40 }
    const shop = { ...usualShop(), stock: [...usualShop().stock, wide, thin] }
    const taken = (d: number) => sockets([rake('a', d)], {}, shop).model!.rods[0]!.stock
    expect([taken(30), taken(40), taken(60)]).toEqual(['pipe-40', 'pipe-50', 'pipe-75'])
  })

  it('stand on the stop, no handle in a wall, every tool free to be lifted out', () => {
    const parts = partSolids(kernel, model!, input.tools)
    expect(collisions(kernel, parts).filter((c) => c.a.kind === 'tool' || c.b.kind === 'tool').map((c) => `${c.a.id} ${c.b.id} ${c.volume}`)).toEqual([]) // prettier-ignore
    for (const { solid } of parts) solid.delete()
    for (const { way } of waysOut(kernel, model!, input.tools)) expect(way).not.toBeNull()
    expect(verdicts.filter((v) => v.level === 'stop').map((v) => v.says)).toEqual([])
  })

  it('weigh as much as their solids, their middle where it is', () => {
    const [rod] = model!.rods
    const [solid] = partSolids(kernel, model!, input.tools).filter((p) => p.id === rod!.id)
    const { volume, at } = rodLump(rod!)
    expect(Math.abs(solid!.solid.volume() / volume - 1)).toBeLessThan(0.01)
    expect(at.y).toBeLessThan(rod!.at.y)
    expect(solid!.solid.boundingBox().max[2]).toBeCloseTo(rod!.at.z + 270)
  })

  it('are drawn from the side with their low side in front', () => {
    const side = holderViews(model!, input.tools, input.shop).find((v) => v.name === 'side')!
    const pipe = side.boards.find((b) => b.board === model!.rods[0]!.id)!
    expect(outlineBounds(pipe.outline).maxY - outlineBounds(pipe.outline).minY).toBeCloseTo(270)
    const corners = pipe.outline.segments.map((s) => s.to)
    const front = Math.max(...corners.map((c) => c.x))
    expect(Math.max(...corners.filter((c) => c.x === front).map((c) => c.y))).toBeCloseTo(outlineBounds(pipe.outline).maxY - 50) // prettier-ignore
    expect(side.dimensions.filter((x) => x.figure?.startsWith('pipe')).map((x) => [x.figure, Math.round(x.value)])).toEqual([['pipeLow', 220], ['pipeLength', 270]]) // prettier-ignore
  })

  it('are cut in pairs by one slanted cut, one over by itself, and each is there once', () => {
    const job = jobsOf(input.shop, [{ id: 'h', model: model! }]).find((j) => j.stock.form === 'pipe')!
    const pair = pipePair(270, 50, 45, kerfOf(input.shop))
    expect(job.instance.parts.map((p) => [p.length, p.count]).sort()).toEqual([[270, 1], [pair, 1]].sort()) // prettier-ignore
    const cuts = quickCuts(input.shop, [{ id: 'h', model: model! }])
    const { steps } = benchSteps({ model: model!, shop: input.shop, cuts }, 'h')
    const made = steps.flatMap((s) => s.makes)
    for (const r of model!.rods) {
      expect(made.filter((f) => f === `cut:${r.id}#1`)).toHaveLength(1)
      expect(made.filter((f) => f === `slant:${r.id}`)).toHaveLength(1)
    }
    const mouths = steps.find((s) => s.makes.includes(`slant:${model!.rods[0]!.id}`))!
    expect(mouths.cautions.join(' ')).toContain('closes on the blade')
    expect(mouths.says.join(' ')).toContain('Two come out of one piece')
    // square ones come singly, of whatever length the pipe is bought, and have no mouth to cut
    const endless = { ...usualShop(), stock: usualShop().stock.map((s) => (s.form === 'pipe' ? { ...s, length: null } : s)) } // prettier-ignore
    const square = sockets([rake('a'), rake('b')], { mouth: '0' }, endless)
    const single = jobsOf(square.input.shop, [{ id: 'h', model: square.model! }]).find((j) => j.stock.form === 'pipe')!
    expect(single.instance.parts).toHaveLength(2)
    expect(benchSteps({ model: square.model!, shop: square.input.shop, cuts: [] }, 'h').steps.some((s) => s.makes.some((f) => f.startsWith('slant:')))).toBe(false) // prettier-ignore
  })

  it('have holes sawn to the line where no bit bores them', () => {
    expect(verdicts.find((v) => v.id === 'rod holes')).toMatchObject({ level: 'pass' })
    const { steps } = benchSteps({ model: model!, shop: input.shop, cuts: [] }, 'h')
    const saw = steps.find((s) => s.kind === 'saw')!
    expect(saw.says[0]).toBe('A starting hole in the waste, beside the line, then round along it.')
    // no band saw gets in there
    expect(saw.settings).toContainEqual({ label: 'Saw', value: 'Jigsaw' })
  })
})
