import fc from 'fast-check'
import type { HolderForm, PlanInput } from '#core/forms/form'
import { kindOf } from '#core/footprint/kinds'
import { plainTool, type Tool } from '#core/footprint/tool'
import { rectangle } from '#core/geometry/outline'
import type { Shop } from '#core/shop/shop'
import { usualShop } from '#core/shop/usual'
import { kindsFor } from './any-holder'

/** A tool of a kind about as it commonly is: every figure within a fifth of the typical one, nothing that contradicts. */
function likelyTool(id: string): fc.Arbitrary<Tool> {
  const kind = kindOf(id)!
  const factors = fc.array(fc.double({ min: 0.85, max: 1.2, noNaN: true }), { minLength: kind.fields.length, maxLength: kind.fields.length }) // prettier-ignore
  return fc.tuple(factors, fc.double({ min: 0.1, max: 1, noNaN: true })).map(([by, mass]): Tool => {
    const one = by[0]!
    // of one tool all figures go the same way, so that they stay in proportion
    const measures = Object.fromEntries(kind.fields.map((f, i) => [f.key, f.typical * (i === 0 ? one : (one + by[i]!) / 2)])) // prettier-ignore
    const outline = kind.outline === 'needed' ? rectangle(-20 * one, -160 * one, 20 * one, 0) : null
    return { ...plainTool('t', id, kind.name), sure: 'caliper', mass, measures, outline }
  }).filter((t) => kind.contradictions(t).length === 0) // prettier-ignore
}

/** A holder of a form such as a person would have it: up to six likely tools, its usual answers but for a few. */
export function likelyHolder(
  form: HolderForm,
  shops: fc.Arbitrary<Shop> = fc.constant(usualShop()),
): fc.Arbitrary<PlanInput> {
  const answers = Object.fromEntries(
    form.choices
      .filter((c) => c.type === 'option' && !['hung', 'lock'].includes(c.key))
      .map((c) => [c.key, fc.option(fc.constantFrom(...(c.type === 'option' ? c.values.map((v) => v.value) : [])), { freq: 2, nil: null })]), // prettier-ignore
  )
  return fc
    .record({
      shop: shops,
      tools: fc.array(fc.oneof(...kindsFor(form).map(likelyTool)), { minLength: 1, maxLength: 6 }),
      choices: fc.record(answers),
    })
    .map(({ shop, tools, choices }) => {
      const named = tools.map((t, i) => ({ ...t, id: `t${i}`, name: `Tool ${i + 1}` }))
      const chosen = Object.entries(choices).filter(([, v]) => v !== null) as [string, string][]
      return {
        shop,
        tools: new Map(named.map((t) => [t.id, t])),
        holder: {
          id: 'h',
          name: 'Holder',
          form: form.id,
          seats: named.map((t, i) => ({ id: `s${i}`, tool: t.id, turn: form.attitude(t, shop) })),
          choices: Object.fromEntries(chosen),
        },
      }
    })
}
