import { describe, expect, it } from 'vitest'
import { hardwareOf } from '../../bench/hardware'
import { benchSteps } from '../../bench/steps/steps'
import { design } from '../../choose/design'
import { holderViews } from '../../drawing/views'
import { plainTool, type Tool } from '../../footprint/tool'
import { boardBox } from '../../model/standing'
import { usualShop } from '../../shop/usual'

const blade = (id: string, mass: number): Tool => ({
  ...plainTool(id, 'handled-blade', `Chisel ${id}`),
  mass,
  measures: { handleDiameter: 30, ferruleDiameter: 18, bladeWidth: 25, bladeThickness: 5, bladeLength: 140, overallLength: 260 }, // prettier-ignore
})
const strip = (
  tools: Tool[],
  choices: Record<string, string | number> = {},
  change: Partial<ReturnType<typeof usualShop>> = {},
) =>
  // prettier-ignore
  design({
    shop: { ...usualShop(), ...change },
    tools: new Map(tools.map((t) => [t.id, t])),
    holder: { id: 'h', name: 'Chisels', form: 'magnet-ledge', seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 })), choices: { magnets: 'strip', ...choices } }, // prettier-ignore
  })
const many = Array.from({ length: 14 }, (_, i) => blade(String(i), 0.1))

describe('any magnet ledge', () => {
  it.each(['discs', 'strip'])('with %s warns of strong magnets on the card where they are put in', (magnets) => {
    const { model, input } = strip([blade('a', 0.1)], { magnets })
    const { steps } = benchSteps({ model: model!, shop: input.shop, cuts: [] }, 'h')
    const warned = steps.filter((s) => s.cautions.some((c) => c.includes('medical implants')))
    expect(warned.length).toBeGreaterThan(0)
    expect(warned.every((s) => s.kind === 'join')).toBe(true)
  })
})

describe('a ledge with a bought strip', () => {
  it('holds a tool by its width across the strip, a blade of unknown width by its thickness', () => {
    const { working, verdicts } = strip([blade('a', 0.1)])
    const value = (id: string) => working.find((f) => f.id === id)!.value
    expect(value('pull:s-a')).toBeCloseTo(150 * 0.25)
    expect(value('magnetHeld:s-a')).toBeCloseTo((0.25 * 37.5) / 2 / (0.1 * 9.80665))
    expect(verdicts.find((v) => v.id === 'magnet:s-a')!.level).toBe('pass')
    const unknown = { ...blade('a', 0.1), measures: { ...blade('a', 0.1).measures, bladeWidth: undefined } } as unknown as Tool // prettier-ignore
    delete unknown.measures.bladeWidth
    expect(strip([unknown]).working.find((f) => f.id === 'pull:s-a')!.value).toBeCloseTo(7.5)
  })

  it('takes whole strips, so many as reach under all tools, and the ledge is no shorter than they are', () => {
    const one = strip([blade('a', 0.1)])
    expect(one.model!.boards[0]!.length).toBe(450)
    expect(one.model!.boards.at(-1)!.length).toBe(450)
    const { model, input } = strip(many)
    const [first] = model!.bought!
    expect(first!.count).toBe(2)
    expect(hardwareOf([model!], input.shop)).toContainEqual(expect.objectContaining({ kind: 'bought', name: 'Strip 450', count: 2, toBuy: true })) // prettier-ignore
    const [from, to] = [boardBox(first!.bodies![0]!).x[0], boardBox(first!.bodies![1]!).x[1]]
    for (const { at, extent } of model!.seats) {
      expect(at.x - extent.left).toBeGreaterThanOrEqual(from - 1e-9)
      expect(at.x + extent.right).toBeLessThanOrEqual(to + 1e-9)
    }
    expect(model!.boards[0]!.length).toBeGreaterThanOrEqual(to - from)
  })

  it('lies tools on the strip’s face, upright and leaning', () => {
    for (const tilt of ['0', '20']) {
      const { model } = strip([blade('a', 0.1)], { tilt })
      const [body] = model!.bought![0]!.bodies!
      const ledge = model!.boards[0]!
      expect(body!.placement.tilt ?? 0).toBe(ledge.placement.tilt ?? 0)
      if (tilt !== '0') continue
      expect(boardBox(body!).y[0]).toBeCloseTo(boardBox(ledge).y[1])
      const [seat] = model!.seats
      expect(seat!.at.y - seat!.extent.back).toBeCloseTo(boardBox(body!).y[1])
      expect(model!.reach.value).toBeCloseTo(boardBox(body!).y[1])
    }
  })

  it('is drawn as what it is: no wood', () => {
    const { model, input } = strip([blade('a', 0.1)])
    for (const view of holderViews(model!, input.tools, input.shop))
      expect(view.boards.filter((b) => b.bought).map((b) => b.board)).toEqual(['strip-ledge-1'])
  })

  it('weighs what the strips weigh, where that is known', () => {
    const { working } = strip(many, { hung: 'strip', tilt: '20' })
    expect(working.find((f) => f.id === 'barsMass')!.value).toBeCloseTo(1.2)
    const shop = usualShop()
    const unknown = strip(many, {}, { magnetStrips: shop.magnetStrips.map((m) => ({ ...m, mass: null })) })
    expect(unknown.working.some((f) => f.id === 'barsMass')).toBe(false)
    expect(unknown.model!.bought![0]!.mass).toBeUndefined()
  })

  it('says what is wrong: no strip in the shop, a tool that slides down', () => {
    expect(strip([blade('a', 0.1)], {}, { magnetStrips: [] }).refusals.map((r) => r.id)).toEqual(['magnets'])
    const heavy = strip([blade('a', 1)]).verdicts.find((v) => v.id === 'magnet:s-a')!
    expect(heavy.level).toBe('stop')
    expect(heavy.candidates.map((c) => c.label)).not.toContain('A bought strip')
  })
})
