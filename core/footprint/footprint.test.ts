import { describe, expect, it } from 'vitest'
import { outlineBounds, unite } from '../geometry/outline'
import { allKinds, kindOf } from './kinds'
import { remarksOn, unmeasured } from './measuring'
import { surenessOf, type Tool } from './tool'

const say = (mm: number) => `${mm} mm`
const headed = (measures: Record<string, number>, options: Record<string, string> = {}) => ({
  kind: 'headed',
  measures,
  options,
})

describe('every kind of tool', () => {
  it.each(allKinds.map((k) => [k.name, k] as const))('%s: declares what its card needs', (_, kind) => {
    const keys = kind.fields.map((f) => f.key)
    expect(new Set(keys).size).toBe(keys.length)
    for (const f of kind.fields) {
      expect(f.hold.length, f.key).toBeGreaterThan(20)
      expect(f.typical, f.key).toBeGreaterThanOrEqual(f.sane[0])
      expect(f.typical, f.key).toBeLessThanOrEqual(f.sane[1])
    }
    for (const measures of [{}, Object.fromEntries(kind.fields.map((f) => [f.key, f.typical]))]) {
      const card = kind.card({ measures, options: {} })
      expect(card.lines.map((l) => l.field).sort()).toEqual([...keys].sort())
      const box = unite(card.shapes.map((s) => outlineBounds(s.outline)))!
      for (const v of Object.values(box)) expect(Number.isFinite(v)).toBe(true)
    }
  })
})

describe('a headed tool', () => {
  const neck = kindOf('headed')!.neck!
  it('says which figures are still missing', () => {
    expect(unmeasured(headed({ handleWidth: 28 }))).toEqual(['Head width', 'Head length'])
    expect(unmeasured(headed({ handleWidth: 28, headWidth: 70, headLength: 120 }))).toEqual([])
    expect(neck(headed({ headWidth: 70 }), 0)).toEqual({ missing: ['handleWidth', 'headLength'] })
  })
  it('takes a handle without a thickness as round', () => {
    expect(neck(headed({ handleWidth: 28, headWidth: 70, headLength: 120 }), 1)).toMatchObject({
      neckAcross: { value: 28, expression: '{handleWidth}' },
    })
  })
  it('turns round once in four', () => {
    const m = headed({ handleWidth: 28, handleThickness: 34, headWidth: 70, headLength: 120, faceReach: 40 })
    const values = ([0, 1, 2, 3] as const).map((turn) => {
      const e = neck(m, turn)
      return 'missing' in e ? [] : [e.front.value, e.right.value, e.back.value, e.left.value, e.neckAcross.value]
    })
    expect(values).toEqual([
      [40, 35, 80, 35, 28],
      [35, 40, 35, 80, 34],
      [80, 35, 40, 35, 28],
      [35, 80, 35, 40, 34],
    ])
  })
  it.each([
    [{ handleWidth: 40, headWidth: 40 }, 'is no wider than the handle', ['headWidth', 'handleWidth']],
    [
      { headLength: 30, handleThickness: 30 },
      'is no longer than the handle is thick',
      ['headLength', 'handleThickness'],
    ],
    [{ faceReach: 90, headLength: 80 }, 'The face can’t reach 90 mm', ['faceReach', 'headLength']],
  ])('tells that %j can’t be', (measures, says, fields) => {
    const remarks = remarksOn(headed(measures as Record<string, number>), say).filter((r) => r.message.includes(says))
    expect(remarks.map((r) => r.field)).toEqual(fields)
    expect(remarks.every((r) => r.level === 'doubt')).toBe(true)
  })
  it('asks to look again at a size out of the ordinary, and refuses one that can’t be', () => {
    expect(remarksOn(headed({ handleLength: 5000 }), say)).toMatchObject([{ field: 'handleLength', level: 'doubt' }])
    expect(remarksOn(headed({ headWidth: -1 }), say)).toMatchObject([{ field: 'headWidth', level: 'wrong' }])
    expect(remarksOn({ kind: 'spoon', measures: {}, options: {} }, say)).toEqual([])
  })
  it('knows how sure each figure is', () => {
    const tool = { sure: 'rule', sureOf: { headWidth: 'eye' } } as unknown as Tool
    expect([surenessOf(tool, 'headWidth'), surenessOf(tool, 'handleWidth')]).toEqual(['eye', 'rule'])
  })
})
