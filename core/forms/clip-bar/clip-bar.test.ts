import { describe, expect, it } from 'vitest'
import { design } from '../../choose/design'
import { plainTool, type Tool } from '../../footprint/tool'
import { boardBox } from '../../model/standing'
import { usualShop } from '../../shop/usual'
import type { PlanInput } from '../form'

const clamp = (id: string, mouth: number, jawWidth = 28): Tool => ({
  ...plainTool(id, 'spring-clamp', `Clamp ${id}`),
  sure: 'caliper',
  measures: { mouth, jawWidth, length: 155 },
})

const bar = (tools: Tool[], choices: Record<string, string | number> = {}): PlanInput => ({
  shop: usualShop(),
  tools: new Map(tools.map((t) => [t.id, t])),
  holder: { id: 'h', name: 'Clamps', form: 'clip-bar', seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 })), choices }, // prettier-ignore
})

describe('a clip bar', () => {
  it('is as long as the jaws, their gaps, margins and two blocks, and stands off by room for a jaw', () => {
    const { model } = design(bar([clamp('a', 45), clamp('b', 45, 40)], { standOff: 30 }))
    const [rail] = model!.boards
    expect(rail!.length).toBe(18 + 20 + 28 + 25 + 40 + 20 + 18)
    expect(boardBox(rail!).y).toEqual([18 + 30, 18 + 30 + 18])
    expect(model!.seats.map((s) => s.at.x)).toEqual([52, 52 + 14 + 25 + 20])
  })

  it('leaves out a clamp that does not open so far, and says what would do', () => {
    const { model, refusals } = design(bar([clamp('a', 20), clamp('b', 21)]))
    expect(model!.seats.map((s) => s.id)).toEqual(['s-b'])
    expect(refusals[0]!.says).toContain('it opens 20 mm, too little for a bar of 18 mm')
  })
})
