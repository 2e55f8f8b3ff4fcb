import Module from 'manifold-3d'
import { describe, expect, it } from 'vitest'
import { design } from '../../choose/design'
import { plainTool, type Tool } from '../../footprint/tool'
import { usualShop } from '../../shop/usual'
import { collisions, partSolids } from '../../solid/collisions'

const kernel = await Module()
kernel.setup()

const tape = (id: string, hole = 76): Tool => ({
  ...plainTool(id, 'ring', `Tape ${id}`),
  mass: 0.3,
  measures: { outerDiameter: 110, holeDiameter: hole, thickness: 48 },
})
const hanger = (tools: Tool[]) =>
  design({
    shop: usualShop(),
    tools: new Map(tools.map((t) => [t.id, t])),
    holder: { id: 'h', name: 'Tape', form: 'roll-hanger', seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 1 as const })), choices: {} }, // prettier-ignore
  })

describe('a roll hanger', () => {
  const { model, input, verdicts } = hanger([tape('a'), tape('b'), tape('c')])

  it('has a rod through both ends, long enough for the rolls and their gaps', () => {
    const [rod] = model!.rods
    expect(rod!.length).toBe(18 + 20 + 3 * 48 + 2 * 25 + 20 + 18)
    expect(rod!.at.y).toBe(18 + 55 + 6)
    expect(verdicts.find((v) => v.id === 'rod sag')!.level).toBe('pass')
  })

  it('lets every roll hang on the rod and turn clear of all wood', () => {
    const parts = partSolids(kernel, model!, input.tools)
    expect(collisions(kernel, parts).map((c) => `${c.a.id} ${c.b.id} ${c.volume}`)).toEqual([])
    for (const { solid } of parts) solid.delete()
  })

  it('leaves out a roll that does not go over the rod', () =>
    expect(hanger([tape('a', 10)]).refusals[0]).toMatchObject({ id: 'hole:s-a', tool: 'a' }))
})
