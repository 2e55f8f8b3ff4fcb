import { describe, expect, it } from 'vitest'
import { design } from '../../choose/design'
import { remediesFor } from '../../choose/remedies'
import { plainTool, type Tool } from '../../footprint/tool'
import { usualShop } from '../../shop/usual'
import type { PlanInput } from '../form'

const ring = (hole: number): Tool => ({
  ...plainTool('ring', 'ring', 'Ring'),
  sure: 'caliper',
  mass: 2.5,
  measures: { outerDiameter: 120, holeDiameter: hole, thickness: 40 },
})
const mallet: Tool = {
  ...plainTool('mallet', 'headed', 'Mallet'),
  sure: 'caliper',
  mass: 0.8,
  measures: { handleWidth: 30, headWidth: 70, headLength: 140 },
}

/** Pins of 16: the usual shop's rod. */
const rail = (
  tools: Tool[],
  choices: Record<string, string | number> = {},
  settings: Record<string, number> = {},
): PlanInput => {
  const shop = usualShop()
  return {
    shop: { ...shop, settings: { ...shop.settings, ...settings } },
    tools: new Map(tools.map((t) => [t.id, t])),
    holder: {
      id: 'h',
      name: 'Pins',
      form: 'peg-rail',
      seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 })),
      choices,
    },
  }
}

describe('a peg rail', () => {
  it('hangs a ring on one pin and a head between two', () => {
    const { model } = design(rail([ring(30), mallet]))
    expect(model!.rods.map((r) => r.id)).toEqual(['pin-s-ring', 'pin-s-mallet-l', 'pin-s-mallet-r'])
    const [one, left, right] = model!.rods
    expect(one!.at.x).toBe(20 + 60)
    // handle 30, sliding 3, one pin of 16
    expect(right!.at.x - left!.at.x).toBe(49)
    expect((right!.at.x + left!.at.x) / 2).toBe(80 + 60 + 25 + 35)
  })

  it('leans its pins up, and counts the slant into their length', () => {
    const [pin] = design(rail([ring(30)])).model!.rods
    expect(pin!.toward.z).toBeCloseTo(Math.sin((8 * Math.PI) / 180))
    // 18 of rail, 6 clear, 40 thick, 12 to keep it on
    const lean = (8 * Math.PI) / 180
    expect(pin!.length).toBeCloseTo((18 - 8 * Math.sin(lean) + 6 + 40 + 12) / Math.cos(lean))
  })

  it('reckons the stress of a pin as the worked example does', () => {
    // 2.5 kg at 70 on 16: 64 of half the thickness and 6 clear; handling left out
    const thick: Tool = { ...ring(30), measures: { outerDiameter: 120, holeDiameter: 30, thickness: 128 } }
    const { verdicts } = design(rail([thick], {}, { handling: 1 }))
    expect(verdicts.find((v) => v.id === 'pin')!.measured!.value.toFixed(2)).toBe('4.27')
  })

  it('leaves out what does not go over a pin, and says what would', () => {
    const { refusals, model } = design(rail([ring(18), mallet]))
    expect(refusals[0]!.says).toBe(
      'Ring is left out: its hole of 18 mm doesn’t go over a pin of 16 mm. Take a thinner rod.',
    )
    expect(model!.seats).toHaveLength(1)
  })

  it('stops where the board is too thin for its pins: two layers hold them', () => {
    const d = design(rail([ring(30)]))
    const told = d.verdicts.find((v) => v.id === 'pin depth')!
    expect(told).toMatchObject({ level: 'stop', measured: { value: 18, limit: 24 } })
    expect(remediesFor(d, told).map((r) => r.label)).toEqual(['Glue up a second layer'])
    expect(design(rail([ring(30)], { layers: '2' })).model!.boards[0]!.thickness).toBe(36)
  })
})
