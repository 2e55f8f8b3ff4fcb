import { describe, expect, it } from 'vitest'
import { design } from '../choose/design'
import { plainTool, type Tool } from '../footprint/tool'
import { usualShop } from '../shop/usual'

const bottle = (id: string, wide: number, height: number): Tool => ({
  ...plainTool(id, 'case', `Bottle ${id}`),
  mass: 0.4,
  options: { type: 'box' },
  measures: { length: wide, width: wide, height },
})

const shelf = (tools: Tool[], choices: Record<string, string | number> = {}, form = 'berth') =>
  design({
    shop: usualShop(),
    tools: new Map(tools.map((t) => [t.id, t])),
    holder: { id: 'h', name: 'Bottles', form, seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 as const })), choices }, // prettier-ignore
  })

const knock = (d: ReturnType<typeof shelf>) => d.verdicts.find((v) => v.check === 'knock')!
const degrees = (up: number, over: number) => (Math.atan2(up, over) * 180) / Math.PI

describe('a knock on the wall', () => {
  it('tips over a lip what is slim and tall: told of the one that goes first, with a lip that keeps it', () => {
    const d = shelf([bottle('a', 80, 90), bottle('b', 30, 300)])
    const told = knock(d)
    expect(told).toMatchObject({ level: 'watch', seats: ['s-b'] })
    // a box's weight is centred a little above its middle, for the lid's edge
    const over = d.working.find((f) => f.id === 'knockOver')!.value
    expect(over).toBeCloseTo(150, -1)
    expect(told.measured!.value).toBeCloseTo(degrees(15, over - 20))
    const { change } = told.candidates[0]!
    expect(change).toMatchObject({ kind: 'choice', key: 'lip' })
    expect(knock(shelf([bottle('b', 30, 300)], { lip: (change as { value: number }).value })).level).toBe('pass')
  })

  it('throws out nothing that a lip reaches over the middle of, or that is broad', () => {
    expect(knock(shelf([bottle('a', 80, 90)])).level).toBe('pass')
    const low = knock(shelf([bottle('a', 20, 35)]))
    expect(low).toMatchObject({ level: 'pass', measured: { value: 90 } })
  })

  it('counts a front that is raised, and the way a thing is turned', () => {
    const tall = bottle('b', 30, 300)
    const flat = knock(shelf([tall])).measured!.value
    expect(knock(shelf([tall], { tilt: '10' })).measured!.value).toBeCloseTo(flat + 10)
    const deep: Tool = { ...tall, measures: { length: 30, width: 90, height: 300 } }
    const of = (turn: 0 | 1) => design({ ...shelf([deep]).input, holder: { ...shelf([deep]).input.holder, seats: [{ id: 's-b', tool: 'b', turn }] } }) // prettier-ignore
    expect(knock(of(0)).level).toBe('pass')
    expect(knock(of(1)).measured!.value).toBeCloseTo(flat)
  })

  it('is asked of nothing that hangs, nor of what leans on a deck', () => {
    const ring: Tool = { ...plainTool('r', 'ring', 'Tape'), measures: { outerDiameter: 110, holeDiameter: 76, thickness: 48 } } // prettier-ignore
    expect(knock(shelf([ring], {}, 'peg-rail'))).toBeUndefined()
    const saw: Tool = { ...plainTool('d', 'base-plate', 'Saw'), measures: { baseLength: 280, baseWidth: 140, height: 220, balance: 120, balanceUp: 70 } } // prettier-ignore
    expect(knock(shelf([saw], {}, 'lean-deck'))).toBeUndefined()
  })
})
