import { describe, expect, it } from 'vitest'
import { plainBit } from '../shop/shop'
import { bitForTwoBores, bitToBuy, chooseBit, greatestBore, isLoose, neededOpening } from './bore'
import { passesDown, routerPasses } from './router'

const bits = [22, 25, 28, 30, 32, 35, 38].map(plainBit)

describe('the bore for a neck', () => {
  it.each([
    [27.5, 0, 32],
    [29, 0, 32],
    [31.2, 0, 35],
    [29, 0.5, 35],
    [29, 3, 35],
  ])('a neck of %d, out by at most %d, sliding: %d', (neck, doubt, bore) => {
    expect(chooseBit({ needed: neededOpening(neck, doubt, 3), bits })?.diameter).toBe(bore)
  })

  it('goes by the hole a bit really makes, where that was measured', () => {
    const worn = bits.map((b) => (b.diameter === 32 ? { ...b, testBore: 31.8 } : b))
    expect(chooseBit({ needed: 32, bits: worn })?.diameter).toBe(35)
    const wobbly = bits.map((b) => (b.diameter === 30 ? { ...b, testBore: 32.1 } : b))
    expect(chooseBit({ needed: 32, bits: wobbly.filter((b) => b.diameter !== 32) })?.diameter).toBe(30)
  })

  it('takes an inch bit that is just right in spite of floating point', () => {
    expect(chooseBit({ needed: 1.25 * 25.4, bits: [plainBit((5 / 4) * 25.4)] })).not.toBeNull()
  })

  it('keeps a shoulder from passing', () => {
    expect(greatestBore(40, 6)).toBe(28)
    expect(chooseBit({ needed: 27, bits, atMost: greatestBore(40, 6) })?.diameter).toBe(28)
    expect(chooseBit({ needed: 29, bits, atMost: 28 })).toBeNull()
  })

  it('has none that is big enough, and names one to buy in the shop’s unit', () => {
    expect(chooseBit({ needed: 40.2, bits })).toBeNull()
    expect(bitToBuy(40.2, 'mm')).toBe(41)
    expect(bitToBuy(40.2, 'in')).toBeCloseTo((13 / 8) * 25.4)
    expect(bitToBuy(40.2, 'mm', 40.1)).toBeNull()
    expect(bitToBuy(150.1, 'mm')).toBeNull()
  })

  it('finds the bit for two bores: the largest that falls short, by no more than half a hole', () => {
    expect(bitForTwoBores(40, bits)?.diameter).toBe(38)
    expect(bitForTwoBores(38, bits)?.diameter).toBe(35)
    expect(bitForTwoBores(57, bits)?.diameter).toBe(38)
    expect(bitForTwoBores(57.1, bits)).toBeNull()
    expect(bitForTwoBores(22, bits)).toBeNull()
  })

  it('calls a bore loose past two allowances and 2', () => {
    expect(isLoose(38, 30, 3, 2, 2)).toBe(false)
    expect(isLoose(38.1, 30, 3, 2, 2)).toBe(true)
  })
})

describe('passes of a router', () => {
  it('refuses a cutter wider than the opening', () => expect(routerPasses(12, 12.7)).toBeNull())
  it('takes one pass for its own width', () => expect(routerPasses(12, 12)).toEqual({ passes: 1, offset: 0 }))
  it('takes as many as keep each under nine tenths of the cutter', () => {
    expect(routerPasses(18, 12)).toEqual({ passes: 2, offset: 6 })
    expect(routerPasses(32, 12)).toEqual({ passes: 3, offset: 10 })
    expect(routerPasses(22.8, 12)).toEqual({ passes: 2, offset: 22.8 - 12 })
  })
  it('goes down in whole passes', () => {
    expect(passesDown(18, 6)).toBe(3)
    expect(passesDown(18.1, 6)).toBe(4)
  })
})
