import { describe, expect, it } from 'vitest'
import { design } from '../../choose/design'
import { remediesFor } from '../../choose/remedies'
import { plainTool, type Tool } from '../../footprint/tool'
import { filledRow } from '../../shop/lists'
import type { Stock } from '../../shop/shop'
import { plainBit } from '../../shop/shop'
import { usualShop } from '../../shop/usual'
import type { PlanInput } from '../form'

const mallet = (id: string, more: Partial<Tool> = {}, measures: Record<string, number> = {}): Tool => ({
  ...plainTool(id, 'headed', `Mallet ${id}`),
  sure: 'caliper',
  mass: 0.9,
  ...more,
  measures: { handleWidth: 30, headWidth: 70, headLength: 140, ...measures },
})

const rod = (thickness: number): Stock =>
  filledRow('stock', { id: `rod-${thickness}`, name: `Rod ${thickness}`, material: 'yellow birch', form: 'rod', thickness }) as Stock // prettier-ignore

const rail = (tools: Tool[], rods: number[], choices: Record<string, string | number> = {}): PlanInput => {
  const shop = usualShop()
  return {
    shop: { ...shop, stock: [...shop.stock.filter((s) => s.form !== 'rod'), ...rods.map(rod)] },
    tools: new Map(tools.map((t) => [t.id, t])),
    holder: {
      id: 'h',
      name: 'Mallets',
      form: 'twin-rail',
      seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 })),
      choices,
    },
  }
}

describe('a twin rail', () => {
  const { model, verdicts } = design(rail([mallet('a'), mallet('b')], [20]))
  it('keeps the rods as far apart as the handles need', () => {
    const [rear, front] = model!.rods
    // handle 30, sliding 3, and one rod of 20
    expect(front!.at.y - rear!.at.y).toBe(53)
    // heads of 140 clear the back by 6
    expect((front!.at.y + rear!.at.y) / 2).toBe(18 + 70 + 6)
    expect(rear!.at.z).toBe(-10)
  })

  it('spaces the heads along the rods, between the ends', () => {
    expect(model!.seats.map((s) => s.at.x)).toEqual([18 + 20 + 35, 18 + 20 + 35 + 95])
    expect(model!.rods[0]!.length).toBe(18 + 20 + 70 + 25 + 70 + 20 + 18)
  })

  it('asks heads to lie across both rods by a bearing', () => {
    expect(verdicts.find((v) => v.id === 'straddle:s-a')).toMatchObject({ level: 'pass', measured: { value: 140, limit: 62 } }) // prettier-ignore
    const short = design(rail([mallet('a', {}, { headLength: 58 })], [20]))
    const told = short.verdicts.find((v) => v.id === 'straddle:s-a')!
    expect(told.level).toBe('stop')
    expect(told.says).toContain('can slip between them')
    // a longer side holds nothing on the other: 27 doesn’t reach the top of a rod, whose middle is 26.5 away, with 1.5 of play
    const uneven = design(rail([mallet('a', {}, { faceReach: 27 })], [20])).verdicts.find(
      (v) => v.id === 'straddle:s-a',
    )!
    expect(uneven).toMatchObject({ level: 'stop', measured: { value: 2 * 27 + 6, limit: 62 } })
    // the other way round its width of 70 lies across
    expect(remediesFor(short, told).map((r) => r.label)).toContain('Turn it a quarter')
  })

  it('stops where the rods sag, and offers thicker ones', () => {
    const heavy = Array.from({ length: 8 }, (_, i) => mallet(`m${i}`, { mass: 1.6 }))
    const sagging = design(rail(heavy, [16, 32]))
    const told = sagging.verdicts.find((v) => v.id === 'rod sag')!
    expect(told.level).toBe('stop')
    expect(remediesFor(sagging, told)[0]).toMatchObject({ label: 'Take Rod 32' })
  })

  it('names the bit to buy where none makes the holes', () => {
    const { verdicts: found } = design(rail([mallet('a')], [44]))
    expect(found.find((v) => v.id === 'rod holes')).toMatchObject({ level: 'stop' })
    expect(design(rail([mallet('a')], [20])).verdicts.find((v) => v.id === 'rod holes')!.level).toBe('pass')
  })

  it('takes no bit that is far too wide for the rods, and offers a nearer one where they would be loose', () => {
    const { shop, ...input } = rail([mallet('a')], [16])
    const holes = (diameter: number) => {
      const { model, verdicts, ...found } = design({ ...input, shop: { ...shop, bits: [plainBit(diameter)] } })
      const told = verdicts.find((v) => v.id === 'rod holes')!
      const [socket] = model!.boards.flatMap((b) => b.openings)
      return { told, socket, offered: remediesFor({ model, verdicts, ...found }, told).map((r) => r.label) }
    }
    expect(holes(32)).toMatchObject({ told: { level: 'stop' }, socket: { width: 16, bores: [] }, offered: ['Buy a 16 mm bit'] }) // prettier-ignore
    expect(holes(17)).toMatchObject({ told: { level: 'watch' }, socket: { width: 17 }, offered: ['Buy a 16 mm bit'] })
    expect(holes(16)).toMatchObject({ told: { level: 'pass' }, offered: [] })
  })

  it('says when the shop has no rod', () => {
    expect(design(rail([mallet('a')], [])).refusals[0]!.says).toContain('no rods')
  })
})
