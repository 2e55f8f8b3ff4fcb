import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  circle,
  flipped,
  mirrored,
  moved,
  outlineBounds,
  polygon,
  rectangle,
  reversed,
  roundedRectangle,
  slotOutline,
  turned,
  type Outline,
} from './outline'
import { coordinate, svgPath } from './svg-path'

/** Area by walking round with each arc cut into many chords, positive anticlockwise; an independent way to the same figure. */
function area(outline: Outline, chords = 400): number {
  let sum = 0
  let from = outline.start
  const step = (to: { x: number; y: number }) => {
    sum += (from.x * to.y - to.x * from.y) / 2
    from = to
  }
  for (const s of outline.segments) {
    if (s.kind === 'arc') {
      const angle = (p: { x: number; y: number }) => Math.atan2(p.y - s.centre.y, p.x - s.centre.x)
      const a0 = angle(from)
      const turn = 2 * Math.PI
      const sweep = (((s.clockwise ? a0 - angle(s.to) : angle(s.to) - a0) % turn) + turn) % turn
      for (let i = 1; i <= chords; i++) {
        const a = a0 + ((s.clockwise ? -1 : 1) * sweep * i) / chords
        step({ x: s.centre.x + s.radius * Math.cos(a), y: s.centre.y + s.radius * Math.sin(a) })
      }
    }
    step(s.to)
  }
  return sum
}

const bounds = (o: Outline) => Object.values(outlineBounds(o)).map((v) => Number(v.toFixed(6)) + 0)

describe('outlines', () => {
  it('have the box that their arcs reach, not only their corners', () => {
    expect(bounds(circle(10, 20, 5))).toEqual([5, 15, 15, 25])
    expect(bounds(slotOutline({ x: 50, y: 30 }, 20, 80))).toEqual([40, 20, 60, 80])
    expect(bounds(slotOutline({ x: 50, y: 30 }, 20, 0))).toEqual([40, 0, 60, 40])
    expect(bounds(slotOutline({ x: 50, y: 30 }, 26, 80, 10))).toEqual([37, 20, 63, 80])
    expect(bounds(roundedRectangle(0, 0, 40, 30, 8))).toEqual([0, 0, 40, 30])
  })

  it('have the area that a ruler would give', () => {
    const slot = (width: number, radius: number) => Math.abs(area(slotOutline({ x: 0, y: 0 }, width, 50, radius)))
    expect(slot(20, 10)).toBeCloseTo(20 * 50 + (Math.PI * 100) / 2, 1)
    expect(slot(26, 10)).toBeCloseTo(26 * 50 + (Math.PI * 100) / 2 + 6 * 10, 1)
    expect(area(roundedRectangle(0, 0, 40, 30, 8))).toBeCloseTo(40 * 30 - (4 - Math.PI) * 64, 1)
    expect(area(circle(3, 4, 5))).toBeCloseTo(Math.PI * 25, 1)
  })

  it('cut a radius that is too large down to what fits, and drop one of nought', () => {
    expect(bounds(roundedRectangle(0, 0, 10, 40, 99))).toEqual([0, 0, 10, 40])
    expect(roundedRectangle(0, 0, 10, 40, 0)).toEqual(rectangle(0, 0, 10, 40))
  })

  it('need at least three points', () =>
    expect(() =>
      polygon([
        [0, 0],
        [1, 1],
      ]),
    ).toThrow(RangeError))

  const shapes = fc.constantFrom(
    slotOutline({ x: 5, y: 7 }, 20, 60),
    slotOutline({ x: 5, y: 7 }, 26, 60, 8),
    roundedRectangle(-3, 2, 30, 20, 5),
    polygon([
      [0, 0],
      [30, 5],
      [12, 40],
    ]),
    circle(4, 4, 9),
  )

  it('come back by turning four times, flipping twice, reversing twice', () =>
    fc.assert(
      fc.property(shapes, fc.integer({ min: -50, max: 50 }), (shape, d) => {
        const same = (o: Outline) => {
          expect(area(o)).toBeCloseTo(area(shape), 6)
          bounds(o).forEach((v, i) => expect(v).toBeCloseTo(bounds(shape)[i]!, 6))
        }
        same(turned(turned(turned(turned(shape, 1), 1), 1), 1))
        same(turned(turned(shape, 3), -3))
        same(flipped(flipped(shape)))
        same(mirrored(mirrored(shape)))
        same(moved(moved(shape, d, -d), -d, d))
        same(reversed(reversed(shape)))
        expect(area(reversed(shape))).toBeCloseTo(-area(shape), 6)
        expect(area(mirrored(shape))).toBeCloseTo(-area(shape), 6)
        expect(area(turned(shape, 1))).toBeCloseTo(area(shape), 6)
      }),
    ))
})

describe('an SVG path', () => {
  it('has true arcs, with y turned over', () => {
    expect(svgPath(slotOutline({ x: 50, y: 30 }, 20, 80))).toBe('M40 -80L40 -30A10 10 0 0 0 60 -30L60 -80L40 -80Z')
  })
  it('goes the long way round where the arc does', () => {
    const [first] = circle(0, 0, 5).segments
    const most: Outline = {
      start: { x: 5, y: 0 },
      segments: [{ ...first!, kind: 'arc', centre: { x: 0, y: 0 }, radius: 5, clockwise: false, to: { x: 0, y: -5 } }],
    }
    expect(svgPath(most)).toContain('A5 5 0 1 0 0 5')
  })
  it('is moved as it is written', () => {
    const shape = slotOutline({ x: 5, y: 7 }, 20, 60)
    expect(svgPath(shape, { x: 11, y: -3 })).toBe(svgPath(moved(shape, 11, -3)))
  })
  it('writes coordinates to a ten-thousandth, and no negative nought', () => {
    expect([0.00004, -0.00001, 1 / 3, 12.5, -7].map(coordinate)).toEqual(['0', '0', '0.3333', '12.5', '-7'])
  })
})
