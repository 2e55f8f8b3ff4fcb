import { describe, expect, it } from 'vitest'
import { design } from '../choose/design'
import { toolWeight } from '../solid/mass'
import { usualShop } from '../shop/usual'
import { heavier, plainTool, type Tool } from './tool'

const planer = (mass: number | null, massWithBattery: number | null): Tool => ({
  ...plainTool('p', 'base-plate', 'Planer'),
  mass,
  massWithBattery,
  measures: { baseLength: 290, baseWidth: 108, cutterBelow: 0, height: 165, balance: 138, balanceUp: 62, balanceBattery: 112, balanceUpBattery: 66 }, // prettier-ignore
})

describe('what a holder carries of a tool', () => {
  it('is the heavier of its two weights, or the one there is', () => {
    expect(heavier(planer(2.4, 3.1))).toEqual({ kg: 3.1, as: 'massWithBattery' })
    expect(heavier(planer(2.4, null))).toEqual({ kg: 2.4, as: 'mass' })
    expect(heavier(planer(null, 3.1))).toEqual({ kg: 3.1, as: 'massWithBattery' })
    expect(heavier(planer(null, null))).toBeNull()
    // a slip: it can't be lighter with its battery
    expect(heavier(planer(2.4, 2))).toEqual({ kg: 2.4, as: 'mass' })
  })

  it('weighs where it balances so', () => {
    const seat = { turn: 0 as const, at: { x: 0, y: 0, z: 0 } }
    expect(toolWeight(seat, planer(2.4, 3.1))).toMatchObject({ mass: 3.1, at: { y: 112, z: 66 } })
    expect(toolWeight(seat, planer(2.4, null))).toMatchObject({ mass: 2.4, at: { y: 138, z: 62 } })
  })

  it('is what is reckoned with, and the working leads to it', () => {
    const tool = planer(2.4, 3.1)
    const holder = { id: 'h', name: 'Deck', form: 'lean-deck', seats: [{ id: 's1', tool: 'p', turn: 0 as const }], choices: {} } // prettier-ignore
    const { model, working } = design({ shop: usualShop(), tools: new Map([['p', tool]]), holder })
    expect(model!.seats[0]!.mass).toBe(3.1)
    expect(working.find((f) => f.id === 'mass:p')).toMatchObject({
      value: 3.1,
      label: 'Planer: weight with its battery',
      origin: { kind: 'measurement', tool: 'p', field: 'massWithBattery' },
    })
  })
})
