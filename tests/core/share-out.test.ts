import { describe, expect, it } from 'vitest'
import { shareOut } from '#core/choose/share-out'
import { whichForm } from '#core/choose/which-form'
import { plainTool, type Tool } from '#core/footprint/tool'
import { usualShop } from '#core/shop/usual'
import { mallet } from './samples'

const shop = usualShop('S', 'mm', 'full')
const plane: Tool = { ...plainTool('p', 'plane', 'Plane'), sure: 'caliper', mass: 1.2, measures: { soleLength: 160, soleWidth: 50, height: 70 } } // prettier-ignore
const saw: Tool = { ...plainTool('w', 'handsaw', 'Saw'), sure: 'caliper', mass: 0.4, measures: { plateThickness: 0.6, spineThickness: 5, depthHeel: 60, depthToe: 55, length: 250, handleThickness: 22, handleHeight: 100 } } // prettier-ignore
const unknown = plainTool('u', 'flat-tool', 'Square')

const shared = (tools: Tool[]) => shareOut(shop, tools, whichForm(shop, tools))

describe('a heap that no one form holds', () => {
  const tools = [mallet('a', 27, 70), plane, mallet('b', 30, 80), saw, unknown]
  const { offers, left } = shared(tools)

  it('is shared out over holders, the one that holds most first, each tool in one', () => {
    expect(offers.map((o) => o.holds.map((t) => t.id).sort())).toEqual([['a', 'b'], ['p'], ['w']])
    expect(left.map((t) => t.id)).toEqual(['u'])
  })

  it('is put in nothing that stops', () => {
    for (const o of offers) {
      expect(o.design).not.toBeNull()
      expect(o.level).not.toBe('stop')
    }
  })

  it('is one holder where one holds all, and none where nothing does', () => {
    expect(shared([mallet('a', 27, 70), mallet('b', 30, 80)]).offers).toHaveLength(1)
    expect(shared([unknown])).toEqual({ offers: [], left: [unknown] })
    expect(shared([])).toEqual({ offers: [], left: [] })
  })
})
