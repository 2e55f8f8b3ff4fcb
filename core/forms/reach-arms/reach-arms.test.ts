import { describe, expect, it } from 'vitest'
import { design } from '../../choose/design'
import { plainTool, type Tool } from '../../footprint/tool'
import { outlineBounds } from '../../geometry/outline'
import { boardBox } from '../../model/standing'
import { usualShop } from '../../shop/usual'
import type { PlanInput } from '../form'

const mallet = (id: string, neck: number, head: number, mass = 0.6): Tool => ({
  ...plainTool(id, 'headed', `Mallet ${id}`),
  sure: 'caliper',
  mass,
  measures: { handleWidth: neck, handleThickness: neck, headWidth: head, headLength: 60 },
})

const arms = (tools: Tool[], choices: Record<string, string | number> = {}): PlanInput => ({
  shop: usualShop(),
  tools: new Map(tools.map((t) => [t.id, t])),
  holder: { id: 'h', name: 'Arms', form: 'reach-arms', seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 })), choices }, // prettier-ignore
})
const level = (input: PlanInput, id: string) => design(input).verdicts.find((v) => v.id === id)?.level

describe('reach arms', () => {
  it('stand apart by the thickest bar and its play, and reach out by the heads, gaps and margins', () => {
    const { model } = design(arms([mallet('a', 28, 110), mallet('b', 30, 120)], { fit: 'sliding' }))
    const [back, left, right] = model!.boards
    expect(boardBox(right!).x[0] - boardBox(left!).x[1]).toBeCloseTo(30 + 3, 9)
    const sides = model!.seats.map((s) => s.extent.back + s.extent.front)
    expect(left!.length).toBeCloseTo(2 * 20 + 25 + sides[0]! + sides[1]!, 9)
    // out from the wall, one behind the other, in the middle of the gap
    expect(model!.seats[1]!.at.y).toBeGreaterThan(model!.seats[0]!.at.y)
    expect(model!.seats[0]!.at.x).toBeCloseTo((boardBox(left!).x[1] + boardBox(right!).x[0]) / 2, 9)
    expect(back!.length).toBeCloseTo(33 + 2 * 18 + 2 * 20, 9)
  })

  it('slope up underneath to a blunt nose', () => {
    const { model } = design(arms([mallet('a', 28, 110)], { armHeight: 90 }))
    const arm = model!.boards[1]!
    const nose = arm.outline.segments.map((s) => s.to).filter((p) => Math.abs(p.x - arm.length) < 1e-9)
    expect(nose.map((p) => p.y).sort((a, b) => a - b)).toEqual([60, 90])
    expect(outlineBounds(arm.outline)).toMatchObject({ minX: 0, minY: 0, maxY: 90 })
  })

  it('let no head slip between them', () => {
    expect(level(arms([mallet('a', 28, 110)]), 'straddle:s-a')).toBe('pass')
    expect(level(arms([mallet('a', 28, 40)]), 'straddle:s-a')).toBe('stop')
  })

  it('break under too much, too far out, and say so', () => {
    const heavy = Array.from({ length: 8 }, (_, i) => mallet(`m${i}`, 28, 110, 8))
    expect(level(arms(heavy), 'arm')).toBe('pass')
    const thin = arms(heavy, { armHeight: 30 })
    const verdict = design(thin).verdicts.find((v) => v.id === 'arm')!
    expect(verdict.level).toBe('stop')
    expect(verdict.candidates.some((c) => c.label.startsWith('Arms'))).toBe(true)
    // 6 M / (t h²), both arms sharing
    const d = design(thin)
    const moment = d.model!.seats.reduce((sum, s) => sum + 2 * 8 * 9.80665 * (s.at.y - 18), 0) / 2
    expect(verdict.measured!.value).toBeCloseTo((6 * moment) / (18 * 30 ** 2), 6)
  })
})
