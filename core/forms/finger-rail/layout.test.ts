import { describe, expect, it } from 'vitest'
import { bearing, centreLine, restForward, spreadAlong, webBetween } from './layout'
import { slopedSlot } from '../sloped-slot'

const seats = [
  { left: 31, right: 31, slot: 32 },
  { left: 35, right: 35, slot: 32 },
  { left: 44, right: 44, slot: 35 },
]
const spread = { gap: 22, margin: 20, even: false, overhang: false }

describe('the finger rail’s worked example', () => {
  const { centres, length } = spreadAlong(seats, spread)
  it('has its centres and length', () => {
    expect(centres).toEqual([51, 139, 240])
    expect(length).toBe(304)
  })
  it('has its webs', () => {
    expect(webBetween(51, 32, 139, 32)).toBe(56)
    expect(webBetween(139, 32, 240, 35)).toBe(67.5)
  })
  it('has its bearings', () => expect(seats.map((s) => bearing(s.left, s.slot))).toEqual([15, 19, 26.5]))
})

it('takes the greatest distance everywhere when the pitch is even', () => {
  expect(spreadAlong(seats, { ...spread, even: true })).toEqual({ centres: [51, 152, 253], length: 317 })
})

it('counts the margin from the outermost slots when heads may overhang', () => {
  expect(spreadAlong(seats, { ...spread, overhang: true })).toEqual({ centres: [36, 124, 225], length: 262.5 })
})

it('lets a rectangular neck rest forward where its corners meet the bore', () => {
  expect(restForward(40, 25, 32)).toBeCloseTo(20 - Math.sqrt(32 ** 2 - 25 ** 2) / 2)
  expect(restForward(10, 25, 32)).toBe(0)
  expect(restForward(40, 32, 32)).toBe(20)
  // two bores of 32 for a slot of 38: the middle 6 are straight, so a neck of 31 is as 25 in a single bore
  expect(restForward(40, 31, 38, 32)).toBeCloseTo(restForward(40, 25, 32))
  expect(restForward(40, 5, 38, 32)).toBe(4)
})

it('keeps at least the share of the depth behind the slots', () => {
  const c = centreLine([{ slot: 32, back: 10 }], 28, 6, 0, 0.3)
  expect((c - 16) / (c + 28)).toBeCloseTo(0.3)
  expect(centreLine([{ slot: 32, back: 60 }], 28, 6, 18, 0.3)).toBe(48)
})

describe('a sloped slot', () => {
  it('has its worked example', () => {
    const s = slopedSlot(95, 32, 20, 35)
    expect(Number(s.sawLinesApart.toFixed(2))).toBe(34.05)
    expect(s.run).toBe(44)
    expect(Number(s.drop.toFixed(2))).toBe(16.01)
    expect(s.boreFromBack).toBe(51)
  })
  it('refuses a board too narrow for it', () => expect(() => slopedSlot(40, 32, 20, 35)).toThrow(RangeError))
})
