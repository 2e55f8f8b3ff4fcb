import { describe, expect, it } from 'vitest'
import { design } from '../../choose/design'
import { settled } from '../../choose/settled'
import { whichForm } from '../../choose/which-form'
import { plainTool, type Tool } from '../../footprint/tool'
import { polygon, type Outline } from '../../geometry/outline'
import { usualShop } from '../../shop/usual'
import type { PlanInput } from '../form'

/** Pliers with their jaws down, the handles spread upward from the joint: their sides are too steep to hang by. */
const PLIERS = polygon([
  [-8, -60], [8, -60], [14, -10], [16, 0], [34, 120], [24, 122], [2, 12], [-2, 12], [-24, 122], [-34, 120], [-16, 0], [-14, -10],
]) // prettier-ignore
const SQUARE = polygon([[0, 0], [250, 0], [250, 30], [40, 30], [40, 150], [0, 150]]) // prettier-ignore

const flat = (id: string, outline: Outline, thickness = 10): Tool => ({
  ...plainTool(id, 'flat-tool', id),
  sure: 'caliper',
  mass: 0.3,
  measures: { thickness },
  outline,
})
const board = (tools: Tool[], choices: PlanInput['holder']['choices'] = {}): PlanInput => ({
  shop: usualShop('Shop', 'mm', 'full'),
  tools: new Map(tools.map((t) => [t.id, t])),
  holder: { id: 'h', name: 'Board', form: 'outline-board', seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 })), choices }, // prettier-ignore
})

describe('an outline board', () => {
  it('sets two pins under each thing, its weight between them, and all of it on the board', () => {
    const { model } = design(board([flat('pliers', PLIERS), flat('square', SQUARE)]))
    const [b] = model!.boards
    expect(b!.openings).toHaveLength(4)
    for (const s of model!.seats) {
      const [left, right] = b!.openings.filter((o) => o.seat === s.id).map((o) => o.centre.x)
      expect(left).toBeLessThan(right!)
      expect(s.at.x - s.extent.left).toBeGreaterThanOrEqual(20 - 1e-6)
      expect(s.at.x + s.extent.right).toBeLessThanOrEqual(b!.length - 20 + 1e-6)
    }
    // the pins go past 10 of thickness by 12, and slope up to the board’s back face
    const [pin] = model!.rods
    const lean = (8 * Math.PI) / 180
    expect(pin!.length).toBeCloseTo((18 - 8 * Math.sin(lean) + 10 + 12) / Math.cos(lean))
  })

  it('hangs upright what weighs below its arms, and lays on its side what would topple', () => {
    const tee = polygon([[-6, -150], [6, -150], [6, -20], [40, -20], [40, 0], [-40, 0], [-40, -20], [-6, -20]]) // prettier-ignore
    const { model } = design(board([flat('tee', tee), flat('rule', polygon([[0, 0], [30, 0], [30, 300], [0, 300]]))])) // prettier-ignore
    const [hung, rule] = model!.seats
    expect([hung!.along, rule!.along]).toEqual([undefined, true])
    // its top is to the datum: 300 to the left of its own origin, 30 up
    expect([rule!.extent.left, rule!.extent.right]).toEqual([300, expect.closeTo(0, 9)])
  })

  it('leaves out what no two pins hold as it is to lie, and says what to do', () => {
    const tall = flat('rule', polygon([[0, 0], [30, 0], [30, 300], [0, 300]])) // prettier-ignore
    const { model, refusals } = design(board([tall], { lay: 'upright' }))
    expect(model).toBeNull()
    expect(refusals[0]!.says).toMatch(/^rule is left out: no two pins under it hold it/)
  })

  it('asks for the outline and the thickness, and takes a box for what has none', () => {
    const bare: Tool = { ...flat('bare', PLIERS), outline: null }
    const { refusals } = design(board([bare]))
    expect(refusals[0]!.says).toBe('bare is left out until it is measured: outline.')
    const box: Tool = { ...plainTool('box', 'anything', 'Box'), sure: 'caliper', mass: 0.2, measures: { width: 200, height: 40, depth: 15 } } // prettier-ignore
    expect(design(board([box])).model!.rods).toHaveLength(2)
  })

  it('is proposed for pliers, in two layers where one is too thin for its pins', () => {
    const input = board([flat('pliers', PLIERS)])
    expect(settled(input).answers).toContain('layers 2')
    const offer = whichForm(input.shop, [flat('pliers', PLIERS)]).find((o) => o.form.id === 'outline-board')!
    expect([offer.holds.length, offer.level]).toEqual([1, 'pass'])
  })

  it('takes the thinnest rod of the shop', () => {
    const input = board([flat('square', SQUARE)])
    const rod = input.shop.stock.find((s) => s.form === 'rod')!
    const rods = [{ ...rod, id: 'thick', thickness: 28 }, rod, { ...rod, id: 'thin', thickness: 8 }]
    const stock = [...input.shop.stock.filter((s) => s.form !== 'rod'), ...rods]
    expect(design({ ...input, shop: { ...input.shop, stock } }).model!.rods.map((r) => r.stock)).toEqual(['thin', 'thin']) // prettier-ignore
  })

  it('follows a thicker rod: its pins stand further from the outline', () => {
    const input = board([flat('square', SQUARE)], { lay: 'upright' })
    const thick = { ...input, shop: { ...input.shop, stock: input.shop.stock.map((s) => (s.form === 'rod' ? { ...s, thickness: 20 } : s)) } } // prettier-ignore
    const up = (i: PlanInput): number => {
      const { model } = design(i)
      const [seat] = model!.seats
      return model!.rods[0]!.at.z - seat!.at.z
    }
    expect(up(thick)).toBeLessThan(up(input) - 1.5)
  })
})
