import type { HolderForm } from '../forms/form'
import type { Tool } from '../footprint/tool'
import type { SeatOrder } from '../model/holder'
import type { Shop } from '../shop/shop'

/** Of like tools that there are many of, at most so many get a seat by themselves. */
const MOST_OF_ONE = 24

/**
 * Seats for tools in a holder of a form, each as it is best turned there; like tools get a seat each, unless the form
 * puts them together.
 * @param newId makes an id for a seat
 */
export const newSeats = (form: HolderForm, tools: readonly Tool[], shop: Shop, newId: () => string): SeatOrder[] =>
  tools.flatMap((t) =>
    Array.from({ length: form.together?.(t) ? 1 : Math.min(t.count, MOST_OF_ONE) }, () => ({
      id: newId(),
      tool: t.id,
      turn: form.attitude(t, shop),
    })),
  )
