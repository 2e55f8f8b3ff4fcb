import { describe, expect, it } from 'vitest'
import { design } from '../../choose/design'
import { plainTool, type Tool } from '../../footprint/tool'
import { usualShop } from '../../shop/usual'
import type { PlanInput } from '../form'

const saw = (id: string, measures: Record<string, number>): Tool => ({
  ...plainTool(id, 'handsaw', `Saw ${id}`),
  sure: 'caliper',
  measures: { plateThickness: 0.9, depthHeel: 100, length: 500, handleThickness: 24, ...measures },
})

const rest = (tools: Tool[], choices: Record<string, string | number> = {}): PlanInput => ({
  shop: usualShop(),
  tools: new Map(tools.map((t) => [t.id, t])),
  holder: {
    id: 'h',
    name: 'Saws',
    form: 'saw-rest',
    seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 })),
    choices,
  },
})

describe('a saw rest', () => {
  // gap 25, margin 20, snug 0.8; the narrowest blade that is wide enough takes 2.2
  const d = design(rest([saw('a', {}), saw('b', { depthHeel: 60, handleThickness: 30, length: 300 })]))
  const bar = d.model!.boards[0]!

  it('spaces kerfs by the handles, as wide as a blade leaves them', () => {
    expect(bar.openings.map((o) => [o.centre.x, o.width])).toEqual([
      [32, 2.2],
      [84, 2.2],
    ])
    expect(bar.length).toBe(119)
  })

  it('lets the deepest plate in, and keeps the back whole', () => {
    // 100 and 12 to keep it in; behind that three tenths of the depth
    expect(bar.width).toBeCloseTo(112 / 0.7)
    expect(bar.openings[0]!.centre.y).toBeCloseTo(0.3 * bar.width)
    expect(bar.openings[0]!.cut).toBe('sawn')
  })

  it('has a guide in line below, where the shortest plate reaches', () => {
    const guide = d.model!.boards[1]!
    expect(guide.placement.at.z).toBe(-180)
    expect(guide.openings.map((o) => o.centre)).toEqual(bar.openings.map((o) => o.centre))
    const alone = design(rest([saw('a', {})], { guide: 'without' }))
    expect(alone.model!.boards.map((b) => b.id)).toEqual(['rail', 'back'])
  })

  it('takes several passes for a plate that no blade makes room for', () => {
    const { working } = design(rest([saw('a', { spineThickness: 6 })]))
    expect(working.find((f) => f.id === 'slot:s-a')!.value).toBeCloseTo(6.8)
  })

  it('says what is no saw, and what is not measured', () => {
    const hammer: Tool = { ...plainTool('x', 'headed', 'Hammer'), measures: { handleWidth: 20 } }
    const bare: Tool = { ...plainTool('y', 'handsaw', 'New saw'), measures: { plateThickness: 1 } }
    const says = design(rest([hammer, bare])).refusals.map((r) => r.says)
    expect(says[0]).toContain('Hammer is no saw')
    expect(says[1]).toContain(
      'New saw is left out until it is measured: depth at heel, plate length, handle thickness.',
    )
  })

  it('refuses a strip that is too narrow for the plates', () => {
    const { refusals, model } = design(rest([saw('a', {})], { depth: 90 }))
    expect([model, refusals[0]!.id]).toEqual([null, 'too shallow'])
  })
})
