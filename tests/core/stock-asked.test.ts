import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { stockAsked } from '#core/checks/stock-asked'
import { design } from '#core/choose/design'
import { remediesFor } from '#core/choose/remedies'
import { settled } from '#core/choose/settled'
import { plainTool, type Tool } from '#core/footprint/tool'
import { allForms } from '#core/forms/all-forms'
import { stockOf } from '#core/forms/choice-value'
import { usualShop } from '#core/shop/usual'
import { likelyHolder } from './likely-holder'

describe.each(allForms.map((form) => [form.id, form] as const))('what the parts of a %s are made from', (_, form) => {
  it('is asked of each by a question that names its stock', () => {
    const inputs = fc.sample(likelyHolder(form), { numRuns: 12, seed: 5 })
    const plans = inputs.map((input) => ({ input, ...form.plan(input) })).filter((p) => p.model !== null)
    expect(plans.length).toBeGreaterThan(0)
    for (const { input, model, trail } of plans)
      for (const part of [...model!.boards, ...model!.rods]) {
        const key = stockAsked({ trail, input }, part)
        expect(key, part.name).not.toBeNull()
        expect(stockOf(form.choices, input, key!)!.id, part.name).toBe(part.stock)
      }
  })
})

describe('a deck whose fingers would split off', () => {
  const shop = usualShop('S', 'mm', 'full')
  const saw: Tool = {
    ...plainTool('j', 'base-plate', 'Jigsaw'),
    sure: 'caliper',
    mass: 2.1,
    measures: { baseLength: 165, baseWidth: 75, cutterFromRear: 110, cutterFromSide: 37, cutterBelow: 30, guardLength: 20, guardThickness: 6, height: 190, balance: 80, balanceUp: 70, cordLength: 2500 }, // prettier-ignore
  }
  const deck = design({ shop, tools: new Map([['j', saw]]), holder: { id: 'h', name: 'D', form: 'lean-deck', seats: [{ id: 's', tool: 'j', turn: 0 }], choices: {} } }) // prettier-ignore

  it('is offered from ply, and proposed so', () => {
    const finger = deck.verdicts.find((v) => v.check === 'finger')!
    expect(finger.level).toBe('stop')
    expect(remediesFor(deck, finger).map((r) => r.label)).toContain('Make it from Birch ply 18')
    expect(settled(deck.input).design.verdicts.filter((v) => v.level === 'stop')).toEqual([])
  })

  it('is offered no stock that is asked for elsewhere', () => {
    const stock = deck.verdicts.filter((v) => v.check === 'stock' && v.level === 'watch')
    expect(stock.length).toBeGreaterThan(1)
    for (const v of stock) {
      const labels = v.candidates.map((c) => c.label).filter((l) => l.startsWith('Take '))
      expect(new Set(labels).size).toBe(labels.length)
    }
  })
})
