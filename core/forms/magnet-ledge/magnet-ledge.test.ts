import { describe, expect, it } from 'vitest'
import { design } from '../../choose/design'
import { discPull } from '../../fit/magnet'
import { plainTool, type Tool } from '../../footprint/tool'
import { boardBox } from '../../model/standing'
import { usualShop } from '../../shop/usual'

const drill = (id: string, mass: number, diameter = 8): Tool => ({
  ...plainTool(id, 'bit', `Bit ${id}`),
  mass,
  measures: { shankDiameter: diameter, shankLength: 40, cuttingDiameter: diameter, overallLength: 120 },
})
const key: Tool = {
  ...plainTool('k', 'hex-key', 'Key'),
  mass: 0.03,
  measures: { acrossFlats: 5, longLeg: 80, shortLeg: 30 },
}

const ledge = (tools: Tool[], choices: Record<string, string | number> = {}) =>
  design({
    shop: usualShop(),
    tools: new Map(tools.map((t) => [t.id, t])),
    holder: { id: 'h', name: 'Bits', form: 'magnet-ledge', seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 })), choices }, // prettier-ignore
  })

describe('a magnet ledge', () => {
  it('sinks as many discs under each tool as hold its weight twice over', () => {
    const { model, working, verdicts } = ledge([drill('a', 0.06), key])
    const pull = discPull(10, 5, 1.5, 1.3)
    const wanted = (mass: number, share: number) => Math.ceil((2 * 2 * mass * 9.80665) / 0.25 / (pull * share))
    const count = (id: string) => model!.boards[0]!.openings.filter((o) => o.seat === id).length
    expect(count('s-a')).toBe(wanted(0.06, 0.25))
    expect(count('s-k')).toBe(wanted(0.03, 1))
    expect(model!.bought![0]!.count).toBe(count('s-a') + count('s-k'))
    expect(working.find((f) => f.id === 'discPull')!.value).toBeCloseTo(pull)
    for (const o of model!.boards[0]!.openings) expect(o.depth).toBe(18 - 1.5)
    expect(verdicts.filter((v) => v.check === 'magnet').map((v) => v.level)).toEqual(['pass', 'pass'])
  })

  it('asks no web between discs that are glued in: of a heavy key’s column none breaks out', () => {
    const { model, verdicts } = ledge([{ ...key, mass: 0.06 }])
    expect(model!.boards[0]!.openings.length).toBeGreaterThan(1)
    const webs = verdicts.filter((v) => v.check === 'web')
    expect(webs.map((v) => [v.id, v.level])).toContainEqual(['web:rows:1', 'pass'])
    expect(webs[0]!.measured!.limit).toBe(2.5)
  })

  it('says when a tool is too heavy for what lies flat under it, with ways out that work', () => {
    const { verdicts, input } = ledge([drill('a', 0.5, 20)])
    const told = verdicts.find((v) => v.id === 'magnet:s-a')!
    expect(told.level).not.toBe('pass')
    expect(told.measured!.value).toBeLessThan(2)
    expect(told.candidates.length).toBeGreaterThan(0)
    expect(input.holder.choices).toEqual({})
  })

  it('lies each tool on its face', () => {
    const { model } = ledge([drill('a', 0.05), key])
    const face = boardBox(model!.boards[0]!).y[1]
    expect(model!.seats[0]!.at.y - model!.seats[0]!.extent.back).toBeCloseTo(face)
    expect(model!.seats[1]!.at).toMatchObject({ y: face + 2.5, z: 35 })
  })

  it('holds more leaning back, between two cheeks that hold the whole ledge, clear of the wall', () => {
    const upright = ledge([drill('a', 0.1)], { discs: 'each' })
    const { model, working } = ledge([drill('a', 0.1)], { tilt: '30' })
    const held = (d: typeof upright) => d.working.find((f) => f.id === 'magnetHeld:s-a')!.value
    const discs = (d: typeof upright) => d.working.find((f) => f.id === 'discs:s-a')!.value
    expect(held({ ...upright, working }) / working.find((f) => f.id === 'discs:s-a')!.value).toBeGreaterThan(held(upright) / discs(upright)) // prettier-ignore
    const [board, cheek] = ['ledge', 'left'].map((id) => boardBox(model!.boards.find((b) => b.id === id)!))
    for (const axis of ['y', 'z'] as const) {
      expect(board![axis][0]).toBeGreaterThanOrEqual(cheek![axis][0] - 1e-9)
      expect(board![axis][1]).toBeLessThanOrEqual(cheek![axis][1] + 1e-9)
    }
    const [seat] = model!.seats
    expect(seat!.at.y - seat!.extent.back).toBeGreaterThanOrEqual(18 - 1e-9)
  })

  it('refuses a ledge too thin for its discs, and what is no steel', () => {
    expect(ledge([key], { cover: 10 }).model).not.toBeNull()
    const thick = design({ ...ledge([key]).input, shop: { ...usualShop(), magnets: [{ id: 'm', name: 'Disc', diameter: 10, thickness: 20, remanence: 1.3, toBuy: false }] } }) // prettier-ignore
    expect(thick.refusals[0]!.id).toBe('too thin')
    expect(design({ ...ledge([key]).input, shop: { ...usualShop(), magnets: [] } }).refusals[0]!.id).toBe('magnets')
    expect(ledge([{ ...plainTool('m', 'case', 'Box'), measures: { length: 100, width: 50, height: 40 } }]).model).toBeNull() // prettier-ignore
  })
})

describe('several ledges in a case', () => {
  const tools = [drill('a', 0.05), drill('b', 0.06), drill('c', 0.04), key]
  it('stand one over the other so that what hangs from one clears what stands on the next', () => {
    const { model, working } = ledge(tools, { rows: '2', tilt: '20' })
    const ledges = model!.boards.filter((b) => b.role === 'bar')
    expect(ledges.map((b) => b.id)).toEqual(['ledge-1', 'ledge-2'])
    expect(model!.seats.map((s) => s.board)).toEqual(['ledge-1', 'ledge-1', 'ledge-2', 'ledge-2'])
    const step = working.find((f) => f.id === 'rowPitch')!.value
    expect(ledges[0]!.placement.at.z - ledges[1]!.placement.at.z).toBeCloseTo(step)
    // 60 of a drill hangs below the middle of its discs, 60 stands above
    expect(step).toBeGreaterThanOrEqual(60 + 60 + 25)
    const [left, back] = ['left', 'back'].map((id) => boardBox(model!.boards.find((b) => b.id === id)!))
    for (const b of ledges) {
      const box = boardBox(b)
      for (const axis of ['y', 'z'] as const) {
        expect(box[axis][0]).toBeGreaterThanOrEqual(left![axis][0] - 1e-9)
        expect(box[axis][1]).toBeLessThanOrEqual(left![axis][1] + 1e-9)
      }
    }
    // and a row of screws over the ledges, which cover the rest of it
    expect(back!.z[1] - back!.z[0]).toBeCloseTo(step + working.find((f) => f.id === 'height')!.value + 30)
  })

  it('have one ledge where there are no more tools', () =>
    expect(ledge([key], { rows: '3' }).model!.boards.filter((b) => b.role === 'bar')).toHaveLength(1))
})
