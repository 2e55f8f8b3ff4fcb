import { outlineArea } from './area'
import type { Outline } from './outline'

/** The most segments an outline may have. */
export const MOST_SEGMENTS = 2000
/** How far a point may lie from the origin, mm. */
const FARTHEST = 20000
/** By how much an arc's ends may miss its circle, mm. */
const MISS = 0.05
/** The least area an outline encloses, mm2. */
const LEAST_AREA = 1

const isObject = (v: unknown): v is Record<string, unknown> => typeof v === 'object' && v !== null && !Array.isArray(v)
const isPoint = (v: unknown): v is { x: number; y: number } =>
  isObject(v) &&
  Object.keys(v).length === 2 &&
  [v.x, v.y].every((n) => typeof n === 'number' && Math.abs(n) <= FARTHEST)

/** Why something can't be an outline, in the shop's words, or null when it is one. */
export function outlineError(value: unknown): string | null {
  if (!isObject(value) || !isPoint(value.start) || !Array.isArray(value.segments) || Object.keys(value).length !== 2)
    return 'an outline is written as {"start": {x, y}, "segments": [...]}, its points within 20 m.'
  if (value.segments.length < 2) return 'an outline needs at least two segments.'
  if (value.segments.length > MOST_SEGMENTS)
    return `the outline has ${value.segments.length} segments; at most ${MOST_SEGMENTS} are kept.`
  let from = value.start
  for (const [i, s] of (value.segments as unknown[]).entries()) {
    const known = isObject(s) && isPoint(s.to) && (s.kind === 'line' || s.kind === 'arc')
    if (!known) return `segment ${i + 1} of the outline is no line and no arc.`
    const to = s.to as { x: number; y: number }
    if (s.kind === 'arc') {
      const { centre, radius, clockwise } = s
      const whole = isPoint(centre) && typeof radius === 'number' && radius > 0 && typeof clockwise === 'boolean'
      if (!whole) return `segment ${i + 1} of the outline is no whole arc.`
      for (const p of [from, to]) {
        if (Math.abs(Math.hypot(p.x - centre.x, p.y - centre.y) - radius) > MISS)
          return `segment ${i + 1} of the outline: its ends don’t lie on its circle.`
      }
    }
    from = to
  }
  if (Math.hypot(from.x - value.start.x, from.y - value.start.y) > MISS)
    return 'the outline is open: its end does not meet its start.'
  if (Math.abs(outlineArea(value as unknown as Outline)) < LEAST_AREA) return 'the outline encloses nothing.'
  return null
}
