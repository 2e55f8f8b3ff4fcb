import { describe, expect, it } from 'vitest'
import { design } from '../../choose/design'
import { plainTool, type Tool } from '../../footprint/tool'
import { outlineArea } from '../../geometry/area'
import { usualShop } from '../../shop/usual'
import { hookOutline } from './plan'

const disc: Tool = {
  ...plainTool('d', 'ring', 'Discs'),
  sure: 'caliper',
  mass: 0.4,
  measures: { outerDiameter: 125, holeDiameter: 60, thickness: 22 },
}
const clamp: Tool = {
  ...plainTool('c', 'c-clamp', 'Clamp'),
  sure: 'caliper',
  mass: 1.6,
  measures: { frameWidth: 18, throat: 65, opening: 100 },
}
const apron: Tool = {
  ...plainTool('a', 'anything', 'Apron'),
  sure: 'caliper',
  mass: 0.5,
  measures: { width: 400, height: 900, depth: 20, loop: 60 },
}

const hung = (tools: Tool[], choices: Record<string, string | number> = {}, shop = usualShop()) =>
  design({
    shop,
    tools: new Map(tools.map((t) => [t.id, t])),
    holder: { id: 'h', name: 'Hooks', form: 'hook', seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 })), choices }, // prettier-ignore
  })

describe('a hook', () => {
  it('has a hollow as wide as what lies in it with the fit, and the wood that its strength wants', () => {
    const { model, working } = hung([disc, clamp])
    const value = (id: string) => working.find((f) => f.id === id)!.value
    expect(value('hollow:s-d')).toBe(25)
    expect(value('hollow:s-c')).toBe(21)
    expect(value('arm:s-d')).toBe(25)
    const rise = 12.5 - Math.sqrt(12.5 ** 2 - 11 ** 2)
    expect(value('nose:s-d')).toBeCloseTo(20 + rise)
    expect(model!.boards.map((b) => b.id)).toEqual(['back', 'hook-s-d', 'hook-s-c'])
    expect(model!.boards[1]!.length).toBe(12 + 25 + 12)
  })

  it('is hollowed by a true arc', () => {
    const outline = hookOutline({ length: 49, height: 45, hollow: 25, arm: 25 }, 12)
    const corner = (12.5 * 12.5) / 2
    const hollow = (Math.PI * 12.5 ** 2) / 2 + 25 * (45 - 25 - 12.5)
    expect(outlineArea(outline)).toBeCloseTo(49 * 45 - corner - hollow, 6)
  })

  it('lets the hole of a disc lie on the hollow', () => {
    const { model } = hung([disc])
    const [seat] = model!.seats
    const hook = model!.boards[1]!
    const rise = 12.5 - Math.sqrt(12.5 ** 2 - 11 ** 2)
    expect(seat!.at.z).toBeCloseTo(hook.placement.at.z + 25 + rise - 30)
    expect(seat!.at.x).toBeCloseTo(hook.placement.at.x + hook.thickness / 2)
  })

  it('leaves out what does not go over it, and says why', () => {
    const small = { ...disc, measures: { ...disc.measures, holeDiameter: 16 } }
    const { refusals, model } = hung([small, apron])
    expect(refusals[0]).toMatchObject({ id: 'hole:s-d', tool: 'd' })
    expect(model!.seats.map((s) => s.tool)).toEqual(['a'])
    expect(hung([{ ...clamp, measures: { ...clamp.measures, opening: 40 } }]).refusals[0]!.id).toBe('hole:s-c')
  })

  it('stops at what would break it off, with a way out that works', () => {
    const { verdicts, input } = hung([{ ...apron, mass: 90 }], { armHeight: 12 })
    const told = verdicts.find((v) => v.id === 'hook')!
    expect(told.level).toBe('stop')
    const { change } = told.candidates[0]!
    expect(change).toMatchObject({ kind: 'choice', key: 'armHeight' })
    const stronger = design({ ...input, holder: { ...input.holder, choices: { armHeight: (change as { value: number }).value } } }) // prettier-ignore
    expect(stronger.verdicts.find((v) => v.id === 'hook')!.level).toBe('pass')
  })
})
