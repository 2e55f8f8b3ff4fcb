import { describe, expect, it } from 'vitest'
import { design } from '../choose/design'
import { kindOf } from '../footprint/kinds'
import type { NeckEnvelope } from '../footprint/kind'
import { plainTool, type Tool } from '../footprint/tool'
import { usualShop } from '../shop/usual'

const drill = (measures: Record<string, number> = {}, beltHook = 'none'): Tool => ({
  ...plainTool('d', 'pistol-grip', 'Drill'),
  sure: 'caliper',
  mass: 1.1,
  options: { beltHook },
  measures: { neckWidth: 38, neckDepth: 46, neckToBattery: 110, bodyLength: 120, bodyWidth: 70, overallHeight: 230, noseLength: 50, noseDiameter: 44, ...measures }, // prettier-ignore
})

const rail = (tool: Tool, form = 'finger-rail', choices: Record<string, string | number> = {}) =>
  design({
    shop: usualShop(),
    tools: new Map([['d', tool]]),
    holder: { id: 'h', name: 'Drills', form, seats: [{ id: 's1', tool: 'd', turn: 0 }], choices },
  })

const verdict = (d: ReturnType<typeof rail>) => d.verdicts.find((v) => v.check === 'neck room')

describe('a tool that hangs by its grip', () => {
  const neckOf = (tool: Tool, turn: 0 | 1 = 0) => kindOf('pistol-grip')!.neck!(tool, turn) as NeckEnvelope

  it('has its nose out, its body across the slot, its grip in it', () => {
    const neck = neckOf(drill())
    expect([neck.front.value, neck.back.value]).toEqual([expect.closeTo(0.62 * 120 + 50), expect.closeTo(0.95 * 46 + 0.14 * 110)]) // prettier-ignore
    expect([neck.left.value, neck.right.value]).toEqual([35, 35])
    expect([neck.neckAcross.value, neck.neckAlong.value]).toEqual([38, 46])
    // turned, its grip lies the other way
    expect([neckOf(drill(), 1).neckAcross.value, neckOf(drill(), 1).neckAlong.value]).toEqual([46, 38])
    // a long body reaches further back than the battery
    expect(neckOf(drill({ bodyLength: 300 })).back.value).toBeCloseTo(0.38 * 300)
  })

  it('stands out on the side of its belt hook', () => {
    const neck = neckOf(drill({}, 'left'))
    expect([neck.left.value, neck.right.value]).toEqual([expect.closeTo(0.4 * 70 + 16), 35])
    // a wide body hides it
    expect(neckOf(drill({ bodyWidth: 200 }, 'left')).left.value).toBe(100)
  })

  it('hangs on a rail that goes in above its battery, with a sliding fit to spare', () => {
    const one = verdict(rail(drill()))!
    expect(one).toMatchObject({ level: 'pass', measured: { limit: 18 + 3 } })
    expect(one.measured!.value).toBeCloseTo(0.45 * 110)
    const two = verdict(rail(drill({ neckToBattery: 80 }), 'finger-rail', { layers: '2' }))!
    expect(two).toMatchObject({ level: 'stop', measured: { limit: 36 + 3 } })
    expect(two.candidates.map((c) => c.label)).toContain('One layer')
  })

  it('does not go between arms that are higher than its neck is long', () => {
    expect(verdict(rail(drill(), 'reach-arms'))).toMatchObject({ level: 'stop', measured: { limit: 60 + 3 } })
  })

  it('is asked of nothing whose handle goes on down', () => {
    const mallet: Tool = { ...plainTool('d', 'headed', 'Mallet'), measures: { handleWidth: 30, headWidth: 70, headLength: 140 } } // prettier-ignore
    expect(verdict(rail(mallet))).toBeUndefined()
  })
})
