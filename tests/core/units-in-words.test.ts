import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { joiningNotes, workNotes } from '#core/bench/notes'
import { benchSteps } from '#core/bench/steps/steps'
import type { Verdict } from '#core/checks/verdict'
import { design } from '#core/choose/design'
import { quickCuts } from '#core/cutting/quick-cuts'
import { allForms } from '#core/forms/all-forms'
import type { HolderModel } from '#core/model/model'
import { wallDesign } from '#core/wall/backing/wall-model'
import { usualShop } from '#core/shop/usual'
import type { Shop } from '#core/shop/shop'
import { anyHolder } from './any-holder'
import { anyWall } from './any-wall'

/** What names a length or a weight of the other unit; what is sold by its metric size keeps it. */
const FOREIGN = { mm: /\d ?"|\d (lb|oz|in)\b/, in: /\d ?(mm|cm|kg|g)\b/ } as const

/** Everything that is said of a model at the bench. */
function told(model: HolderModel, shop: Shop): string[] {
  const cuts = quickCuts(shop, [{ id: 'h', model }])
  const { steps } = benchSteps({ model, shop, cuts }, 'h')
  const cards = steps.flatMap((s) => [s.title, ...s.settings.map((x) => `${x.label} ${x.value}`), ...s.says, ...s.cautions]) // prettier-ignore
  return [...workNotes(model, shop), ...joiningNotes(model), ...cards]
}
const said = (v: Verdict): string[] => [v.title, v.says, ...v.candidates.map((c) => c.label)]
const shopIn = (unit: Shop['unit'], { settings }: Shop): Shop => ({ ...usualShop('Shop', unit, 'full'), settings })

describe.each(['mm', 'in'] as const)('a shop that measures in %s', (unit) => {
  it.each(allForms.map((form) => [form.name, form] as const))('is told of a %s in that unit only', (_, form) => {
    const all = fc.sample(anyHolder(form), { numRuns: 14, seed: 3 }).flatMap((any) => {
      const { verdicts, model, input } = design({ ...any, shop: shopIn(unit, any.shop) })
      return [...verdicts.flatMap(said), ...(model ? told(model, input.shop) : [])]
    })
    expect(all.length).toBeGreaterThan(200)
    const wrong = new Set(all.filter((text) => FOREIGN[unit].test(text)))
    expect([...wrong]).toEqual([])
  })

  it('is told of what goes up on a wall in that unit only', () => {
    const shop = usualShop('Shop', unit, 'full')
    const all = fc.sample(anyWall, { numRuns: 24, seed: 4 }).flatMap((wall) => {
      const { verdicts, model } = wallDesign(wall, shop)
      return [...verdicts.flatMap(said), ...(model ? told(model, shop) : [])]
    })
    expect(all.length).toBeGreaterThan(200)
    expect([...new Set(all.filter((text) => FOREIGN[unit].test(text)))]).toEqual([])
  })
})
