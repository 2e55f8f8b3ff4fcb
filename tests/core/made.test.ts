import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { madeBy } from '#core/bench/steps/made'
import { benchSteps } from '#core/bench/steps/steps'
import { design } from '#core/choose/design'
import { allForms } from '#core/forms/all-forms'
import type { PlanInput } from '#core/forms/form'
import { mallet, railOf, threeMallets } from './samples'
import { anyHolder } from './any-holder'

/** What each step of a holder makes, by its id; null where it can't be drawn. */
function madeOf(input: PlanInput): Map<string, string> | null {
  const { model } = design(input)
  if (!model) return null
  return new Map(benchSteps({ model, shop: input.shop, cuts: [] }, 'h').steps.map((s) => [s.id, madeBy(model, s)]))
}

describe('what a step makes', () => {
  it('is another when the tools are, for the steps that have to do with it and no others', () => {
    const [a, b, c] = threeMallets()
    const before = madeOf(railOf([a!, b!, c!]))!
    const after = madeOf(railOf([a!, b!, mallet('t3', 31.2, 96)]))!
    const differ = [...before].filter(([id, as]) => after.has(id) && after.get(id) !== as).map(([id]) => id)
    // the third slot moves and the board grows; what is bored for the first two stays where it was
    expect(differ).toEqual(expect.arrayContaining([expect.stringMatching(/^mark/), expect.stringMatching(/^cut/)]))
    const same = [...before].filter(([id, as]) => as !== '' && after.get(id) === as).map(([id]) => id)
    expect(same.some((id) => id.startsWith('bore'))).toBe(true)
    expect([...before.values()]).toContain('')
  })

  it('is the same in another tool’s name, and with other machines', () => {
    const input = railOf(threeMallets())
    const tools = new Map([...input.tools].map(([id, t]) => [id, { ...t, name: `Other ${t.name}` }]))
    const shop = { ...input.shop, machines: [], saws: input.shop.saws.map((s) => ({ ...s, name: 'Another saw' })) }
    const [before, after] = [madeOf(input)!, madeOf({ ...input, shop, tools })!]
    for (const [id, as] of after) if (before.has(id)) expect(as).toBe(before.get(id))
  })
})

describe.each(allForms.map((form) => [form.name, form] as const))('of any %s', (_, form) => {
  it('what the steps make is the same whatever unit it is shown in', () => {
    fc.assert(
      fc.property(anyHolder(form), (input) => {
        const other = { ...input, shop: { ...input.shop, unit: input.shop.unit === 'mm' ? 'in' : 'mm' } as const }
        const [a, b] = [madeOf(input), madeOf(other)]
        expect(b).toEqual(a)
      }),
      { numRuns: 15, seed: 4 },
    )
  })
})
