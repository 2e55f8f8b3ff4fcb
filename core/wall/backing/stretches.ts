import { PLUMB, type Corner, type Thing, type Wall } from '../wall'

/** From one place along the wall to another, mm. */
export interface Stretch {
  from: number
  to: number
}

/** How far right of plumb a corner is at a height, straight between the three places where it was measured; mm. */
export function cornerAt([low, middle, high]: Corner, z: number, height: number): number {
  const half = height / 2
  return z <= half ? low + (z / half) * (middle - low) : middle + ((z - half) / half) * (high - middle)
}

/** Where the wall really begins and ends between two heights: as far as all of it is free. */
export function sidesBetween({ width, height, corners }: Wall, low: number, high: number): Stretch {
  const { left, right } = corners ?? { left: PLUMB, right: PLUMB }
  const heights = [low, high, ...(low < height / 2 && high > height / 2 ? [height / 2] : [])]
  return {
    from: Math.max(...heights.map((z) => cornerAt(left, z, height))),
    to: width + Math.min(...heights.map((z) => cornerAt(right, z, height))),
  }
}

/**
 * The stretches of a wall that nothing stands in between two heights.
 * @param keep room kept at either side of a thing, mm
 */
export function freeBetween(wall: Wall, low: number, high: number, keep: (thing: Thing) => number): Stretch[] {
  const { from, to } = sidesBetween(wall, low, high)
  const blocked = wall.things
    .filter((t) => t.kind !== 'pipe')
    .map((t) => ({ t, room: keep(t) }))
    .filter(({ t, room }) => t.z - room < high && t.z + t.height + room > low)
    .map(({ t, room }) => ({ from: t.x - room, to: t.x + t.width + room }))
    .sort((a, b) => a.from - b.from)
  const free: Stretch[] = []
  let at = from
  for (const b of blocked) {
    if (b.from > at) free.push({ from: at, to: Math.min(b.from, to) })
    at = Math.max(at, b.to)
  }
  if (at < to) free.push({ from: at, to })
  return free.filter((s) => s.to - s.from > 1e-6)
}
