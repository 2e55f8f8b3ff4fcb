import Module from 'manifold-3d'
import { describe, expect, it } from 'vitest'
import { benchSteps } from '../../bench/steps/steps'
import { design } from '../../choose/design'
import { plainTool, type Tool } from '../../footprint/tool'
import { boardBox } from '../../model/standing'
import { usualShop } from '../../shop/usual'
import { collisions, partSolids } from '../../solid/collisions'
import { waysOut } from '../../solid/taking'

const kernel = await Module()
kernel.setup()

const fiddle = (id: string, measures: Record<string, number> = {}): Tool => ({
  ...plainTool(id, 'buttoned', `Fiddle ${id}`),
  sure: 'caliper',
  mass: 0.6,
  measures: { buttonDiameter: 15, shaftDiameter: 6, backToButton: 9, bodyDepth: 40, bodyWidth: 210, bodyHeight: 360, ...measures }, // prettier-ignore
})

const notches = (tools: Tool[], choices: Record<string, string | number> = {}, shop = usualShop()) =>
  design({
    shop,
    tools: new Map(tools.map((t) => [t.id, t])),
    holder: { id: 'h', name: 'Fiddles', form: 'notch', seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 as const })), choices }, // prettier-ignore
  })

describe('notches for buttons', () => {
  const { model, input, verdicts, working } = notches([fiddle('a'), fiddle('b', { buttonDiameter: 18, bodyWidth: 180 })]) // prettier-ignore
  const board = (id: string) => model!.boards.find((b) => b.id === id)!
  const value = (id: string) => working.find((f) => f.id === id)!.value

  it('are as wide as the shaft and the fit, by a bit that the button doesn’t slip through', () => {
    // 6 + 3 wants the 10 mm bit; 15 less 2 mm of bearing on each side allows 11
    expect(board('plate').openings.map((o) => [o.width, o.bores[0]!.bit])).toEqual([[10, 10], [10, 10]]) // prettier-ignore
    expect(board('plate').openings.map((o) => o.centre.x)).toEqual([20 + 105, 20 + 210 + 25 + 90])
    expect(board('plate').length).toBe(20 + 210 + 25 + 180 + 20)
  })

  it('stand in the thickest board that goes between back and button', () => {
    expect(board('plate').thickness).toBe(5.8)
    const thick = { ...usualShop(), stock: usualShop().stock.filter((s) => s.id !== 'birch-ply-6') }
    expect(notches([fiddle('a')], {}, thick).refusals[0]).toMatchObject({ id: 'plate:s-a', tool: 'a' })
    expect(notches([fiddle('a', { backToButton: 25 })], {}, thick).model!.boards[0]!.thickness).toBe(18)
  })

  it('cover the button by what it is lifted, the strip begins below every button', () => {
    expect(value('run')).toBe(20 + 18 / 2)
    expect(value('stripTop')).toBe(29 + (10 - 6 + 18) / 2 + 6)
    expect(boardBox(board('plate')).z).toEqual([-(46 + 40), 0])
    expect(boardBox(board('spacer')).z).toEqual([-86, -46])
    expect(boardBox(board('plate')).y).toEqual([36, 41.8])
  })

  it('let everything hang clear of all wood, and come out lifted', () => {
    const parts = partSolids(kernel, model!, input.tools)
    expect(collisions(kernel, parts).map((c) => `${c.a.id} ${c.b.id} ${c.volume}`)).toEqual([])
    for (const { solid } of parts) solid.delete()
    for (const way of waysOut(kernel, model!, input.tools)) expect(way.way).not.toBeNull()
    // nothing goes straight forward: the button is behind the plate
    for (const { way } of waysOut(kernel, model!, input.tools)) expect([way!.lift > 0, way!.then === 'up']).toContain(true) // prettier-ignore
  })

  it('pass every check for what is commonly hung so', () =>
    expect(verdicts.filter((v) => v.level === 'stop').map((v) => v.says)).toEqual([]))

  it('are marked and sawn from the upper edge of their plate, as it stands', () => {
    const { steps } = benchSteps({ model: model!, shop: input.shop, cuts: [] }, 'h')
    const says = (kind: string) => steps.filter((s) => s.kind === kind && s.parts.includes('plate')).flatMap((s) => s.says).join(' ') // prettier-ignore
    expect(says('mark')).toContain('with an arrow to its upper edge')
    expect(says('saw')).toContain('to the upper edge')
    expect(says('saw')).not.toContain('front edge')
  })

  it('leave out a button too small for its shaft, or too thick for the room behind the plate', () => {
    const slips = notches([fiddle('a', { shaftDiameter: 12 })])
    expect(slips.refusals[0]!.id).toBe('slips:s-a')
    expect(slips.verdicts[0]!.candidates.map((c) => c.label)).toEqual(['Snug fit'])
    expect(notches([fiddle('a', { buttonThickness: 16 })]).refusals[0]!.id).toBe('button:s-a')
    expect(notches([fiddle('a', { buttonThickness: 14 })]).model).not.toBeNull()
  })

  it('say where to look for a second pin, when they are hung', () => {
    const { steps } = benchSteps({ model: model!, shop: input.shop, cuts: [] }, 'h')
    expect(steps.find((s) => s.kind === 'hang')!.cautions.join(' ')).toContain('padded pin')
  })
})
