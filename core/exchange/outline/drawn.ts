import { outlineArea } from '../../geometry/area'
import { selfCrossing } from '../../geometry/crossing'
import { flattened } from '../../geometry/flatten'
import { isInside } from '../../geometry/inside'
import { moved, outlineBounds, reversed, type Outline, type Point, type Segment } from '../../geometry/outline'
import { MOST_SEGMENTS } from '../../geometry/outline-error'

/** A stretch of lines and arcs as a file draws it, in the file's own units, y up. */
export interface Stretch {
  start: Point
  segments: Segment[]
  closed: boolean
}

/** What a drawing file holds. */
export interface Drawing {
  stretches: Stretch[]
  /** mm in one of the file's units, or null when the file doesn't say */
  unit: number | null
  /** what was not read, in words */
  notes: string[]
}

export type DrawingRead = { ok: true; drawing: Drawing } | { ok: false; message: string }

/** How near two ends must lie to be one, as a part of the drawing's size. */
const JOIN = 1e-4
/** The least area that counts as an outline, mm2. */
const LEAST_AREA = 4

const endOf = (s: Stretch): Point => s.segments.at(-1)?.to ?? s.start
const near = (a: Point, b: Point, reach: number) => Math.hypot(a.x - b.x, a.y - b.y) <= reach

/** Joins stretches end to end where their ends meet, and closes those that come back to their start. */
export function joined(stretches: readonly Stretch[]): Stretch[] {
  const size = Math.max(...stretches.flatMap((s) => [s.start, ...s.segments.map((g) => g.to)]).map((p) => Math.max(Math.abs(p.x), Math.abs(p.y))), 1e-9) // prettier-ignore
  const reach = size * JOIN
  const done: Stretch[] = stretches.filter((s) => s.closed)
  const left = stretches.filter((s) => !s.closed && s.segments.length > 0)
  while (left.length > 0) {
    let chain = left.shift()!
    for (;;) {
      if (near(endOf(chain), chain.start, reach) && chain.segments.length > 1) {
        chain = { ...chain, closed: true }
        break
      }
      const at = left.findIndex((s) => near(s.start, endOf(chain), reach) || near(endOf(s), endOf(chain), reach))
      if (at < 0) break
      const [next] = left.splice(at, 1)
      const on = near(next!.start, endOf(chain), reach) ? next!.segments : turnedRound(next!).segments
      chain = { ...chain, segments: [...chain.segments, ...on] }
    }
    done.push(chain)
  }
  return done
}

function turnedRound(s: Stretch): Stretch {
  const from = [s.start, ...s.segments.map((g) => g.to)]
  const segments = s.segments.map((g, i): Segment => (g.kind === 'line' ? { kind: 'line', to: from[i]! } : { ...g, to: from[i]!, clockwise: !g.clockwise })) // prettier-ignore
  return { start: endOf(s), segments: segments.reverse(), closed: s.closed }
}

const scaled = (o: Outline, k: number): Outline => {
  const at = (p: Point): Point => ({ x: p.x * k, y: p.y * k })
  return {
    start: at(o.start),
    segments: o.segments.map((s) =>
      s.kind === 'line'
        ? { kind: 'line', to: at(s.to) }
        : { ...s, to: at(s.to), centre: at(s.centre), radius: s.radius * k },
    ),
  }
}

/** An outline picked from a drawing, at its true size, hung with the middle of its top at the origin; y up, mm. */
export interface Picked {
  outline: Outline
  width: number
  height: number
  /** what a person should know of it, in words */
  notes: string[]
}

const counted = (n: number, one: string, many: string) => `${n === 1 ? 'one' : n} ${n === 1 ? one : many}`

/**
 * Picks the largest closed outline of a drawing. Islands in it, other outlines, open ends and crossings are told.
 * @param unit mm in one of the drawing's units, @param least greatest size at which a drawing still is one; mm
 */
export function pickOutline(
  drawing: Drawing,
  unit: number,
): { ok: true; picked: Picked } | { ok: false; message: string } {
  const chains = joined(drawing.stretches)
  const open = chains.filter((s) => !s.closed)
  const loops = chains
    .filter((s) => s.closed)
    .map(({ start, segments }) => {
      const end = segments.at(-1)!.to
      const shut = near(end, start, 1e-12) ? segments : [...segments, { kind: 'line', to: start } as Segment]
      return scaled({ start, segments: shut }, unit)
    })
    .filter((o) => Math.abs(outlineArea(o)) >= LEAST_AREA)
    .sort((a, b) => Math.abs(outlineArea(b)) - Math.abs(outlineArea(a)))
  const [found, ...others] = loops
  if (!found) {
    return {
      ok: false,
      message:
        open.length > 0
          ? `Nothing in it is closed: ${counted(open.length, 'line has', 'lines have')} open ends. Close the outline and try again.`
          : 'There is no outline in it.',
    }
  }
  if (found.segments.length > MOST_SEGMENTS)
    return {
      ok: false,
      message: `The outline has ${found.segments.length} pieces; at most ${MOST_SEGMENTS} are kept. Simplify it first.`,
    }
  const box = outlineBounds(found)
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY]
  if (width > 5000 || height > 5000)
    return { ok: false, message: 'At this unit the outline is over 5 m: choose another unit.' }
  const outline = outlineArea(found) < 0 ? reversed(found) : found
  const within = flattened(found, 0.2)
  const islands = others.filter((o) => isInside(o.start, within)).length
  const beside = others.length - islands
  const notes = [
    ...(islands > 0
      ? [`It has ${counted(islands, 'island', 'islands')} inside, left out: only the outer line is kept.`]
      : []),
    ...(beside > 0
      ? [`${counted(beside, 'smaller outline stands', 'smaller outlines stand')} beside it, left out.`]
      : []),
    ...(open.length > 0 ? [`${counted(open.length, 'open line is', 'open lines are')} left out.`] : []),
    ...(selfCrossing(outline) ? ['It crosses itself: look at it again before you build for it.'] : []),
    ...drawing.notes,
  ].map((n) => n[0]!.toUpperCase() + n.slice(1))
  return {
    ok: true,
    picked: { outline: moved(outline, -(box.minX + box.maxX) / 2, -box.maxY), width, height, notes },
  }
}
