import { worstOf, type Level } from '../checks/verdict'
import { allForms } from '../forms/all-forms'
import type { HolderForm } from '../forms/form'
import { kindOf } from '../footprint/kinds'
import type { Tool } from '../footprint/tool'
import type { Shop } from '../shop/shop'
import type { Holder } from '../model/holder'
import type { Design } from './design'
import { newSeats } from './new-seats'
import { settled } from './settled'

/** A form of holder looked at for some tools: planned for real, with the answers by which the checks say least. */
export interface FormOffer {
  form: HolderForm
  /** the tools that have a place in it */
  holds: Tool[]
  /** those it could hold by their figures, and why it does not */
  refused: { tool: Tool; says: string }[]
  /** those it could hold, and the labels of the figures that are missing */
  unmeasured: { tool: Tool; fields: string[] }[]
  /** those it can't hold at all */
  cannot: Tool[]
  /** null where it holds none of them, or can't be drawn */
  design: Design | null
  /** the holder as it would be made, and what is answered otherwise than is usual, in words; null where it holds none */
  holder: Holder | null
  answers: string[]
  level: Level
  /** the gravest thing the checks say, where it is no pass */
  trouble: string
}

const GRAVITY: Level[] = ['pass', 'watch', 'stop']

/**
 * Every form looked at for some tools, the likeliest first: by how many of them it holds, then by what the checks say and how often,
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
      timesTold(a) - timesTold(b) ||
      b.unmeasured.length - a.unmeasured.length ||
      (area(a) === area(b) ? 0 : area(a) - area(b)),
  )
}

/** How often the checks say the gravest that they say; nought where all passes. */
export const timesTold = ({ design, level }: FormOffer): number =>
  level === 'pass' ? 0 : (design?.verdicts.filter((v) => v.level === level).length ?? 0)

function offerOf(form: HolderForm, shop: Shop, tools: readonly Tool[]): FormOffer {
  const lacking = tools.map((tool) => ({ tool, lacks: form.lacks(tool) }))
  const measured = lacking.filter((l) => l.lacks?.length === 0).map((l) => l.tool)
  const found = {
    form,
    unmeasured: lacking.flatMap(({ tool, lacks }) =>
      lacks?.length ? [{ tool, fields: lacks.map((key) => labelOf(tool, key)) }] : [],
    ),
    cannot: lacking.filter((l) => l.lacks === null).map((l) => l.tool),
  }
  if (measured.length === 0) return { ...found, holds: [], refused: [], design: null, holder: null, answers: [], level: 'stop', trouble: '' } // prettier-ignore
  let seat = 0
  const seats = newSeats(form, measured, shop, () => `s${++seat}`)
  const usual = { id: form.id, name: form.name, form: form.id, seats, choices: {} }
  const { design: worked, answers } = settled({ shop, tools: new Map(measured.map((t) => [t.id, t])), holder: usual })
  const level = worstOf(worked.verdicts)
  const trouble = level === 'pass' ? '' : (worked.verdicts.find((v) => v.level === level)?.says ?? '')
  const seated = new Set(worked.model?.seats.map((s) => s.tool))
  const whyNot = (tool: Tool): string => worked.refusals.find((r) => r.tool === tool.id)?.says ?? trouble
  return {
    ...found,
    holds: measured.filter((t) => seated.has(t.id)),
    refused: measured.filter((t) => !seated.has(t.id)).map((tool) => ({ tool, says: whyNot(tool) })),
    design: worked.model ? worked : null,
    holder: worked.input.holder,
    answers,
    level,
    trouble,
  }
}

/** The holder that an offer would make. @param newSeat makes an id for a seat */
export const holderFrom = (
  { form, holder }: FormOffer,
  { id, name }: Pick<Holder, 'id' | 'name'>,
  newSeat: () => string,
): Holder => ({
  id,
  name,
  form: form.id,
  seats: (holder?.seats ?? []).map((s) => ({ ...s, id: newSeat() })),
  choices: { ...holder?.choices },
})

const labelOf = (tool: Tool, key: string): string =>
  kindOf(tool.kind)
    ?.fields.find((f) => f.key === key)
    ?.label.toLowerCase() ?? key
