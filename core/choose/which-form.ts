import { worstOf, type Level } from '../checks/verdict'
import { allForms } from '../forms/all-forms'
import type { HolderForm } from '../forms/form'
import { kindOf } from '../footprint/kinds'
import type { Tool } from '../footprint/tool'
import type { Shop } from '../shop/shop'
import { design, type Design } from './design'
import { newSeats } from './new-seats'

/** A form of holder looked at for some tools: planned for real with its usual answers. */
export interface FormOffer {
  form: HolderForm
  /** the tools it can hold as they are measured */
  holds: Tool[]
  /** those it could hold, and the labels of the figures that are missing */
  unmeasured: { tool: Tool; fields: string[] }[]
  /** those it can't hold at all */
  cannot: Tool[]
  /** null where it holds none of them, or can't be drawn */
  design: Design | null
  level: Level
  /** the gravest thing the checks say, where it is no pass */
  trouble: string
}

const GRAVITY: Level[] = ['pass', 'watch', 'stop']

/**
 * Every form looked at for some tools, the likeliest first: by how many of them it holds, then by what the checks say,
 * then by how many it could hold if they were measured, then by the less wood.
 */
export function whichForm(shop: Shop, tools: readonly Tool[]): FormOffer[] {
  const offers = allForms.map((form) => offerOf(form, shop, tools))
  const area = (o: FormOffer) =>
    o.design?.model?.boards.reduce((sum, b) => sum + b.layers * b.length * b.width, 0) ?? Infinity
  return offers.sort(
    (a, b) =>
      b.holds.length - a.holds.length ||
      GRAVITY.indexOf(a.level) - GRAVITY.indexOf(b.level) ||
      b.unmeasured.length - a.unmeasured.length ||
      (area(a) === area(b) ? 0 : area(a) - area(b)),
  )
}

function offerOf(form: HolderForm, shop: Shop, tools: readonly Tool[]): FormOffer {
  const lacking = tools.map((tool) => ({ tool, lacks: form.lacks(tool) }))
  const holds = lacking.filter((l) => l.lacks?.length === 0).map((l) => l.tool)
  const found = {
    form,
    holds,
    unmeasured: lacking.flatMap(({ tool, lacks }) =>
      lacks?.length ? [{ tool, fields: lacks.map((key) => labelOf(tool, key)) }] : [],
    ),
    cannot: lacking.filter((l) => l.lacks === null).map((l) => l.tool),
  }
  if (holds.length === 0) return { ...found, design: null, level: 'stop', trouble: '' }
  let seat = 0
  const seats = newSeats(form, holds, shop, () => `s${++seat}`)
  const holder = { id: form.id, name: form.name, form: form.id, seats, choices: {} }
  const worked = design({ shop, tools: new Map(holds.map((t) => [t.id, t])), holder })
  const level = worstOf(worked.verdicts)
  const trouble = level === 'pass' ? '' : (worked.verdicts.find((v) => v.level === level)?.says ?? '')
  return { ...found, design: worked.model ? worked : null, level, trouble }
}

const labelOf = (tool: Tool, key: string): string =>
  kindOf(tool.kind)
    ?.fields.find((f) => f.key === key)
    ?.label.toLowerCase() ?? key
