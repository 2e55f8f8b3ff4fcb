import { SAME, type CutPlacement } from './instance'
import type { Direction } from './strips'

/** A piece on the saw, mm from the stock’s corner. */
export interface Region {
  x0: number
  y0: number
  x1: number
  y1: number
}

/** Its edge at the datum, and the one opposite, as cuts of a direction count. */
export const nearOf = (r: Region, direction: Direction): number => (direction === 'cross' ? r.x0 : r.y0)
export const farOf = (r: Region, direction: Direction): number => (direction === 'cross' ? r.x1 : r.y1)

/** What of it lies beyond a cut, and before it. */
export const beginning = (r: Region, direction: Direction, at: number): Region => (direction === 'cross' ? { ...r, x0: at } : { ...r, y0: at }) // prettier-ignore
export const ending = (r: Region, direction: Direction, at: number): Region => (direction === 'cross' ? { ...r, x1: at } : { ...r, y1: at }) // prettier-ignore

/** Whether a piece reaches over a region from edge to edge, so that no cut along the others' direction parts it from anything. */
export const isFull = (p: CutPlacement, { x0, y0, x1, y1 }: Region, direction: Direction): boolean =>
  direction === 'cross'
    ? p.y - y0 <= SAME && y1 - p.y - p.width <= SAME
    : p.x - x0 <= SAME && x1 - p.x - p.length <= SAME
