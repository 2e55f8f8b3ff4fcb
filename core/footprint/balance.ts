import { DENSITY, lumpOf } from './body'
import { kindOf } from './kinds'
import type { Tool } from './tool'

/** Where a tool's weight is centred, in its own axes, mm, and which of the three were measured rather than reckoned. */
export interface CentreOfGravity {
  x: number
  y: number
  z: number
  measured: ('x' | 'y' | 'z')[]
}

/**
 * The centre of gravity of a tool: by its balance points where they were found, else from its shape with usual densities.
 * @param state with its battery in or without
 * @returns null for a kind that is not known
 */
export function centreOfGravity(
  tool: Pick<Tool, 'kind' | 'measures' | 'options' | 'profile' | 'outline'>,
  state: 'bare' | 'battery' = 'bare',
): CentreOfGravity | null {
  const kind = kindOf(tool.kind)
  if (!kind) return null
  const bodies = kind.bodies(tool).filter((b) => state === 'battery' || !kind.battery || b.part !== 'battery')
  const centre: CentreOfGravity = { x: 0, y: 0, z: 0, measured: [] }
  let mass = 0
  for (const body of bodies) {
    const lump = lumpOf(body)
    const weight = lump.volume * (body.density ?? DENSITY[body.part])
    mass += weight
    for (const axis of ['x', 'y', 'z'] as const) centre[axis] += weight * lump[axis]
  }
  for (const axis of ['x', 'y', 'z'] as const) centre[axis] = mass > 0 ? centre[axis] / mass : 0
  for (const field of kind.fields) {
    const found = field.balance === state ? kind.balancedAt(field.key, tool) : null
    if (!found) continue
    centre[found.axis] = found.at
    centre.measured.push(found.axis)
  }
  return centre
}
