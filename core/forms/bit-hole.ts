import { boredBy } from '../fit/bore'
import { bitName } from '../shop/bit-name'
import type { Bit } from '../shop/shop'
import type { Trail } from '../working/trail'
import type { PlanInput } from './form'

/** A bit's hole on the trail. @returns its figure's id */
export function holeOf({ shop }: PlanInput, trail: Trail, bit: Bit): string {
  const id = `bit:${bit.kind}:${bit.diameter}`
  const origin = { kind: 'bit', bit: bit.kind, diameter: bit.diameter } as const
  trail.given(id, `Hole of the ${bitName(bit.diameter, shop)} bit`, boredBy(bit), origin, { print: 'up' })
  return id
}
