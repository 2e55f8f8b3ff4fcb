import { describe, expect, it } from 'vitest'
import { design } from '../../choose/design'
import { remediesFor } from '../../choose/remedies'
import { kindOf } from '../../footprint/kinds'
import { plainTool, type Tool } from '../../footprint/tool'
import { plainBit } from '../../shop/shop'
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

  it('stops at a head that can slip between its two pins', () => {
    const across = (headWidth: number, headLength = headWidth) => {
      const d = design(rail([{ ...mallet, measures: { ...mallet.measures, headWidth, headLength } }]))
      return d.verdicts.find((v) => v.check === 'straddle')!
    }
    // 30, sliding 3, one pin of 16, 3 of play, and a bearing of 6
    expect(across(58)).toMatchObject({ level: 'pass', measured: { value: 58, limit: 58 } })
    expect(across(57)).toMatchObject({ level: 'stop', seats: ['s-mallet'], says: 'Mallet lies 57 mm across the pins: with less than 58 mm it can slip between them.' }) // prettier-ignore
    // one side is shorter: a face that stands out on the other doesn’t hold it
    const uneven = {
      ...mallet,
      measures: { handleWidth: 30, handleThickness: 30, headWidth: 40, headLength: 140, faceReach: 20 },
    }
    const input = rail([uneven])
    const turned = { ...input, holder: { ...input.holder, seats: input.holder.seats.map((s) => ({ ...s, turn: 1 as const })) } } // prettier-ignore
    expect(design(turned).verdicts.find((v) => v.check === 'straddle')).toMatchObject({ level: 'stop', measured: { value: 46, limit: 58 } }) // prettier-ignore
  })

  it('hangs a ring by the top of its hole, and a loop below its pin', () => {
    const slope = Math.tan((8 * Math.PI) / 180)
    const half = 8 / Math.cos((8 * Math.PI) / 180)
    const [hung] = design(rail([ring(30)])).model!.seats
    // 6 clear of the rail, 40 thick, its own origin in the middle of its front
    expect(hung!.at.y).toBeCloseTo(18 + 6 + 40)
    expect([hung!.extent.front, hung!.extent.back]).toEqual([0, 40])
    expect(hung!.at.z + 15).toBeCloseTo((6 + 40) * slope + half)
    const apron: Tool = { ...plainTool('apron', 'anything', 'Apron'), sure: 'caliper', measures: { width: 300, height: 600, depth: 20, loop: 40 } } // prettier-ignore
    const [below] = design(rail([apron])).model!.seats
    const top = kindOf('anything')!.envelope(apron).face.maxY
    expect(below!.at.z + top).toBeCloseTo(6 * slope - half)
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

  it('offers the thinner rods of the shop where a hole doesn’t go over a pin', () => {
    const input = rail([ring(18), mallet])
    const [rod] = input.shop.stock.filter((s) => s.form === 'rod')
    const stock = [...input.shop.stock, ...[8, 12, 20].map((thickness) => ({ ...rod!, id: `rod-${thickness}`, name: `Rod ${thickness}`, thickness }))] // prettier-ignore
    const d = design({ ...input, shop: { ...input.shop, stock } })
    const told = d.verdicts.find((v) => v.id === 'refused:hole:s-ring')!
    expect(remediesFor(d, told).map((r) => r.label)).toEqual([
      'Take Rod 12',
      'Take Rod 8',
      'Take it out of this holder',
    ])
  })

  it('stops where the board is too thin for its pins: two layers hold them', () => {
    const d = design(rail([ring(30)]))
    const told = d.verdicts.find((v) => v.id === 'pin depth')!
    expect(told).toMatchObject({ level: 'stop', measured: { value: 18, limit: 24 } })
    expect(remediesFor(d, told).map((r) => r.label)).toEqual(['Glue up a second layer'])
    expect(design(rail([ring(30)], { layers: '2' })).model!.boards[0]!.thickness).toBe(36)
  })

  it('is not drawn from figures by which a pin would be less than nothing, and says which to measure again', () => {
    // the face lies further from the handle than the whole head is long
    const slip: Tool = { ...mallet, measures: { ...mallet.measures, headLength: 112, faceReach: 255 } }
    const { model, verdicts } = design(rail([slip]))
    expect(model).toBeNull()
    const told = verdicts.find((v) => v.id.startsWith('refused:no size'))!
    expect(told.says).toMatch(
      /^Pin 1, left would come out −\S+ mm long: figures of Mallet contradict each other\. Measure them again\.$/,
    )
    expect(told.measure).toMatchObject({ tool: 'mallet' })
    expect(told.measure!.fields).toEqual(expect.arrayContaining(['headLength', 'faceReach']))
  })

  it('keeps its leaning holes off the lower edge at the back, and lets the height follow', () => {
    // two layers of 18 lean 5.1 mm at 8 degrees: with half of a hole of 16 and 1 mm below it half of the rail is 14.1
    const low = design(rail([ring(50)], { height: 28, layers: '2' }))
    expect(low.model).toBeNull()
    const told = low.verdicts.find((v) => v.id === 'refused:too low')!
    expect(told.says).toContain('would come out at its lower edge')
    expect(remediesFor(low, told).map((r) => r.label)).toEqual(['Let the height follow from the pins'])
    expect(design(rail([ring(50)], { height: 29, layers: '2' })).model).not.toBeNull()
  })

  it('reckons webs with the hole that is bored, and says so', () => {
    const input = rail([mallet])
    const wide = design({ ...input, shop: { ...input.shop, bits: [plainBit(17.5)] } })
    const web = wide.working.find((f) => f.id.startsWith('web:hole'))!
    const [first, second] = wide.model!.boards[0]!.openings
    expect(web.value).toBeCloseTo(second!.centre.x - first!.centre.x - 17.5)
    expect(web.formula).toContain('{bit:forstner:17.5}')
  })
})
