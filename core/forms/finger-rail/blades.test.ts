import Module from 'manifold-3d'
import { describe, expect, it } from 'vitest'
import { design } from '../../choose/design'
import { newSeats } from '../../choose/new-seats'
import { plainTool, type Tool } from '../../footprint/tool'
import { usualShop } from '../../shop/usual'
import { collisions, partSolids } from '../../solid/collisions'
import { waysOut } from '../../solid/taking'
import { formOf } from '../all-forms'

const kernel = await Module()
kernel.setup()

const shop = usualShop('S', 'mm', 'full')
const form = formOf('finger-rail')!

const chisel = (id: string, bladeWidth: number, more: Record<string, number> = {}): Tool => ({
  ...plainTool(id, 'handled-blade', `Chisel ${id}`),
  sure: 'caliper',
  mass: 0.25,
  measures: { handleDiameter: 30, ferruleDiameter: 20, bladeWidth, bladeThickness: 4, bladeLength: 120, overallLength: 260, ...more }, // prettier-ignore
})

const rail = (tools: Tool[], choices: Record<string, string | number> = {}) => {
  let n = 0
  const seats = newSeats(form, tools, shop, () => `s${++n}`)
  return design({ shop, tools: new Map(tools.map((t) => [t.id, t])), holder: { id: 'h', name: 'Chisels', form: 'finger-rail', seats, choices } }) // prettier-ignore
}

describe('blades in a finger rail', () => {
  const { model, verdicts, working, input } = rail([chisel('a', 6), chisel('b', 18), chisel('c', 38)])
  const value = (id: string) => working.find((f) => f.id === id)!.value

  it('go into slots as wide as they are thick, edge to the wall, and rest on their ferrules', () => {
    expect(model!.seats.map((s) => s.turn)).toEqual([1, 1, 1])
    // 4 and sliding 3, by the next bit
    expect(model!.boards[0]!.openings.map((o) => o.width)).toEqual([8, 8, 8])
    expect(verdicts.filter((v) => v.check === 'shoulder').map((v) => [v.level, v.measured!.value])).toEqual([['pass', 6], ['pass', 6], ['pass', 6]]) // prettier-ignore
    expect(verdicts.filter((v) => v.level === 'stop')).toEqual([])
    expect(verdicts.some((v) => v.check === 'bearing')).toBe(false)
  })

  it('stand apart by handles, or by blades where those are wider, and keep wood before the widest', () => {
    expect([value('x:s1'), value('x:s2') - value('x:s1')]).toEqual([20 + 15, 15 + 25 + 15])
    const [, , wide] = model!.seats
    // turned, the blade reaches 19 to the wall and out from it, the handle 15
    expect(wide!.extent).toMatchObject({ left: 15, right: 15, front: 19, back: 19 })
    const rail = model!.boards[0]!
    expect(rail.placement.at.y + rail.width - (wide!.at.y + 19)).toBeGreaterThanOrEqual(12 - 1e-6)
  })

  it('tell how far edges hang out below', () => {
    expect(verdicts.find((v) => v.id === 'edges out')).toMatchObject({ level: 'watch', says: 'Edges hang out up to 102 mm below the board: hang it above where hands go, or close it off in front.' }) // prettier-ignore
    const blunt = { ...chisel('a', 18), options: { delicate: 'none' } }
    expect(rail([blunt]).verdicts.some((v) => v.id === 'edges out')).toBe(false)
  })

  it('meet no wood, and come out in front', () => {
    const parts = partSolids(kernel, model!, input.tools)
    expect(collisions(kernel, parts).map((c) => `${c.a.id} ${c.b.id} ${c.volume}`)).toEqual([])
    for (const { solid } of parts) solid.delete()
    for (const { way } of waysOut(kernel, model!, input.tools)) expect(way).not.toBeNull()
  })

  it('rest on the handle where the ferrule is narrower than the slot, and stop where nothing is wider', () => {
    const one = (more: Record<string, number>) => rail([chisel('a', 18, more)]).verdicts.find((v) => v.check === 'shoulder')! // prettier-ignore
    expect(one({ ferruleDiameter: 9 })).toMatchObject({ level: 'pass', measured: { value: 11 } })
    expect(one({ ferruleDiameter: 9, handleDiameter: 10 })).toMatchObject({ level: 'stop' })
    const bare = chisel('a', 18)
    delete bare.measures.ferruleDiameter
    expect(form.lacks(bare)).toEqual([])
    expect(rail([bare]).verdicts.find((v) => v.check === 'shoulder')!.measured!.value).toBe(11)
  })

  it('are as thick as wide where only a round shank was measured', () => {
    const shank = chisel('a', 6, { ferruleDiameter: 22 })
    delete shank.measures.bladeThickness
    const d = rail([shank])
    expect(d.model!.boards[0]!.openings[0]!.width).toBe(10)
    expect(d.verdicts.find((v) => v.check === 'shoulder')!.measured!.value).toBe(6)
  })
})
