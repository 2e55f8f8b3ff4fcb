import { describe, expect, it } from 'vitest'
import { remediesFor } from '#core/choose/remedies'
import { design } from '#core/choose/design'
import { plainTool, type Tool } from '#core/footprint/tool'
import { usualShop } from '#core/shop/usual'
import { railOf, threeMallets } from './samples'

describe('room for fingers', () => {
  it('is the least between two neighbours, with a gap that would do', () => {
    const close = design(railOf(threeMallets(), { gap: 8 }))
    const told = close.verdicts.find((v) => v.id === 'fingers')!
    expect(told).toMatchObject({ level: 'watch', measured: { limit: 20 } })
    expect(told.measured!.value).toBeCloseTo(8)
    const [remedy] = remediesFor(close, told)
    expect(remedy!.change).toMatchObject({ key: 'gap', value: 20 })
    expect(design(railOf(threeMallets())).verdicts.find((v) => v.id === 'fingers')!.level).toBe('pass')
  })
})

describe('lifting out', () => {
  const file = (id: string, blade: number): Tool => ({
    ...plainTool(id, 'handled-blade', `File ${id}`),
    measures: { handleDiameter: 30, handleThickness: 30, ferruleDiameter: 14, bladeWidth: 12, bladeThickness: 4, bladeLength: blade, overallLength: blade + 110 }, // prettier-ignore
  })
  const block = (tools: Tool[]) =>
    design({
      shop: usualShop(),
      tools: new Map(tools.map((t) => [t.id, t])),
      holder: { id: 'h', name: 'Files', form: 'socket-block', seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 })), choices: {} }, // prettier-ignore
    })

  it('takes as much room above as hangs down, and is told where that is much', () => {
    expect(block([file('a', 120), file('b', 200)]).verdicts.find((v) => v.id === 'lift')).toMatchObject({ level: 'pass', measured: { value: 200 } }) // prettier-ignore
    expect(block([file('a', 400)]).verdicts.find((v) => v.id === 'lift')).toMatchObject({ level: 'watch', seats: ['s-a'] }) // prettier-ignore
  })

  it('is no matter of slots that are open in front', () =>
    expect(design(railOf(threeMallets())).verdicts.some((v) => v.id === 'lift')).toBe(false))
})
