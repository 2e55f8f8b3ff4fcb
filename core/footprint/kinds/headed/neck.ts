import type { Kind, Measured, NeckEnvelope } from '../../kind'

const ALWAYS_NEEDED = ['handleWidth', 'headWidth', 'headLength'] as const

/**
 * The head's extents and the neck across the slot, for a headed tool hung by its head.
 * Face out, the head's width lies across the slot; each quarter turn takes the face on to the right, the wall, the left.
 * @returns mm, or the field keys that are missing
 */
export const neck: NonNullable<Kind['neck']> = ({ measures, options }, turn) => {
  const missing = ALWAYS_NEEDED.filter((key) => measures[key] === undefined)
  if (missing.length > 0) return { missing: [...missing] }
  const m = measures as Record<string, number>

  const alone = (key: string): Measured => ({ value: m[key]!, expression: `{${key}}`, moves: { [key]: 1 } })
  const half = (key: string): Measured => ({ value: m[key]! / 2, expression: `{${key}} / 2`, moves: { [key]: 0.5 } })
  const beyondFace = (): Measured => ({
    value: m.headLength! - m.faceReach!,
    expression: '{headLength} − {faceReach}',
    moves: { headLength: 1, faceReach: 1 },
  })
  const uneven = m.faceReach !== undefined
  const halfWidth = half('headWidth')
  const face = uneven ? alone('faceReach') : half('headLength')
  const tail = uneven ? beyondFace() : half('headLength')
  const width = alone('handleWidth')
  const thickness = m.handleThickness === undefined ? width : alone('handleThickness')

  // going round from the front by the right, the wall and the left
  const round = [face, halfWidth, tail, halfWidth]
  const at = (quarter: number): Measured => round[(quarter - turn + 4) % 4]!
  const sideways = turn % 2 === 1
  const envelope: NeckEnvelope = {
    front: at(0),
    right: at(1),
    back: at(2),
    left: at(3),
    neckAcross: sideways ? thickness : width,
    neckAlong: sideways ? width : thickness,
    neckShape: options.neck === 'rectangular' ? 'rectangular' : 'round',
  }
  return envelope
}
