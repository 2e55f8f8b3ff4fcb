import { describe, expect, it } from 'vitest'
import { waysToHold } from '#core/choose/ways-to-hold'
import { allKinds } from '#core/footprint/kinds'
import { plainTool } from '#core/footprint/tool'
import { rectangle } from '#core/geometry/outline'

describe('how a tool can be held', () => {
  it('names the forms that it is measured for first, and the figures that others lack', () => {
    const chisel = { ...plainTool('t', 'handled-blade', 'Chisel'), measures: { handleDiameter: 30, bladeWidth: 12, bladeLength: 120 } } // prettier-ignore
    const ways = waysToHold(chisel)
    const lacks = Object.fromEntries(ways.map((w) => [w.form.id, w.lacks]))
    expect(lacks['twin-rail']).toEqual(['Ferrule diameter'])
    // a rail takes it by its blade
    expect(lacks['finger-rail']).toEqual([])
    expect(lacks['magnet-ledge']).toEqual(['Blade thickness', 'Overall length'])
    expect(lacks.berth).toBeUndefined()
    const measured = { ...chisel, measures: { ...chisel.measures, ferruleDiameter: 18 } }
    const [first] = waysToHold(measured)
    expect(first!.lacks).toEqual([])
    expect(waysToHold(measured).find((w) => w.form.id === 'twin-rail')!.lacks).toEqual([])
  })

  it.each(allKinds.map((k) => [k.name, k] as const))('%s: by some form, once its card is filled in', (_, kind) => {
    const tool = {
      ...plainTool('t', kind.id, kind.name),
      measures: Object.fromEntries(kind.fields.map((f) => [f.key, f.typical])),
      outline: kind.outline === 'needed' ? rectangle(-20, -160, 20, 0) : null,
    }
    expect(waysToHold(tool).filter((w) => w.lacks.length === 0).length).toBeGreaterThan(0)
  })
})
