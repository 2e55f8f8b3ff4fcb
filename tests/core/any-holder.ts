import fc from 'fast-check'
import type { HolderForm, PlanInput } from '#core/forms/form'
import { allKinds as kinds } from '#core/footprint/kinds'
import { plainTool, SURENESS, type Tool } from '#core/footprint/tool'
import type { Shop } from '#core/shop/shop'
import { LARGEST_SIZE } from '#core/units/length'
import { usualShops } from './any-shop'

/** A handle's diameters at rising heights, or none. */
const profiles = fc
  .uniqueArray(fc.integer({ min: 0, max: 90 }), { maxLength: 5 })
  .chain((heights) => fc.tuple(...heights.sort((a, b) => a - b).map((at) => fc.record({ at: fc.constant(at), diameter: fc.double({ min: 8, max: 45, noNaN: true }) })))) // prettier-ignore

/** A tool of a kind with figures such as that kind commonly has, every one measured. */
function measuredTool(kindId: string): fc.Arbitrary<Tool> {
  const kind = kinds.find((k) => k.id === kindId)!
  const figures = kind.fields.map((f): [string, fc.Arbitrary<number>] => [
    f.key,
    fc.double({ min: Math.max(f.sane[0], 0.3), max: f.sane[1], noNaN: true }),
  ])
  return fc
    .record({
      measures: fc.record(Object.fromEntries(figures)) as fc.Arbitrary<Record<string, number>>,
      options: fc.record(
        Object.fromEntries(kind.options.map((o) => [o.key, fc.constantFrom(...o.values.map((v) => v.value))])),
      ) as fc.Arbitrary<Record<string, string>>,
      sure: fc.constantFrom(...SURENESS),
      mass: fc.option(fc.double({ min: 0.05, max: 8, noNaN: true }), { nil: null }),
      profile: kind.profile ? profiles : (fc.constant([]) as typeof profiles),
    })
    .map((more) => ({ ...plainTool('t', kindId, kind.name), ...more }))
}

/** The same with some figures that are slips: any that a card takes. */
export const slippedTool = (kindId: string): fc.Arbitrary<Tool> =>
  measuredTool(kindId).chain((tool) =>
    fc
      .record(
        Object.fromEntries(
          Object.entries(tool.measures).map(([key, now]) => [
            key,
            fc.oneof({ weight: 4, arbitrary: fc.constant(now) }, { weight: 1, arbitrary: slips }),
          ]),
        ),
      )
      .map((measures) => ({ ...tool, measures: measures as Tool['measures'] })),
  )

/** From a tenth of a millimetre to metres, as likely small as large. */
const slips = fc.double({ min: -1, max: Math.log10(LARGEST_SIZE), noNaN: true }).map((power) => 10 ** power)

/** Kinds of tool that a form can hold when everything of them is measured. */
export const kindsFor = (form: HolderForm): string[] =>
  kinds
    .filter((kind) => {
      const measures = Object.fromEntries(kind.fields.map((f) => [f.key, (f.sane[0] + f.sane[1]) / 2]))
      return form.lacks({ ...plainTool('t', kind.id, 't'), measures })?.length === 0
    })
    .map((kind) => kind.id)

function anyChoices(form: HolderForm, input: Pick<PlanInput, 'shop'>): fc.Arbitrary<Record<string, string | number>> {
  const answers = form.choices.map((c): [string, fc.Arbitrary<string | number>] => {
    if (c.type === 'option') return [c.key, fc.constantFrom(...c.values.map((v) => v.value))]
    if (c.type === 'stock') {
      const ids = input.shop.stock.filter((s) => c.of.includes(s.form)).map((s) => s.id)
      return [c.key, fc.constantFrom(...(ids.length > 0 ? ids : ['none']))]
    }
    return [c.key, fc.double({ min: c.min, max: Math.min(c.max, c.type === 'length' ? 150 : 500), noNaN: true })]
  })
  const keys = form.choices.filter((c) => c.type === 'option').map((c) => c.key)
  return fc.record(Object.fromEntries(answers), { requiredKeys: keys }) as fc.Arbitrary<Record<string, string | number>>
}

/** Any holder of a form: up to ten random tools of kinds that it holds, turned at random, every question answered. */
export function anyHolder(
  form: HolderForm,
  shops: fc.Arbitrary<Shop> = fc.constantFrom(...usualShops),
  toolOf: (kind: string) => fc.Arbitrary<Tool> = measuredTool,
): fc.Arbitrary<PlanInput> {
  const ids = kindsFor(form)
  return shops.chain((shop) =>
    fc
      .record({
        tools: fc.array(fc.oneof(...ids.map((id) => toolOf(id))), { minLength: 1, maxLength: 10 }),
        turns: fc.array(fc.constantFrom<0 | 1 | 2 | 3>(0, 1, 2, 3), { minLength: 10, maxLength: 10 }),
        choices: anyChoices(form, { shop }),
      })
      .map(({ tools, turns, choices }) => {
        const named = tools.map((t, i) => ({ ...t, id: `t${i}`, name: `Tool ${i + 1}` }))
        const seats = named.map((t, i) => ({ id: `s${i}`, tool: t.id, turn: turns[i]! }))
        return {
          shop,
          tools: new Map(named.map((t) => [t.id, t])),
          holder: { id: 'h', name: 'Holder', form: form.id, seats, choices },
        }
      }),
  )
}
