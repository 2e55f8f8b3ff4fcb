import { describe, expect, it } from 'vitest'
import {
  END_GRAIN_SHEAR,
  gravityOf,
  pilotFor,
  rootDiameter,
  screwDiameter,
  shortThread,
  thinThread,
  withdrawal,
  yieldLoad,
} from './screw'

describe('a screw', () => {
  it('has its diameter by gauge', () => {
    expect(screwDiameter(10)).toBeCloseTo(4.826, 3)
    expect(screwDiameter(8)).toBeCloseTo(4.166, 3)
  })
  it('holds against being pulled out by density, diameter and thread', () =>
    expect(withdrawal(0.42, screwDiameter(10))).toBeCloseTo(16.7, 1))
  it('bears across its axis by the least yield mode, less for a short thread', () => {
    const whole = yieldLoad(10, 0.42, 18, 40)
    expect(whole).toBeCloseTo(333, 0)
    expect(shortThread(40, screwDiameter(10))).toBeCloseTo(0.83, 2)
    expect(whole * shortThread(40, screwDiameter(10))).toBeCloseTo(276, 0)
    expect(whole * shortThread(20, screwDiameter(10))).toBe(0)
    expect(thinThread(20, screwDiameter(10))).toBeCloseTo(0.414, 3)
    expect(shortThread(90, screwDiameter(10))).toBe(1)
    expect(END_GRAIN_SHEAR).toBe(0.67)
  })
  it('wants a pilot hole by its root and the wood', () => {
    expect(rootDiameter(8)).toBeCloseTo(25.4 * 0.131, 3)
    expect(rootDiameter(11)).toBeCloseTo((25.4 * (0.152 + 0.171)) / 2, 3)
    expect(pilotFor(8, 400) / rootDiameter(8)).toBeCloseTo(0.7, 6)
    expect(pilotFor(8, 680) / rootDiameter(8)).toBeCloseTo(0.9, 6)
    for (let gauge = 0; gauge <= 24; gauge++) expect(rootDiameter(gauge)).toBeLessThan(screwDiameter(gauge))
  })
  it('takes the gravity from the density', () => expect(gravityOf(470)).toBeCloseTo(0.42, 2))
})
