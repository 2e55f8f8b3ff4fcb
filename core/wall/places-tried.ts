import type { Shop } from '../shop/shop'

/** Places are tried so far apart, and lie on so fine a grid, in each unit: figures that one finds on a rule; mm. */
export const STEPS = { mm: { apart: 50, fine: 10 }, in: { apart: 50.8, fine: 12.7 } } as const

const SLACK = 1e-6

/** Places between two bounds that are tried, the bounds with them, mm; the lower bound where nothing rounder lies between. */
export function placesTried(low: number, high: number, { unit }: Pick<Shop, 'unit'>): number[] {
  if (low > high + SLACK) return []
  const { apart, fine } = STEPS[unit]
  const first = Math.ceil(low / fine - SLACK) * fine
  if (first > high + SLACK) return [low]
  return Array.from({ length: Math.floor((high - first + SLACK) / apart) + 1 }, (_, i) => first + i * apart)
}
