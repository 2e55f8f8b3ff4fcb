/** A tool's place in a holder's order. */
export interface SeatOrder {
  id: string
  tool: string
  turn: 0 | 1 | 2 | 3
}

/** A holder as its owner describes it: which form, which tools in which order, and what was chosen. */
export interface Holder {
  id: string
  name: string
  form: string
  seats: SeatOrder[]
  /** by choice key; a choice left out takes the form's usual value or the shop's */
  choices: Record<string, string | number>
}
