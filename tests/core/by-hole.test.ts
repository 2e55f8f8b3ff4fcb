import Module from 'manifold-3d'
import { describe, expect, it } from 'vitest'
import { design } from '#core/choose/design'
import { kindOf } from '#core/footprint/kinds'
import { plainTool, type Tool } from '#core/footprint/tool'
import { polygon } from '#core/geometry/outline'
import { usualShop } from '#core/shop/usual'
import { collisions, partSolids } from '#core/solid/collisions'
import { waysOut } from '#core/solid/taking'

const kernel = await Module()
kernel.setup()

/** A wrench whose outline lies aside of the origin: 90 wide about 30, its top at 10. */
const wrench = (measures: Record<string, number> = {}): Tool => ({
  ...plainTool('w', 'flat-tool', 'Wrench'),
  sure: 'caliper',
  mass: 0.25,
  outline: polygon([[-15, -190], [75, -190], [75, 10], [-15, 10]]), // prettier-ignore
  measures: { thickness: 10, hole: 64, holeDown: 8, ...measures },
})

const hung = (form: string, tool: Tool, choices: Record<string, string | number> = {}) =>
  design({
    shop: usualShop(),
    tools: new Map([[tool.id, tool]]),
    holder: { id: 'h', name: 'Wrenches', form, seats: [{ id: 's', tool: tool.id, turn: 0 }], choices },
  })

describe('a flat tool with a hole', () => {
  it('has it in the middle of its outline, so far below its top', () => {
    const hole = kindOf('flat-tool')!
      .bodies(wrench())
      .find((b) => b.part === 'hole')!
    expect(hole).toMatchObject({ form: 'plate', outline: { start: { y: 10 - 8 - 32 } } })
    expect(kindOf('flat-tool')!.bodies({ ...wrench(), measures: { thickness: 10 } })).toHaveLength(1)
  })

  it.each(['peg-rail', 'hook'])('hangs on a %s by it, clear of all wood, and comes off', (form) => {
    const { model, input } = hung(form, wrench())
    const [seat] = model!.seats
    const x = model!.rods[0]?.at.x ?? model!.boards.find((b) => b.role === 'hook')!.placement.at.x + 9
    // its outline lies as far to either side of what it hangs on
    expect(seat!.at.x - 15 - x).toBeCloseTo(-45)
    expect(seat!.at.x + 75 - x).toBeCloseTo(45)
    expect(seat!.extent.left).toBeCloseTo(45 - 30)
    const parts = partSolids(kernel, model!, input.tools)
    expect(collisions(kernel, parts).map((c) => `${c.a.id} ${c.b.id} ${c.volume}`)).toEqual([])
    for (const { solid } of parts) solid.delete()
    for (const way of waysOut(kernel, model!, input.tools)) expect(way.way).not.toBeNull()
  })

  it('is left out where its hole doesn’t go over, and asked for it where it has none', () => {
    expect(hung('peg-rail', wrench({ hole: 17 })).refusals[0]!.id).toBe('hole:s')
    expect(hung('hook', wrench({ hole: 30, holeDown: 3 })).refusals[0]!.id).toBe('hole:s')
    const none = wrench()
    delete none.measures.hole
    expect(hung('peg-rail', none).refusals[0]).toMatchObject({ id: 'unmeasured:s', fields: ['hole'] })
  })
})

describe('anything else with an outline', () => {
  it('hangs by its loop without its width being measured', () => {
    const jig: Tool = { ...wrench(), kind: 'anything', measures: { depth: 12, loop: 20 } }
    const { model } = hung('peg-rail', jig)
    expect(model!.seats[0]!.extent.right + model!.seats[0]!.extent.left).toBeCloseTo(90)
    expect(hung('peg-rail', { ...jig, outline: null }).refusals[0]).toMatchObject({ fields: ['width'] })
  })
})
