import { contours } from 'd3-contour'
import simplify from 'simplify-js'
import { outlineArea } from '../../geometry/area'
import { outlineBounds, polygon, spun, type Point } from '../../geometry/outline'
import type { Drawing } from './drawn'
import { groundOf, type Ground, type Pixels } from './ground'

/** An outline traced from a picture, upright, in pixels; with how long it is, which its owner knows in mm. */
export type PictureRead = { ok: true; drawing: Drawing; long: number } | { ok: false; message: string }

/** A picture is no smaller than this, in pixels. */
const LEAST = 40
/** The ground and what lies on it differ by at least this, of 255. */
const LEAST_DIFFERENCE = 25
/** What shines differs from the ground by at least this part of what parts the rest; and by so many times the ground's own. */
const SHINE = 0.4
const CLEAR = 2.5
/** What is smaller than this part of the largest thing is a speck. */
const SPECK = 0.01
/** The traced line is taken to be straight where it leaves a straight one by less than this, in pixels. */
const STRAIGHT = 0.8

/** How far each pixel is from the ground's colour, 0 to 255; and how far the ground itself is. */
function differences(pixels: Pixels): { values: number[]; noise: number } {
  const { data, width, height } = pixels
  const [red, green, blue] = [0, 1, 2].map((c) => groundOf(pixels, c)) as [Ground, Ground, Ground]
  const values = Array.from({ length: width * height }, (_, i) => {
    const [x, y] = [(2 * (i % width)) / width - 1, (2 * Math.floor(i / width)) / height - 1]
    const away = (ground: Ground, c: number): number => Math.abs(data[4 * i + c]! - ground.at(x, y))
    return (Math.max(away(red, 0), away(green, 1), away(blue, 2)) * data[4 * i + 3]!) / 255
  })
  return { values, noise: Math.max(red.off, green.off, blue.off) }
}

/** Each value with its eight neighbours: what is grain in the picture goes. */
const smoothed = (values: readonly number[], width: number, height: number): number[] =>
  values.map((_, i) => {
    const [x, y] = [i % width, Math.floor(i / width)]
    let sum = 0
    let count = 0
    for (let v = Math.max(0, y - 1); v <= Math.min(height - 1, y + 1); v++)
      for (let u = Math.max(0, x - 1); u <= Math.min(width - 1, x + 1); u++) {
        sum += values[v * width + u]!
        count++
      }
    return sum / count
  })

/**
 * The difference that parts ground from thing: a part of that by which the two are spread least (Otsu 1979), for steel that
 * shines is nearer to its ground, but clear of the ground's own. Null where all is alike.
 */
function parting(values: readonly number[], noise: number): number | null {
  const count = new Array<number>(256).fill(0)
  for (const v of values) count[Math.min(255, Math.round(v))]!++
  const all = values.length
  const sum = count.reduce((s, n, v) => s + n * v, 0)
  let [below, belowSum, best, at, far] = [0, 0, -1, 0, 0]
  for (let v = 0; v < 255; v++) {
    below += count[v]!
    belowSum += count[v]! * v
    if (below === 0 || below === all) continue
    const apart = (sum - belowSum) / (all - below) - belowSum / below
    const between = below * (all - below) * apart ** 2
    if (between > best) [best, at, far] = [between, v, apart]
  }
  return far < LEAST_DIFFERENCE ? null : Math.max(SHINE * at, CLEAR * noise, LEAST_DIFFERENCE / 2) + 0.5
}

/** The angle by which an outline is turned so that its long axis is upright, what was uppermost staying so; degrees. */
function uprightBy(points: readonly Point[]): number {
  // second moments of the area inside, about its middle
  let [area, mx, my, xx, yy, xy] = [0, 0, 0, 0, 0, 0]
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length]!
    const cross = p.x * q.y - q.x * p.y
    area += cross / 2
    mx += (cross * (p.x + q.x)) / 6
    my += (cross * (p.y + q.y)) / 6
    xx += (cross * (p.x * p.x + p.x * q.x + q.x * q.x)) / 12
    yy += (cross * (p.y * p.y + p.y * q.y + q.y * q.y)) / 12
    xy += (cross * (2 * p.x * p.y + p.x * q.y + q.x * p.y + 2 * q.x * q.y)) / 24
  })
  const [x, y] = [mx / area, my / area]
  const [a, b, c] = [xx / area - x * x, yy / area - y * y, xy / area - x * y]
  const long = (Math.atan2(2 * c, a - b) / 2) * (180 / Math.PI)
  const turn = 90 - long
  return turn > 90 ? turn - 180 : turn
}

/**
 * Traces the largest thing that lies on a plain ground, from a picture taken from straight above. What is smaller than the
 * thing, and holes in it, are told by whoever picks the outline.
 */
export function readPicture(pixels: Pixels): PictureRead {
  const { width, height } = pixels
  if (Math.min(width, height) < LEAST) return { ok: false, message: 'The picture is too small to trace.' }
  const { values, noise } = differences(pixels)
  const at = parting(smoothed(values, width, height), noise)
  if (at === null)
    return { ok: false, message: 'Nothing stands out in it: lay the thing on a plain ground of another colour.' }
  // as much again over the parting as there is below it: so the line runs where half of a pixel is covered, however dark the thing
  const clipped = smoothed(values.map((v) => Math.min(v, 2 * at)), width, height) // prettier-ignore
  const rings = contours().size([width, height]).contour(clipped, at).coordinates.flat()
  const areas = rings.map((ring) => ring.reduce((s, [x, y], i) => s + x! * ring[(i + 1) % ring.length]![1]! - ring[(i + 1) % ring.length]![0]! * y!, 0) / 2) // prettier-ignore
  const most = areas.reduce((m, a) => Math.max(m, Math.abs(a)), 0)
  const kept = rings.filter((_, i) => Math.abs(areas[i]!) >= SPECK * most)
  const thing = rings[areas.findIndex((a) => Math.abs(a) === most)]!
  if (thing.some(([x, y]) => x! < 1 || y! < 1 || x! > width - 1 || y! > height - 1))
    return { ok: false, message: 'It runs out of the picture, or its ground does: leave some of the ground all round.' }
  // pixels count down, an outline up
  const pointsOf = (ring: readonly number[][]): Point[] =>
    simplify(ring.map(([x, y]) => ({ x: x!, y: height - y! })), STRAIGHT, true).slice(0, -1) // prettier-ignore
  const turn = uprightBy(pointsOf(thing))
  const stretches = kept
    .map(pointsOf)
    .filter((points) => points.length > 2)
    .map((points) => ({ ...spun(polygon(points.map((p) => [p.x, p.y] as const)), turn), closed: true }))
    .sort((a, b) => Math.abs(outlineArea(b)) - Math.abs(outlineArea(a)))
  const box = outlineBounds(stretches[0]!)
  const notes = ['Traced from a picture: hold a rule to its width before you build for it.']
  return { ok: true, drawing: { stretches, unit: null, notes }, long: box.maxY - box.minY }
}
