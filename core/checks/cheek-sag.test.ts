import { describe, expect, it } from 'vitest'
import { wrongIn } from '../../tests/core/worked-out'
import { design } from '../choose/design'
import { remediesFor } from '../choose/remedies'
import { plainTool, type Tool } from '../footprint/tool'
import { usualShop } from '../shop/usual'

const shop = usualShop('S', 'mm', 'full')

const plane = (i: number, mass: number): Tool => ({
  ...plainTool(`p${i}`, 'plane', `Plane ${i}`),
  mass,
  measures: { soleLength: 240, soleWidth: 90, height: 110 },
})

const berth = (count: number, mass: number, choices: Record<string, string | number> = {}) => {
  const tools = Array.from({ length: count }, (_, i) => plane(i, mass))
  const seats = tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 as const }))
  return design({ shop, tools: new Map(tools.map((t) => [t.id, t])), holder: { id: 'h', name: 'Planes', form: 'berth', seats, choices: { tilt: '10', ...choices } } }) // prettier-ignore
}
const sagOf = (d: ReturnType<typeof berth>) => d.verdicts.find((v) => v.check === 'sag')

describe('a shelf that leans between two cheeks', () => {
  it('sags by its load square to it, its lip carrying beside it', () => {
    const d = berth(4, 2, { shelfStock: 'birch-ply-18', lipStock: 'pine-18' })
    const [shelf, lip] = ['shelf', 'lip'].map((id) => d.model!.boards.find((b) => b.id === id)!)
    const stiff = (name: string) => shop.materials.find((m) => m.name === name)!.stiffness
    const ei = stiff(shelf!.material) * ((shelf!.width * shelf!.thickness ** 3) / 12) + stiff(lip!.material) * ((lip!.thickness * lip!.width ** 3) / 12) // prettier-ignore
    const sag = (5 * 8 * 9.80665 * Math.cos(Math.PI / 18) * shelf!.length ** 3) / (384 * 1000 * ei)
    expect(d.working.find((f) => f.id === 'cheekSag:shelf')!.value).toBeCloseTo(sag, 6)
    // wood sags twice as far in the long run
    expect(sagOf(d)!.measured).toMatchObject({ value: expect.closeTo(2 * sag, 6), limit: expect.closeTo(shelf!.length / 360, 6) }) // prettier-ignore
    expect(wrongIn(d.working)).toEqual([])
  })

  it('stops where that shows, with ways out that help', () => {
    expect(sagOf(berth(3, 1))!.level).toBe('pass')
    const d = berth(9, 4)
    expect(sagOf(d)).toMatchObject({ level: 'stop', board: 'shelf' })
    const offered = remediesFor(d, sagOf(d)!).map((r) => r.label)
    expect(offered).toContain('Let it stand level on its back')
    expect(offered).toContain('Keep the first half here')
  })

  it('is carried by its back where it stands level, and is then not asked', () =>
    expect(sagOf(berth(9, 4, { tilt: '0' }))).toBeUndefined())

  it('is told where nothing is known of its wood', () => {
    const d = design({ ...berth(3, 1).input, shop: { ...shop, materials: [] } })
    expect(sagOf(d)).toMatchObject({ level: 'watch' })
  })
})

it('a deck carries by what its slots leave whole', () => {
  const saw: Tool = {
    ...plainTool('c', 'base-plate', 'Circular saw'),
    sure: 'caliper',
    mass: 4,
    measures: { baseLength: 290, baseWidth: 150, cutterFromRear: 60, cutterFromSide: 30, cutterBelow: 55, guardLength: 180, guardThickness: 20, height: 210, balance: 140, balanceUp: 80, cordLength: 3000 }, // prettier-ignore
  }
  const d = design({ shop, tools: new Map([['c', saw]]), holder: { id: 'h', name: 'D', form: 'lean-deck', seats: [{ id: 's', tool: 'c', turn: 0 }], choices: {} } }) // prettier-ignore
  const deck = d.model!.boards.find((b) => b.id === 'deck')!
  const [slot] = deck.openings
  const whole = d.working.find((f) => f.id === 'cheekWhole:deck')!
  // open at the back edge, as deep as the guard reaches from there
  expect(slot!.opensTo).toBe('back')
  expect(whole.value).toBeLessThan(deck.width - 180)
  expect(sagOf(d)!.level).toBe('pass')
  expect(wrongIn(d.working)).toEqual([])
})
