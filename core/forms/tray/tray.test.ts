import Module from 'manifold-3d'
import { describe, expect, it } from 'vitest'
import { boardMarks } from '../../bench/marks'
import { benchSteps } from '../../bench/steps/steps'
import { design } from '../../choose/design'
import { holderViews } from '../../drawing/views'
import { plainTool, type Tool } from '../../footprint/tool'
import { outlineBounds } from '../../geometry/outline'
import { boardOf } from '../../model/model'
import { boardBox } from '../../model/standing'
import { usualShop } from '../../shop/usual'
import { collisions, partSolids } from '../../solid/collisions'
import { waysOut } from '../../solid/taking'

const kernel = await Module()
kernel.setup()

const thing = (id: string, [length, width, height]: [number, number, number], more: Partial<Tool> = {}): Tool => ({
  ...plainTool(id, 'case', `Thing ${id}`),
  mass: 0.4,
  measures: { length, width, height },
  ...more,
})
const bottle = thing('a', [60, 60, 180], { options: { type: 'bottle' } })
const tin = thing('b', [90, 90, 80])
const charger = (cord: string, id = 'c'): Tool => ({
  ...thing(id, [110, 75, 90], { options: { type: 'charger', cord } }),
  measures: { length: 110, width: 75, height: 90, ventClear: 30 },
})

const tray = (
  tools: Tool[],
  choices: Record<string, string | number> = {},
  change: Partial<ReturnType<typeof usualShop>> = {},
) =>
  // prettier-ignore
  design({
    shop: { ...usualShop(), ...change },
    tools: new Map(tools.map((t) => [t.id, t])),
    holder: { id: 'h', name: 'Finishes', form: 'tray', seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 as const })), choices }, // prettier-ignore
  })

describe('a tray', () => {
  const { model, working, verdicts } = tray([bottle, tin])
  const board = (id: string) => model!.boards.find((b) => b.id === id)!
  const value = (id: string) => working.find((f) => f.id === id)!.value

  it('has a front half as high as the tallest, that hides no more than three quarters of the lowest', () => {
    expect(value('lip')).toBe(60)
    expect(working.find((f) => f.id === 'lip')!.formula).toBe(
      'max({lipHeight}, min({m:a.height} / 2, 0.75 × {m:b.height}))',
    )
    expect(boardBox(board('lip')).z).toEqual([-18, 60])
    expect(board('lip').placement.at.y).toBe(18 + 90 + 12)
    expect(verdicts.filter((v) => v.level === 'stop')).toEqual([])
  })

  it('slopes its ends from the back to the front, or leaves them level', () => {
    expect(board('left').width).toBe(135)
    expect(board('left').outline.segments.map((s) => s.to)).toEqual([{ x: 102, y: 0 }, { x: 102, y: 60 }, { x: 0, y: 135 }, { x: 0, y: 0 }]) // prettier-ignore
    expect(board('back').width).toBe(135 + 18)
    const level = tray([bottle, tin], { ends: 'level' }).model!
    expect(level.boards.find((b) => b.id === 'right')!.width).toBe(60)
    // 90, and a row of screws over the ends
    expect(level.boards.find((b) => b.id === 'back')!.width).toBe(120)
  })

  it('has dividers if wanted, and refuses one that has no room', () => {
    expect(model!.boards.some((b) => b.role === 'divider')).toBe(false)
    const divided = tray([bottle, tin], { dividers: 'with' }).model!
    expect(divided.boards.find((b) => b.id === 'divider-1')!.placement.at.x).toBe(18 + 20 + 60 + 12.5 - 9)
    expect(tray([bottle, tin], { dividers: 'with', gap: 10 }).refusals[0]!.id).toBe('no room')
  })

  it('lets everything out upward, and holds nothing that runs into its wood', () => {
    const d = tray([bottle, tin, charger('front')], { dividers: 'with' })
    const parts = partSolids(kernel, d.model!, d.input.tools)
    expect(collisions(kernel, parts).map((c) => `${c.a.id} ${c.b.id} ${c.volume}`)).toEqual([])
    for (const { solid } of parts) solid.delete()
    for (const { way } of waysOut(kernel, d.model!, d.input.tools)) expect(way).not.toBeNull()
  })
})

describe('a front of a tray', () => {
  const seen = (d: ReturnType<typeof tray>) => d.verdicts.find((v) => v.check === 'seen')!

  it('that hides something is told, with the way back', () => {
    expect(seen(tray([bottle, tin])).level).toBe('pass')
    const told = seen(tray([bottle, tin], { lip: 70 }))
    expect(told).toMatchObject({ level: 'watch', seats: ['s-b'], measured: { value: 10, limit: expect.closeTo(16) } })
    expect(told.candidates[0]!.change).toEqual({ kind: 'choice', key: 'lip', value: null })
    expect(seen(tray([bottle, tin], { lip: 90 })).says).toContain('nothing of it is seen')
  })
})

describe('air and cords in a tray', () => {
  const holes = (d: ReturnType<typeof tray>, id: string) => d.model!.boards.find((b) => b.id === id)!.openings

  it('bores a row of holes before what has vents, low in the front, by the bit there is', () => {
    const d = tray([tin, charger('none')])
    const row = holes(d, 'lip')
    // 110 and 30 on each side, holes of 20 twice as far apart
    expect(row.map((o) => o.width)).toEqual([20, 20, 20, 20])
    const middle = d.working.find((f) => f.id === 'x:s-c')!.value
    expect(row.map((o) => o.centre.x - middle)).toEqual([-60, -20, 20, 60])
    expect(row.every((o) => o.centre.y === 18 + 6 + 10)).toBe(true)
    expect(holes(tray([tin, charger('none')], { air: 'without' }), 'lip')).toEqual([])
    expect(holes(tray([tin, charger('none')], {}, { bits: [] }), 'lip')).toEqual([])
  })

  it.each([
    ['left', 'left'],
    ['right', 'right'],
    ['back', 'left'],
    ['front', 'lip'],
  ] as const)('lets a cord to the %s out by the %s', (cord, board) => {
    const tools = cord === 'right' ? [tin, charger(cord)] : [charger(cord), tin]
    const d = tray(tools)
    const slots = ['left', 'right', 'lip'].flatMap((id) =>
      holes(d, id)
        .filter((o) => o.kind === 'slot')
        .map(() => id),
    )
    expect(slots).toEqual([board])
    const [slot] = holes(d, board).filter((o) => o.kind === 'slot')
    expect(slot!.width).toBe(16)
    expect(outlineBounds(slot!.outline).maxY).toBeCloseTo(d.model!.boards.find((b) => b.id === board)!.width)
  })

  it('lets the cord of what stands in the middle out in front, clear of the holes', () => {
    const row = holes(tray([tin, charger('left'), bottle]), 'lip')
    expect(row.filter((o) => o.kind === 'slot')).toHaveLength(1)
    const [slot] = row.filter((o) => o.kind === 'slot')
    for (const o of row.filter((x) => x !== slot)) expect(Math.abs(o.centre.x - slot!.centre.x)).toBeGreaterThanOrEqual(18 + 12) // prettier-ignore
  })

  it('says where each is made at the bench, by place', () => {
    const d = tray([tin, charger('front')])
    const { steps } = benchSteps({ model: d.model!, shop: d.input.shop, cuts: [] }, 'h')
    const said = steps.flatMap((s) => s.says).join(' ')
    expect(said).toContain('Front: 2 for air.')
    expect(said).toContain('Front: 1 for a cord.')
    expect(said).not.toContain('for rods')
    expect(steps.find((s) => s.kind === 'hang')!.cautions.join(' ')).toContain('vents free')
  })

  it('draws them in the front as seen, sizes beside it in rows of their own, and names them on the stick', () => {
    const d = tray([tin, charger('front')])
    const front = holderViews(d.model!, d.input.tools, d.input.shop).find((v) => v.name === 'front')!
    expect(front.seats.filter((s) => s.seat === null)).toHaveLength(3)
    const left = front.dimensions.filter((x) => x.side === 'left')
    left.forEach((a, i) => {
      for (const b of left.slice(i + 1)) {
        const apart = Math.max(a.from, a.to) <= Math.min(b.from, b.to) + 1e-6 || Math.max(b.from, b.to) <= Math.min(a.from, a.to) + 1e-6 // prettier-ignore
        expect(a.row !== b.row || apart, `${a.id} ${b.id}`).toBe(true)
      }
    })
    const { marks } = boardMarks(d.model!, boardOf(d.model!, 'lip'), d.input.shop)
    expect(marks.map((m) => m.label)).toEqual(['Datum end', 'Centre air 1', 'Saw line cord 1, left', 'Centre cord 1', 'Saw line cord 1, right', 'Centre air 2', 'End']) // prettier-ignore
    for (const m of marks.filter((x) => x.label.startsWith('Centre air'))) expect(m.seat).toBeNull()
  })

  it('refuses slots that run into each other', () => {
    const thin = (id: string): Tool => ({ ...charger('front', id), measures: { length: 12, width: 40, height: 90 } })
    const shop = { settings: { ...usualShop().settings, cordSlot: 40, gap: 0 } }
    expect(tray([tin, thin('d'), thin('e'), bottle], {}, shop).refusals[0]!.id).toBe('overlap')
  })
})
