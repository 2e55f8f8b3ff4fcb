import { describe, expect, it } from 'vitest'
import { design } from '../../choose/design'
import { plainTool, type Tool } from '../../footprint/tool'
import { outlineBounds } from '../../geometry/outline'
import type { SeatOrder } from '../../model/holder'
import { boardBox, placeOn } from '../../model/standing'
import { usualShop } from '../../shop/usual'
import type { PlanInput } from '../form'

const saw = (id: string, measures: Record<string, number> = {}, more: Partial<Tool> = {}): Tool => ({
  ...plainTool(id, 'base-plate', `Saw ${id}`),
  sure: 'caliper',
  measures: {
    ...{ baseLength: 260, baseWidth: 130, height: 200, cutterBelow: 30, cordLength: 3000 },
    ...{ cutterFromRear: 50, cutterFromSide: 90, guardLength: 130, guardThickness: 14 },
    ...measures,
  },
  ...more,
})

const deck = (
  tools: Tool[],
  choices: Record<string, string | number> = {},
  turn: SeatOrder['turn'] = 0,
): PlanInput => ({
  shop: usualShop(),
  tools: new Map(tools.map((t) => [t.id, t])),
  holder: { id: 'h', name: 'Saws', form: 'lean-deck', seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn })), choices }, // prettier-ignore
})

const [s, c] = [Math.sin(Math.PI / 6), Math.cos(Math.PI / 6)]
const valueIn = (input: PlanInput, id: string): number => design(input).working.find((f) => f.id === id)!.value
const verdict = (input: PlanInput, id: string) => design(input).verdicts.find((v) => v.id === id)

describe('a lean deck', () => {
  const input = deck([saw('a'), saw('b')])
  const { model } = design(input)
  const board = (id: string) => model!.boards.find((b) => b.id === id)!

  it('is as long as its tools, gaps and margins between two cheeks, and as deep as the longest base, clear of the back', () => {
    expect(board('deck').length).toBe(20 + 130 + 25 + 130 + 20)
    expect(board('back').length).toBe(board('deck').length + 36)
    expect(board('deck').placement.tilt).toBe(-30)
    // 6 clear, and what the drawn battery stands out behind
    expect(board('deck').width).toBeCloseTo(260 + 0.06 * 260 + 6)
  })

  it('has cheeks whose upper edge runs at its slope, and that cover the ends of deck and stop', () => {
    const cheek = board('left')
    const corners = cheek.outline.segments.map((segment) => segment.to)
    const [nose, top] = [corners.find((p) => p.x > 1 && p.y > 1)!, corners.find((p) => p.x < 1 && p.y > 1)!]
    expect((top.y - nose.y) / nose.x).toBeCloseTo(Math.tan(Math.PI / 6), 9)
    const [{ y, z }, lower] = [boardBox(cheek), boardBox(board('back'))]
    expect(lower.z[0]).toBeCloseTo(z[0], 9)
    for (const id of ['deck', 'stop']) {
      const box = boardBox(board(id))
      expect(box.y[0]).toBeGreaterThanOrEqual(y[0] - 1e-9)
      expect(box.y[1]).toBeLessThanOrEqual(y[1] + s * 20 + 1e-9)
      expect(box.z[0]).toBeGreaterThanOrEqual(z[0] - 1e-9)
    }
    // the slope stands over the deck by the height of the stop
    const over = (out: number): number => z[0] + nose.y + (nose.x - (out - y[0])) * Math.tan(Math.PI / 6)
    const edge = placeOn(board('deck'), { x: 0, y: board('deck').width }, 0)
    expect((over(edge.y) - edge.z) * c).toBeCloseTo(20, 6)
  })

  it('stands each tool with its front on the stop', () => {
    const [first] = model!.seats
    const low = placeOn(board('deck'), { x: 0, y: board('deck').width }, 0)
    // its own origin is the rear edge of its base: as far up the deck as that is long
    expect(Math.hypot(first!.at.y - low.y, first!.at.z - low.z)).toBeCloseTo(260, 6)
    expect(first!.tilt).toBe(-30)
    expect(first!.at.x - first!.extent.left).toBeCloseTo(18 + 20)
    expect(first!.at.y + first!.extent.front).toBeCloseTo(low.y + s * 200, 6)
  })

  it('sticks out by deck, tool, stop and back as they lean', () => {
    const { measured } = verdict(input, 'sticks out')!
    const [off, depth] = [valueIn(input, 'tiltOff'), valueIn(input, 'depth')]
    expect(measured!.value).toBeCloseTo(18 + off + c * depth + s * 200, 6)
    const labels = verdict(deck([saw('a', { baseLength: 340 })]), 'sticks out')!.candidates.map((r) => r.label)
    expect(labels).toContain('Lean it at 40°')
  })

  it('cuts a slot for blade and guard from the upper edge, 6 before it and behind, the fit and its doubt at the sides', () => {
    const [slot] = board('deck').openings
    const { minX, maxX, minY, maxY } = outlineBounds(slot!.outline)
    expect(maxX - minX).toBeCloseTo(14 + 3)
    // its middle 97 from the left of the base, which stands 20 from the deck's end
    expect((minX + maxX) / 2).toBeCloseTo(20 + 97)
    expect(minY).toBe(0)
    // it begins 80 from the stop
    expect(board('deck').width - maxY).toBeCloseTo(260 - 50 - 130 - 6)
  })

  it('has no slot where nothing stands out below, and asks for the guard only where something does', () => {
    const flat = saw('c', { cutterBelow: 0 })
    expect(design(deck([flat])).model!.boards[0]!.openings).toEqual([])
    const bare = { ...saw('d'), measures: { baseLength: 100, baseWidth: 100, height: 150, cutterBelow: 0 } }
    expect(design(deck([bare])).refusals).toEqual([])
    const { refusals } = design(deck([{ ...bare, measures: { ...bare.measures, cutterBelow: 12 } }]))
    expect(refusals[0]!.fields).toEqual(['cutterFromRear', 'cutterFromSide', 'guardLength', 'guardThickness'])
  })

  it('turns slot and origin with the tool', () => {
    for (const [turn, near, middle, wide] of [
      [0, 80, 97, 17],
      // the drawn battery stands out 15.6 behind, on the left now
      [1, 90, 115 + 15.6, 142],
      [2, 50, 33, 17],
      [3, 26, 145, 142],
    ] as const) {
      const turned = design(deck([saw('a')], {}, turn))
      const wood = turned.model!.boards[0]!
      const { minX, maxX, maxY } = outlineBounds(wood.openings[0]!.outline)
      expect(maxX - minX).toBeCloseTo(wide)
      expect((minX + maxX) / 2).toBeCloseTo(20 + middle)
      expect(wood.width - maxY).toBeCloseTo(near - (turn % 2 === 1 ? 3 : 6))
    }
  })

  it('refuses a guard that reaches to the stop, slots that meet, and a deck that is too short', () => {
    const front = saw('a', { cutterFromRear: 140, guardLength: 120 })
    expect(design(deck([front])).refusals[0]!.id).toBe('stop:s-a')
    expect(design(deck([front], {}, 2)).model).not.toBeNull()
    const wide = [saw('a', { cutterFromSide: 110, guardThickness: 30 }), saw('b', { cutterFromSide: 0, guardThickness: 30 })] // prettier-ignore
    expect(design(deck(wide, { gap: 0, margin: 0 })).refusals[0]!.id).toBe('overlap')
    expect(design(deck([saw('a')], { depth: 200 })).refusals[0]!.id).toBe('too shallow')
  })

  it('keeps what stands out below clear of the back', () => {
    // its rear to the stop, its guard far up the deck
    const far = deck([saw('a', { cutterFromRear: 140, guardLength: 120, cutterBelow: 80 })], {}, 2)
    const off = valueIn(far, 'tiltOff')
    const depth = valueIn(far, 'depth')
    expect(off).toBeCloseTo(s * 80 - c * (depth - 260) + 6, 6)
    expect(off).toBeGreaterThan(s * 18)
  })
})

describe('what stands on a lean deck', () => {
  // a stop of 18, 70 over the deck, the deck at 50: the worked examples
  const at = (up: number, bears: string) =>
    deck([saw('a', { balance: 260 - up, balanceUp: 70 })], { angle: '50', bears, lip: 18 })
  const spare = (up: number, bears: string): number => valueIn(at(up, bears), 'tipSpare:s-a:bare')

  it('tips where its balance point stands over the edge that bears on the stop', () => {
    expect(spare(110, 'front')).toBeCloseTo(14.7, 1)
    expect(spare(85, 'front')).toBeCloseTo(8.5, 1)
    expect(spare(110, 'plate')).toBeCloseTo(8.7, 1)
    expect(spare(85, 'plate')).toBeCloseTo(1.8, 1)
    expect(['front', 'plate'].map((bears) => verdict(at(110, bears), 'tipping:s-a')!.level)).toEqual(['pass', 'stop'])
    expect(verdict(at(85, 'front'), 'tipping:s-a')!.level).toBe('stop')
  })

  it('is offered a flatter deck, or a lip that catches the plate', () => {
    const labels = verdict(at(110, 'plate'), 'tipping:s-a')!.candidates.map((r) => r.label)
    expect(labels).toContain('Lean it at 40°')
    expect(labels).toContain('Catch the plate under a lip')
    const caught = design(at(85, 'lip'))
    expect(caught.verdicts.some((v) => v.check === 'tipping')).toBe(false)
    const [stop, lip] = ['stop', 'lip'].map((id) => caught.model!.boards.find((b) => b.id === id)!)
    // as high as a plate and the fit; the lip over it by a bearing
    expect(stop!.width).toBe(18 + 3 + 3)
    expect(lip!.width).toBe(18 + 6)
  })

  it('is told battery in and out, the worse of them', () => {
    const both = saw('a', { balance: 130, balanceUp: 70, balanceBattery: 180, balanceUpBattery: 110 }, { massWithBattery: 4 }) // prettier-ignore
    const told = verdict(deck([both]), 'tipping:s-a')!
    expect(told.figure).toBe('tipSpare:s-a:battery')
    expect(told.measured!.value).toBeCloseTo((Math.atan2(80, 107) * 180) / Math.PI - 30, 6)
    expect(told.level).toBe('stop')
    // the other way round it stands well
    expect(verdict(deck([both], {}, 2), 'tipping:s-a')!.level).toBe('pass')
  })

  it('is doubted while its balance is not measured', () => {
    const told = verdict(deck([saw('a', { cutterBelow: 0 })]), 'tipping:s-a')!
    expect(told.level).toBe('watch')
    expect(told.measure!.fields).toEqual(['balance', 'balanceUp'])
    // along the wall it would tip over its side, where nobody measures it
    const measured = saw('a', { balance: 130, balanceUp: 40 })
    expect(verdict(deck([measured]), 'tipping:s-a')!.level).toBe('pass')
    const aside = verdict(deck([measured], { angle: '15' }, 1), 'tipping:s-a')!
    expect([aside.level, aside.measure]).toEqual(['watch', undefined])
    expect(aside.says).toContain('across its base')
  })

  it('is taken to have a battery where it has no cord, and what is not measured of that is asked for', () => {
    const { cordLength: _, ...measures } = saw('a', { balance: 130, balanceUp: 40 }).measures
    const told = verdict(deck([{ ...saw('a'), measures }]), 'tipping:s-a')!
    expect([told.level, told.measure!.fields]).toEqual(['watch', ['balanceBattery', 'balanceUpBattery']])
  })

  it('is doubted by what its figures may be out by', () => {
    const byEye = deck([saw('a', { balance: 150, balanceUp: 70 }, { sure: 'eye' })], { bears: 'front', lip: 18 })
    // 3 for the base and 3 for its balance, 3 for how high that is
    expect(valueIn(byEye, 'tips:s-a:bare')).toBeCloseTo((Math.atan2(110 - 6, 70 + 3 - 18) * 180) / Math.PI, 6)
  })

  it('leaves room for fingers between neighbours, however long they are', () => {
    const two = [saw('a'), saw('b', { baseLength: 200 })]
    expect(verdict(deck(two), 'fingers')!.level).toBe('pass')
    expect(verdict(deck(two, { gap: 10 }), 'fingers')!.level).toBe('watch')
  })

  it('never tips where it balances no higher than what bears', () => {
    const flat = deck([saw('a', { balance: 130, balanceUp: 15 })], { bears: 'front' })
    expect(valueIn(flat, 'tips:s-a:bare')).toBe(90)
  })
})
