import type { Row } from './lists'
import type { Shop } from './shop'

/** Saws that one rips with, the first that there is. */
const RIPPING: readonly Row<'saws'>['kind'][] = ['table saw', 'track saw', 'circular saw']

/**
 * The saw that a shop rips with: the usual kinds first, then any that can.
 * @param tilt how far it has to tilt, degrees
 * @returns undefined where none tilts so far
 */
export function rippingSaw({ saws }: Pick<Shop, 'saws'>, tilt = 0): Row<'saws'> | undefined {
  const can = saws.filter((s) => (s.tilt ?? 0) >= tilt)
  return RIPPING.flatMap((kind) => can.filter((s) => s.kind === kind))[0] ?? can[0]
}

/** The glue that is taken: the first that is there, else the first on the shopping list. */
export const usualGlue = ({ glues }: Pick<Shop, 'glues'>): Row<'glues'> | undefined =>
  glues.find((g) => !g.toBuy) ?? glues[0]
