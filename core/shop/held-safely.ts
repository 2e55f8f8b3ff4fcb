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

/** How long what a shop rips is left at least, mm; nought where it rips with a saw that does no harm. */
export function shortestRip(shop: Pick<Shop, 'saws'>): number {
  const saw = rippingSaw(shop)
  return saw && THROW_BACK.has(saw.kind) ? SHORTEST_RIP : 0
}
