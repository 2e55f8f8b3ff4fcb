import type { Row } from './lists'
import type { Shop } from './shop'
import { rippingSaw } from './usual-choice'

/** What is shorter is not held safely against the fence of a saw whose blade is a disc: the usual rule of workshops; mm. */
export const SHORTEST_RIP = 300

/** What is shorter is not held safely where it is cut across by such a saw; mm. */
export const SHORTEST_CROSS = 150

/** Saws that throw back what is not held. */
const THROW_BACK: ReadonlySet<Row<'saws'>['kind']> = new Set(['table saw', 'track saw', 'circular saw'])

/** Whether a saw rips what is so long, mm, without harm. */
export const ripsSafely = ({ kind }: Pick<Row<'saws'>, 'kind'>, long: number): boolean => long >= SHORTEST_RIP || !THROW_BACK.has(kind) // prettier-ignore

/** How long what is ripped has to stay. */
export interface HeldSafely {
  /** what is shorter is not held safely at the saw that is ripped with; nought where it does no harm; mm */
  shortest: number
  /** there is no band saw that rips what is shorter */
  always: boolean
}

/** The same as a shop says and sets it: a foot where it measures in inches; mm. */
export const shortestRip = ({ unit }: Pick<Shop, 'unit'>): number => (unit === 'in' ? 304.8 : SHORTEST_RIP)

/** How long what a shop rips has to stay. */
export function heldSafely(shop: Pick<Shop, 'saws' | 'unit'>): HeldSafely {
  const saw = rippingSaw(shop)
  if (!saw || !THROW_BACK.has(saw.kind)) return { shortest: 0, always: false }
  return { shortest: shortestRip(shop), always: !shop.saws.some((s) => s.kind === 'band saw' && !s.toBuy) }
}
