import { describe, expect, it } from 'vitest'
import { outlineArea } from '../../geometry/area'
import { pickOutline } from './drawn'
import type { Pixels } from './ground'
import { readPicture } from './picture-in'

type Colour = [number, number, number]
const WHITE: Colour = [236, 232, 225]
const STEEL: Colour = [90, 95, 100]

/** A picture of what `covers` says, each pixel by sixteen points of it, on a ground that is a little uneven. */
function picture(
  width: number,
  height: number,
  covers: (x: number, y: number) => boolean,
  [ground, thing] = [WHITE, STEEL],
): Pixels {
  // prettier-ignore
  const data = new Uint8ClampedArray(4 * width * height)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let part = 0
      for (let v = 0; v < 4; v++) for (let u = 0; u < 4; u++) if (covers(x + (u + 0.5) / 4, y + (v + 0.5) / 4)) part++
      const uneven = 4 * Math.sin(x / 9) + 3 * Math.cos(y / 7)
      for (let c = 0; c < 3; c++) data[4 * (y * width + x) + c] = ground[c]! + ((thing[c]! - ground[c]!) * part) / 16 + uneven // prettier-ignore
      data[4 * (y * width + x) + 3] = 255
    }
  return { data, width, height }
}

/** A T of 200 by 100 mm, its bar 30 and its stem 20 wide, turned by some degrees, so many pixels to a mm. */
const tee =
  (scale: number, degrees: number, [cx, cy]: [number, number]) =>
  (x: number, y: number): boolean => {
    const a = (degrees * Math.PI) / 180
    const [dx, dy] = [(x - cx) / scale, (y - cy) / scale]
    const [u, v] = [dx * Math.cos(a) + dy * Math.sin(a), -dx * Math.sin(a) + dy * Math.cos(a)]
    return (Math.abs(u) < 50 && v > -100 && v < -70) || (Math.abs(u) < 10 && v > -100 && v < 100)
  }

const traced = (pixels: Pixels, long: number) => {
  const read = readPicture(pixels)
  if (!read.ok) throw new Error(read.message)
  const picked = pickOutline(read.drawing, long / read.long)
  if (!picked.ok) throw new Error(picked.message)
  return picked.picked
}

describe('a traced picture', () => {
  it('gives the outline upright and at its true size, however it lay', () => {
    for (const degrees of [0, 25, -40, 80]) {
      const { outline, width, height } = traced(picture(420, 420, tee(1.7, degrees, [210, 210])), 200)
      expect(height).toBeCloseTo(200)
      expect(Math.abs(width - 100), `${degrees}`).toBeLessThan(2)
      expect(Math.abs(outlineArea(outline) / (100 * 30 + 170 * 20) - 1), `${degrees}`).toBeLessThan(0.03)
      // straight edges stay so: eight corners, and a few where a corner is cut
      expect(outline.segments.length).toBeLessThan(30)
    }
  })

  it('keeps what was uppermost so, and hangs it by the middle of its top', () => {
    const { outline } = traced(picture(420, 420, tee(1.7, 10, [210, 210])), 200)
    const points = [outline.start, ...outline.segments.map((s) => s.to)]
    const widest = points.filter((p) => Math.abs(p.x) > 30)
    for (const p of widest) expect(p.y).toBeGreaterThan(-40)
  })

  it('traces a light thing on a dark ground too', () => {
    const { width } = traced(picture(420, 420, tee(1.7, 15, [210, 210]), [STEEL, WHITE]), 200)
    expect(Math.abs(width - 100)).toBeLessThan(2)
  })

  it('keeps what shines, on a ground that is lit from one side', () => {
    const pixels = picture(420, 420, tee(1.7, 25, [210, 210]))
    const shine = tee(1.7, 25, [210, 210])
    for (let y = 0; y < 420; y++)
      for (let x = 0; x < 420; x++) {
        const fall = 70 * (x / 420) ** 2
        // a stripe along the whole of it, nearly as light as the ground
        const stripe =
          shine(x + 0.5, y + 0.5) && Math.abs((x - 210) * Math.cos(0.436) + (y - 210) * Math.sin(0.436)) < 6
        for (let c = 0; c < 3; c++) {
          const at = 4 * (y * 420 + x) + c
          pixels.data[at] = stripe ? 185 - fall : Math.max(0, pixels.data[at]! - fall * (pixels.data[at]! / 236))
        }
      }
    const { outline, width } = traced(pixels, 200)
    expect(Math.abs(width - 100)).toBeLessThan(2)
    expect(Math.abs(outlineArea(outline) / (100 * 30 + 170 * 20) - 1)).toBeLessThan(0.04)
  })

  it('leaves out what lies beside it, and the hole in it, and says so', () => {
    const disc = (x: number, y: number, cx: number, cy: number, r: number): boolean => Math.hypot(x - cx, y - cy) < r
    const pixels = picture(400, 300, (x, y) => (disc(x, y, 150, 150, 100) && !disc(x, y, 150, 150, 40)) || disc(x, y, 330, 150, 30)) // prettier-ignore
    const { outline, notes } = traced(pixels, 200)
    expect(Math.abs(outlineArea(outline) / (Math.PI * 100 ** 2) - 1)).toBeLessThan(0.02)
    expect(notes.join(' ')).toMatch(/one island inside.*one smaller outline stands beside/i)
    expect(notes.join(' ')).toContain('hold a rule to its width')
  })

  it('says why where there is nothing to trace', () => {
    const told = (p: Pixels): string => {
      const read = readPicture(p)
      return read.ok ? 'traced' : read.message
    }
    expect(told(picture(200, 200, () => false))).toContain('Nothing stands out')
    expect(told(picture(200, 200, (x) => x < 90))).toContain('runs out of the picture')
    expect(told(picture(30, 30, (x) => x < 9))).toContain('too small')
  })
})
