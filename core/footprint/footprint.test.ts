import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { circle, outlineBounds, polygon, rectangle } from '../geometry/outline'
import { centreOfGravity } from './balance'
import { lumpOf, rod } from './body'
import type { NeckEnvelope } from './kind'
import { allKinds, kindOf } from './kinds'
import { remarksOn, unmeasured } from './measuring'
import { plainTool, surenessOf, type Tool } from './tool'

const say = (mm: number) => `${mm} mm`
const toolOf = (kind: string, more: Partial<Tool> = {}): Tool => ({ ...plainTool('t', kind, 'T'), ...more })
const headed = (measures: Record<string, number>, options: Record<string, string> = {}) =>
  toolOf('headed', { measures, options })
const everyKind = allKinds.map((k) => [k.id, k] as const)

describe('every kind of tool', () => {
  it('has a label of its own for each field, the same in every kind', () => {
    const labels = new Map<string, string>()
    for (const kind of allKinds) {
      expect(new Set(kind.fields.map((f) => f.label)).size, kind.id).toBe(kind.fields.length)
      for (const f of kind.fields) {
        const own = `${f.key} ${f.label}`
        labels.set(own, f.key)
      }
    }
    expect(labels.size).toBeGreaterThan(60)
  })
  it.each(everyKind)('%s: declares what its card needs', (_, kind) => {
    const keys = kind.fields.map((f) => f.key)
    for (const f of kind.fields) {
      expect(f.hold.length, f.key).toBeGreaterThan(20)
      expect(f.typical, f.key).toBeGreaterThanOrEqual(f.sane[0])
      expect(f.typical, f.key).toBeLessThanOrEqual(f.sane[1])
    }
    expect(kind.covers.length).toBeGreaterThan(0)
    expect(remarksOn(toolOf(kind.id, { measures: typicalOf(kind.id) }), say)).toEqual([])
    for (const measures of [{}, typicalOf(kind.id)]) {
      const card = kind.card({ measures, options: {} })
      expect(card.lines.map((l) => l.field).sort()).toEqual([...keys].sort())
      for (const line of card.lines) {
        const length = Math.hypot(line.to.x - line.from.x, line.to.y - line.from.y)
        const value = measures[line.field as never] ?? 0
        // a line is as long as its figure, save for what is too thin to be drawn as it is
        if (value > 8 && line.field !== 'cordLength') expect(length, line.field).toBeCloseTo(value, 4)
      }
    }
  })
  it.each(everyKind)('%s: can be drawn and balanced whatever its figures are', (_, kind) => {
    const figures = fc.record(
      Object.fromEntries(kind.fields.map((f) => [f.key, fc.double({ min: 0.1, max: 5000, noNaN: true })])),
      { requiredKeys: [] },
    )
    const options = fc.record(
      Object.fromEntries(kind.options.map((o) => [o.key, fc.constantFrom(...o.values.map((v) => v.value))])),
      { requiredKeys: [] },
    )
    fc.assert(
      fc.property(figures, options, (measures, chosen) => {
        const tool = toolOf(kind.id, {
          measures: measures as Record<string, number>,
          options: chosen as Record<string, string>,
        })
        for (const box of Object.values(kind.envelope(tool)))
          for (const v of Object.values(box)) expect(Number.isFinite(v)).toBe(true)
        for (const line of kind.card(tool).lines)
          for (const v of [line.from.x, line.from.y, line.to.x, line.to.y, line.offset])
            expect(Number.isFinite(v)).toBe(true)
        for (const state of ['bare', 'battery'] as const) {
          const centre = centreOfGravity(tool, state)!
          for (const v of [centre.x, centre.y, centre.z]) expect(Number.isFinite(v)).toBe(true)
        }
        remarksOn(tool, say)
      }),
      { numRuns: 60 },
    )
  })
  it.each(everyKind)('%s: its weight is centred inside what it fills', (_, kind) => {
    const tool = toolOf(kind.id)
    const { face, side } = kind.envelope(tool)
    const centre = centreOfGravity(tool)!
    expect(centre.x).toBeGreaterThanOrEqual(face.minX)
    expect(centre.x).toBeLessThanOrEqual(face.maxX)
    expect(centre.y).toBeGreaterThanOrEqual(side.minX)
    expect(centre.y).toBeLessThanOrEqual(side.maxX)
    expect(centre.z).toBeGreaterThanOrEqual(face.minY)
    expect(centre.z).toBeLessThanOrEqual(face.maxY)
  })
})

function typicalOf(kind: string): Record<string, number> {
  return Object.fromEntries(kindOf(kind)!.fields.map((f) => [f.key, f.typical]))
}

describe('what is still to be measured', () => {
  it('takes width and height from an outline', () => {
    const outline = rectangle(0, 0, 80, 120)
    const jig = toolOf('anything', { measures: { depth: 20 }, outline })
    expect(unmeasured(jig)).toEqual([])
    expect(unmeasured({ ...jig, outline: null })).toEqual(['Width', 'Height'])
    expect(unmeasured(toolOf('flat-tool', { measures: { thickness: 5 } }))).toEqual(['Outline'])
    const off = remarksOn({ ...jig, measures: { depth: 20, width: 90 } }, say)
    expect(off).toMatchObject([{ field: 'width', level: 'doubt' }])
    expect(off[0]!.message).toContain('80 mm')
    const bow = polygon([[0, 0], [50, 40], [50, 0], [0, 40]]) // prettier-ignore
    expect(remarksOn({ ...jig, outline: bow }, say).map((r) => r.message).join()).toContain('crosses itself') // prettier-ignore
  })
})

describe('where the weight is centred', () => {
  it('is reckoned from solids: a rod in its middle, a cone at a quarter', () => {
    expect(lumpOf(rod('handle', 10, [-200, 0]))).toMatchObject({ z: -100, volume: expect.closeTo(Math.PI * 2e4, 6) })
    const cone = lumpOf({ form: 'turned', part: 'head', x: 0, y: 0, profile: [{ z: 0, radius: 30 }, { z: 80, radius: 0 }] }) // prettier-ignore
    expect(cone.z).toBeCloseTo(20, 9)
    const disc = lumpOf({ form: 'plate', part: 'head', view: 'face', outline: circle(5, 7, 10), from: 0, to: 4 })
    expect(disc).toMatchObject({ x: expect.closeTo(5, 9), y: 2, z: expect.closeTo(7, 9) })
    expect(disc.volume).toBeCloseTo(Math.PI * 400, 6)
  })
  it('follows a balance point that was found', () => {
    const mallet = headed({ handleLength: 300, balance: 270 })
    expect(centreOfGravity(mallet)).toMatchObject({ z: -30, measured: ['z'] })
    const saw = toolOf('base-plate', { measures: { balance: 90, balanceUp: 70, balanceBattery: 80 } })
    expect(centreOfGravity(saw)).toMatchObject({ y: 90, z: 70 })
    expect(centreOfGravity(saw, 'battery')).toMatchObject({ y: 80, measured: ['y'] })
  })
})

describe('a handle’s profile', () => {
  it('is drawn, and checked against the greatest diameter', () => {
    const profile = [{ at: 0, diameter: 18 }, { at: 40, diameter: 26 }, { at: 90, diameter: 31 }] // prettier-ignore
    const tool = toolOf('handled-blade', {
      measures: { handleDiameter: 31, bladeLength: 100, overallLength: 210 },
      profile,
    })
    const widths = kindOf('handled-blade')!
      .silhouette(tool)
      .face.map((s) => outlineBounds(s.outline))
    expect(Math.max(...widths.map((b) => b.maxX))).toBe(15.5)
    expect(remarksOn(tool, say)).toEqual([])
    const thin = { ...tool, measures: { ...tool.measures, handleDiameter: 28 } }
    expect(remarksOn(thin, say)).toMatchObject([{ field: 'profile', level: 'doubt' }])
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
      const e = neck(m, turn) as NeckEnvelope
      return [e.front.value, e.right.value, e.back.value, e.left.value, e.neckAcross.value]
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
    expect(remarksOn(toolOf('spoon'), say)).toEqual([])
  })
  it('knows how sure each figure is', () => {
    const tool = { sure: 'rule', sureOf: { headWidth: 'eye' } } as const
    expect([surenessOf(tool, 'headWidth'), surenessOf(tool, 'handleWidth')]).toEqual(['eye', 'rule'])
  })
})

describe('other contradictions', () => {
  it.each([
    ['handled-blade', { ferruleDiameter: 30, handleDiameter: 25 }, 'thicker than its handle'],
    ['bar-clamp', { barWidth: 10, barThickness: 20 }, 'exchange the two'],
    ['handsaw', { depthHeel: 60, depthToe: 90 }, 'deeper than the heel'],
    ['pistol-grip', { neckWidth: 60, bodyWidth: 55 }, 'nothing would hold it up'],
    ['ring', { outerDiameter: 100, holeDiameter: 120 }, 'as wide as the disc'],
    ['buttoned', { buttonDiameter: 10, shaftDiameter: 12 }, 'as thick as the button'],
    ['base-plate', { baseLength: 200, balance: 260 }, 'off the base'],
    ['hex-key', { shortLeg: 90, longLeg: 40 }, 'longer than the long one'],
  ])('%s with %j', (kind, measures, says) => {
    const remarks = remarksOn(toolOf(kind, { measures: measures as Record<string, number> }), say)
    expect(remarks.some((r) => r.level === 'doubt' && r.message.includes(says))).toBe(true)
  })
  it('lets a saw that cuts on the pull be deepest at its toe', () => {
    const measures = { depthHeel: 46, depthToe: 58 }
    expect(remarksOn(toolOf('handsaw', { measures, options: { handle: 'straight' } }), say)).toEqual([])
    expect(remarksOn(toolOf('handsaw', { measures, options: { handle: 'closed' } }), say)).toHaveLength(2)
  })
  it('weighs more with its battery', () => {
    const drill = toolOf('pistol-grip', { mass: 1.4, massWithBattery: 1.2 })
    expect(remarksOn(drill, say)).toMatchObject([{ field: 'mass', level: 'doubt' }])
  })
})
