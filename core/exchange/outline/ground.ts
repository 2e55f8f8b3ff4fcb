import { Matrix, solve } from 'ml-matrix'

/** A picture: red, green, blue and opacity of each pixel, 0 to 255, by rows from the top. */
export interface Pixels {
  data: Uint8ClampedArray
  width: number
  height: number
}

/** The margin in which the ground is looked at, as a part of the picture's shorter side. */
const MARGIN = 0.05
/** So many pixels are looked at across it. */
const ACROSS = 8

/** What is fitted to the ground's light: it falls off to one side, or to all. */
const terms = (x: number, y: number): number[] => [1, x, y, x * x, x * y, y * y]

/** A place in a picture, from -1 to 1, and how light one colour is there. */
interface Light {
  x: number
  y: number
  value: number
}

/** The light of a ground: how light it is at a place, and how far it lies from that on the whole. */
export interface Ground {
  at: (x: number, y: number) => number
  off: number
}

/** The least squares of a ground's light. */
function fitted(lights: readonly Light[]): Ground {
  const [sums, right] = [Matrix.zeros(6, 6), Matrix.zeros(6, 1)]
  for (const { x, y, value } of lights) {
    const t = terms(x, y)
    for (let i = 0; i < 6; i++) {
      for (let k = 0; k < 6; k++) sums.set(i, k, sums.get(i, k) + t[i]! * t[k]!)
      right.set(i, 0, right.get(i, 0) + t[i]! * value)
    }
  }
  const [a, b, c, d, e, f] = solve(sums, right, true).to1DArray() as [number, number, number, number, number, number]
  const at: Ground['at'] = (x, y) => a + b * x + c * y + d * x * x + e * x * y + f * y * y
  const squares = lights.reduce((sum, l) => sum + (l.value - at(l.x, l.y)) ** 2, 0)
  return { at, off: Math.sqrt(squares / Math.max(1, lights.length)) }
}

/** The light of the ground in one colour: what the picture's margin shows, without what lies far from the rest of it. */
export function groundOf({ data, width, height }: Pixels, colour: number): Ground {
  const margin = Math.max(2, Math.round(MARGIN * Math.min(width, height)))
  const step = Math.max(1, Math.round(margin / ACROSS))
  const lights: Light[] = []
  for (let y = 0; y < height; y += step)
    for (let x = 0; x < width; x += step)
      if (x < margin || y < margin || x >= width - margin || y >= height - margin)
        lights.push({ x: (2 * x) / width - 1, y: (2 * y) / height - 1, value: data[4 * (y * width + x) + colour]! })
  const first = fitted(lights)
  const near = lights.filter((l) => Math.abs(l.value - first.at(l.x, l.y)) <= 2.5 * first.off + 1)
  return fitted(near)
}
