import { describe, expect, it } from 'vitest'
import { circle, polygon, rectangle } from '../../geometry/outline'
import { restOn } from './rest-on'

describe('two pins under something flat', () => {
  it('bear a lying bar near its ends, level, as far apart as they can', () => {
    const rest = restOn(rectangle(0, 0, 200, 20), 5)!
    expect(rest.left.pin.y).toBeCloseTo(-5.05)
    expect(rest.right.pin.y).toBeCloseTo(-5.05)
    expect([rest.left.at.x, rest.right.at.x].map(Math.round)).toEqual([0, 200])
    // 100 to either side, 10 up
    expect(rest.stable).toBeCloseTo(90 - (Math.atan(10 / 100) * 180) / Math.PI, 0)
  })

  it('hold none that would roll off, such as a tall narrow bar', () => {
    expect(restOn(rectangle(0, 0, 20, 200), 5)).toBeNull()
    expect(restOn(rectangle(0, 0, 160, 200), 5)).not.toBeNull()
  })

  it('hang a T by its arms, one to each side of its stem, below which it weighs', () => {
    const t = polygon([[-6, -150], [6, -150], [6, -20], [40, -20], [40, 0], [-40, 0], [-40, -20], [-6, -20]]) // prettier-ignore
    const rest = restOn(t, 6)!
    expect(rest.stable).toBeGreaterThan(90)
    expect(rest.left.pin.y).toBeCloseTo(-26.05)
    expect(rest.left.pin.x).toBeLessThanOrEqual(-12)
    expect(rest.right.pin.x).toBeGreaterThanOrEqual(12)
  })

  it('hold a disc by two pins that lean against it alike, and never stand in it', () => {
    const rest = restOn(circle(0, 0, 60), 5)!
    for (const { pin, at } of [rest.left, rest.right]) {
      expect(Math.hypot(pin.x, pin.y)).toBeGreaterThanOrEqual(65 - 1e-6)
      expect(Math.hypot(pin.x - at.x, pin.y - at.y)).toBeCloseTo(5.05)
    }
    expect(rest.left.pin.x).toBeCloseTo(-rest.right.pin.x, 0)
  })

  it('are the same whichever way round the outline runs', () => {
    const one = [[0, 0], [90, 10], [100, 40], [20, 30]] as [number, number][] // prettier-ignore
    const [a, b] = [restOn(polygon(one), 4), restOn(polygon([...one].reverse()), 4)]
    expect(a!.worth).toBeCloseTo(b!.worth, 2)
  })
})
