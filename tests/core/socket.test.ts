import fc from 'fast-check'
import { allForms } from '#core/forms/all-forms'
import { describe, expect, it } from 'vitest'
import { boardMarks, isMain } from '#core/bench/marks'
import { partsOf } from '#core/bench/parts'
import { withChange } from '#core/checks/change'
import { worstOf } from '#core/checks/verdict'
import { design, type Design } from '#core/choose/design'
import { remediesFor } from '#core/choose/remedies'
import { whichForm } from '#core/choose/which-form'
import { holderViews } from '#core/drawing/views'
import { HolderDto } from '#core/exchange/project/holder.dto'
import { checkAgainst } from '#core/exchange/project/problems'
import { boardSvg } from '#core/exchange/svg'
import { kindOf } from '#core/footprint/kinds'
import { usualShop } from '#core/shop/usual'
import { plainTool, SURENESS, type Tool } from '#core/footprint/tool'
import type { PlanInput } from '#core/forms/form'
import { openingRows } from '#core/model/model'
import { gridStep } from '#core/units/format-length'
import { newBit } from '#core/shop/shop'
import { mallet, shopWith } from './samples'
import { wrongIn } from './worked-out'

const bits = [6, 8, 10, 12, 16, 20, 22, 25, 28, 30].map((d) => newBit('forstner', d))
const driver = (id: string, more: Record<string, number> = {}, options: Record<string, string> = {}): Tool => ({
  ...plainTool(id, 'handled-blade', `Driver ${id}`),
  sure: 'caliper',
  mass: 0.1,
  options: { blade: 'round', delicate: 'none', ...options },
  measures: { handleDiameter: 30, bladeWidth: 6, bladeLength: 100, overallLength: 210, ...more },
})
const cutter = (id: string, cutting = 20): Tool => ({
  ...plainTool(id, 'bit', `Bit ${id}`),
  sure: 'caliper',
  measures: { shankDiameter: 9.5, shankLength: 62, cuttingDiameter: cutting, overallLength: 90 },
})

/** A block of these tools in this order. */
const blockOf = (
  tools: Tool[],
  choices: Record<string, string | number> = {},
  shop = shopWith({ bits }),
): PlanInput => ({
  shop,
  tools: new Map(tools.map((t) => [t.id, t])),
  holder: {
    id: 'h1',
    name: 'Block',
    form: 'socket-block',
    seats: tools.map((t, i) => ({ id: `s${i + 1}`, tool: t.id, turn: 0 as const })),
    choices,
  },
})
const openings = (d: Design) => d.model!.boards[0]!.openings
const verdict = (d: Design, id: string) => d.verdicts.find((v) => v.id === id)

it('leaves out what by its figures has nothing that goes in, and says which to measure again', () => {
  const key = (id: string, longLeg: number) => ({ ...plainTool(id, 'hex-key', `Key ${id}`), sure: 'caliper' as const, measures: { acrossFlats: 8, shortLeg: 30, longLeg } }) // prettier-ignore
  const tools = [key('a', 4), key('b', 100)]
  const { model, verdicts } = design({ shop: usualShop(), tools: new Map(tools.map((t) => [t.id, t])), holder: { id: 'h', name: 'H', form: 'socket-block', seats: tools.map((t) => ({ id: t.id, tool: t.id, turn: 0 as const })), choices: {} } }) // prettier-ignore
  expect(model!.seats.map((s) => s.tool)).toEqual(['b'])
  const told = verdicts.find((v) => v.says.includes('nothing of it goes into a bore'))!
  expect(told.says).toMatch(
    /^Key a is left out: by its figures nothing of it goes into a bore. Measure again: .*long leg/,
  )
})

describe('a socket block', () => {
  it('bores each tool its own, a pitch of handles and gap apart', () => {
    const d = design(blockOf([driver('a'), driver('b', { handleDiameter: 36, bladeWidth: 9 })]))
    expect(openings(d).map((o) => [o.centre.x, o.width, o.depth])).toEqual([
      [35, 10, null], // 20 + 15; 6 + 3 asks for 10
      [90, 12, null], // 35 + 15 + 22 + 18; 9 + 3 is 12
    ])
    const [block, back] = d.model!.boards
    expect([block!.length, block!.width, back!.width]).toEqual([128, 24, 90]) // 18 + 6 - 18 behind, 12 / 2 + 6 to each edge
    expect(worstOf(d.verdicts)).toBe('pass')
  })

  it('goes by the diagonal of a flat blade, and by how it was measured', () => {
    const flat = { bladeWidth: 18, bladeThickness: 4 }
    const bore = (tool: Tool) => openings(design(blockOf([tool])))[0]!.width
    expect(bore(driver('a', flat, { blade: 'flat' }))).toBe(22) // 18.44 + 3
    expect(bore({ ...driver('a', flat, { blade: 'flat' }), sure: 'rule' })).toBe(25) // and 0.5 for each figure
  })

  it('stands bits on a floor, the whole shank deep where the block allows it', () => {
    const one = design(blockOf([cutter('a')]))
    expect(openings(one)[0]!.depth).toBe(12) // 18 − 6
    expect(verdict(one, 'depth:s1')).toMatchObject({ level: 'watch' })
    const remedies = remediesFor(one, verdict(one, 'depth:s1')!)
    expect(remedies.map((r) => r.label)).toEqual(['Glue up 2 layers', 'Glue up 3 layers'])
    const three = design(blockOf([cutter('a')], { layers: '3' }))
    expect(openings(three)[0]!.depth).toBe(48)
    expect(verdict(three, 'depth:s1')).toMatchObject({ level: 'pass' })
    expect(partsOf(three.model!, three.input.shop)[0]).toMatchObject({ count: 3, thickness: 18 })
    const thick = design(blockOf([cutter('a')], { layers: '3' }, shopWith({ bits, stock: [{ ...shopWith().stock[0]!, thickness: 30 }] }))) // prettier-ignore
    expect(openings(thick)[0]!.depth).toBe(62)
    expect(thick.model!.seats[0]!.at.z).toBe(0)
    expect(three.model!.seats[0]!.at.z).toBe(14)
  })

  it('bores blind by the bore and by the tool’s length, whichever is more', () => {
    const depth = (more: Record<string, number>) => openings(design(blockOf([driver('a', more)], { hole: 'blind', layers: '3' })))[0]!.depth // prettier-ignore
    expect(depth({ overallLength: 150 })).toBe(45) // 0.3 × 150
    expect(depth({ bladeWidth: 13, overallLength: 100, bladeLength: 60 })).toBe(32) // 2 × 16
  })

  it('lets dust out of blind bores by the smallest bit there is', () => {
    const [blind, through] = openings(design(blockOf([cutter('a'), driver('b')], { dust: 'yes' })))
    expect([blind!.dust, through!.dust]).toEqual([6, null])
    expect(openings(design(blockOf([cutter('a')])))[0]!.dust).toBeNull()
  })

  it('never stands an edge on the floor', () => {
    const d = design(blockOf([driver('a', {}, { delicate: 'edge' })], { hole: 'blind' }))
    const edge = verdict(d, 'edge on floor:s1')!
    expect(edge.level).toBe('stop')
    expect(remediesFor(d, edge).map((r) => r.label)).toContain('Bore it through')
  })

  it('names the tools that would drop through one bore for all', () => {
    const tools = [driver('thin', { handleDiameter: 15 }), driver('thick', { bladeWidth: 14 })]
    const d = design(blockOf(tools, { bores: 'one' }))
    expect(openings(d).map((o) => o.width)).toEqual([20, 20])
    expect(verdict(d, 'shoulder:s1')).toMatchObject({ level: 'stop' })
    expect(verdict(d, 'shoulder:s1')!.says).toContain('would drop through its bore of 20 mm')
    expect(remediesFor(d, verdict(d, 'shoulder:s1')!).map((r) => r.label)).toContain('Each its own bore')
    expect(verdict(d, 'bit:s1')).toMatchObject({ level: 'pass' })
  })

  it('says which bit would do where none is owned', () => {
    const d = design(blockOf([driver('a', { bladeWidth: 40, handleDiameter: 60 })]))
    expect(verdict(d, 'bit:s1')).toMatchObject({ level: 'stop' })
    expect(remediesFor(d, verdict(d, 'bit:s1')!).map((r) => r.label)).toContain('Buy a 43 mm bit')
  })

  it('says which bit would leave wood to rest on where the next one owned takes it away', () => {
    // 22 + 3 asks for 25: of the next one owned, 30, the handle has no wood left to rest on
    const d = design(blockOf([driver('a', { bladeWidth: 22 })], {}, shopWith({ bits: [newBit('forstner', 30)] })))
    const shoulder = verdict(d, 'shoulder:s1')!
    expect(shoulder.says).toBe('Driver a would drop through its bore of 30 mm.')
    const buy = remediesFor(d, shoulder).find((r) => r.label === 'Buy a 25 mm bit')!
    const bought = design(withChange(d.input, buy.change))
    expect(verdict(bought, 'shoulder:s1')).toMatchObject({ level: 'pass', measured: { value: 2.5 } })
    // with no bit in between that leaves enough none is offered
    const thick = blockOf([driver('a', { bladeWidth: 26.5 })], {}, shopWith({ bits: [newBit('forstner', 30)] }))
    const none = remediesFor(design(thick), verdict(design(thick), 'shoulder:s1')!)
    expect(none.filter((r) => r.label.startsWith('Buy'))).toEqual([])
  })

  it('sets rows square, or staggered so that the nearest are just as far apart', () => {
    const six = Array.from({ length: 6 }, (_, i) => driver(`t${i}`, { handleDiameter: 38 }))
    const square = openings(design(blockOf(six, { rows: '2', arrange: 'square' })))
    expect(square.map((o) => o.centre.x)).toEqual([39, 99, 159, 39, 99, 159])
    expect(square[3]!.centre.y - square[0]!.centre.y).toBe(60)
    const staggered = openings(design(blockOf(six, { rows: '2', arrange: 'staggered' })))
    expect(staggered.map((o) => o.centre.x)).toEqual([39, 99, 159, 69, 129, 189])
    expect(staggered[3]!.centre.y - staggered[0]!.centre.y).toBeCloseTo(60 * Math.sqrt(0.75), 9)
    const row = boardMarks(design(blockOf(six, { rows: '2', arrange: 'square' })).model!, design(blockOf(six, { rows: '2', arrange: 'square' })).model!.boards[0]!, shopWith()) // prettier-ignore
    expect(row.chain.map((l) => l.printed)).toEqual([39, 60, 60, 39])
    expect(row.marks.filter((m) => m.kind === 'saw')).toEqual([])
  })

  it('leaves out what can’t stand in a bore, or is not measured, by name', () => {
    const d = design(blockOf([driver('a'), mallet('m', 28, 70), { ...driver('b'), measures: { bladeWidth: 6 } }]))
    expect(openings(d)).toHaveLength(1)
    expect(d.refusals.map((r) => r.says)).toEqual([
      'Mallet m has no shank to stand on: a socket block can’t hold it.',
      'Driver b is left out until it is measured: handle diameter, blade length, overall length.',
    ])
  })
})

describe('which form', () => {
  it('plans each for real, the one that holds most of them first, and says what the others lack', () => {
    const shop = shopWith({ bits })
    const offers = whichForm(shop, [driver('a'), driver('b'), { ...mallet('m', 21, 70), measures: {} }])
    // a rail holds both by their shanks, and could hold the mallet too
    const [rail, block] = offers
    expect([rail!.form.id, rail!.holds.length, rail!.cannot]).toEqual(['finger-rail', 2, []])
    expect(rail!.unmeasured.find((u) => u.tool.id === 'm')!.fields).toContain('handle width')
    expect([block!.form.id, block!.holds.length, block!.cannot.map((t) => t.name)]).toEqual([
      'socket-block',
      2,
      ['Mallet m'],
    ])
    expect(block!.design!.model!.boards[0]!.openings).toHaveLength(2)
    const forOne = whichForm(shop, [mallet('m', 21, 70)])
    expect(forOne.find((o) => o.form.id === 'finger-rail')!.design).not.toBeNull()
    expect(forOne.at(-1)!.design).toBeNull()
    expect(whichForm(shop, [])).toHaveLength(allForms.length)
  })
})

const size = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const standing = fc
  .record({
    kind: fc.constantFrom('handled-blade', 'bit', 'hex-key'),
    handleDiameter: size(8, 60),
    bladeWidth: size(2, 40),
    bladeThickness: fc.option(size(1, 10), { nil: undefined }),
    bladeLength: size(20, 250),
    handle: size(40, 150),
    shankDiameter: size(2, 20),
    shankLength: size(10, 100),
    cuttingDiameter: size(2, 60),
    acrossFlats: size(1, 20),
    shortLeg: size(25, 60),
    longLeg: size(65, 250),
    sure: fc.constantFrom(...SURENESS),
    turn: fc.constantFrom(0, 1, 2, 3) as fc.Arbitrary<0 | 1 | 2 | 3>,
  })
  .map(({ kind, sure, turn, handle, ...all }) => {
    const keys = new Set(kindOf(kind)!.fields.map((f) => f.key))
    const overallLength = kind === 'bit' ? all.shankLength + handle : all.bladeLength + handle
    const measures = Object.fromEntries(
      Object.entries({ ...all, overallLength }).filter(([k, v]) => keys.has(k) && v !== undefined),
    ) as Record<string, number>
    return { turn, tool: (id: string): Tool => ({ ...plainTool(id, kind, `Tool ${id}`), sure, measures }) }
  })
const inputs: fc.Arbitrary<PlanInput> = fc
  .record({
    tools: fc.array(standing, { minLength: 1, maxLength: 12 }),
    unit: fc.constantFrom('mm', 'in') as fc.Arbitrary<'mm' | 'in'>,
    thickness: size(10, 60),
    gap: size(0, 60),
    choices: fc.record({
      fit: fc.constantFrom('snug', 'sliding', 'easy'),
      hole: fc.constantFrom('through', 'blind'),
      bores: fc.constantFrom('own', 'one'),
      rows: fc.constantFrom('1', '2', '3', '4'),
      arrange: fc.constantFrom('rows', 'square', 'staggered'),
      layers: fc.constantFrom('1', '2', '3'),
      dust: fc.constantFrom('no', 'yes'),
      back: fc.constantFrom('below', 'behind'),
    }),
  })
  .map(({ tools, unit, thickness, gap, choices }) => {
    const shop = shopWith({ bits, unit, stock: [{ ...shopWith().stock[0]!, thickness }] }, { gap })
    const input = blockOf(tools.map((t, i) => t.tool(`t${i}`)), choices, shop) // prettier-ignore
    input.holder.seats.forEach((s, i) => (s.turn = tools[i]!.turn))
    return input
  })

describe('any socket block', () => {
  const each = (check: (d: Design) => void) => fc.assert(fc.property(inputs, (input) => check(design(input))), { numRuns: 120 }) // prettier-ignore

  it('has only figures that are numbers, each coming to what its working says', () => {
    each((d) => {
      expect(wrongIn(d.working)).toEqual([])
    })
  })
  it('keeps every bore in its board and clear of the others, above a floor', () => {
    each((d) => {
      if (!d.model) {
        expect(d.verdicts.some((v) => v.level === 'stop')).toBe(true)
        return
      }
      const [block] = d.model.boards
      for (const o of block!.openings) {
        const { x, y } = o.centre
        expect(Math.min(x, y, block!.length - x, block!.width - y)).toBeGreaterThan(o.width / 2)
        if (o.depth !== null) expect(o.depth).toBeLessThanOrEqual(block!.thickness - 6 + 1e-9)
        for (const other of block!.openings)
          if (other !== o)
            expect(Math.hypot(x - other.centre.x, y - other.centre.y)).toBeGreaterThan((o.width + other.width) / 2)
      }
      expect(d.model.seats.map((s) => block!.openings.filter((o) => o.id === s.opening).length)).toEqual(d.model.seats.map(() => 1)) // prettier-ignore
    })
  })
  it('spaces handles by the gap, in their rows and between them', () => {
    each((d) => {
      if (!d.model) return
      const gap = d.input.shop.settings.gap
      const seat = (id: string) => d.model!.seats.find((s) => s.id === id)!
      for (const row of openingRows(d.model.boards[0]!))
        row.slice(1).forEach((o, i) => {
          const [a, b] = [seat(row[i]!.seat!), seat(o.seat!)]
          expect(o.centre.x - row[i]!.centre.x).toBeGreaterThan(a.extent.right + gap + b.extent.left - 1e-6)
        })
    })
  })
  it('prints marks that add up, none more than half a grid step out', () => {
    each((d) => {
      if (!d.model) return
      const board = d.model.boards[0]!
      const { marks, chain } = boardMarks(d.model, board, d.input.shop)
      for (const m of marks) expect(Math.abs(m.printed - m.x)).toBeLessThanOrEqual(gridStep(d.input.shop) / 2 + 1e-9)
      const sum = chain.reduce((s, l) => s + l.printed, 0)
      expect(sum).toBeCloseTo(marks.filter(isMain).at(-1)!.printed, 6)
    })
  })
  it('can be drawn and written out, and is the same again', () => {
    each((d) => {
      expect(JSON.stringify(design(d.input))).toBe(JSON.stringify(d))
      if (!d.model) return
      const views = holderViews(d.model, d.input.tools, d.input.shop)
      for (const dim of views.flatMap((v) => v.dimensions)) expect(Number.isFinite(dim.value)).toBe(true)
      expect(boardSvg(d.model, d.model.boards[0]!, d.input.shop)).not.toContain('NaN')
    })
  })
  it('offers only remedies that help and bring no new stop', () => {
    each((d) => {
      const stops = new Set(d.verdicts.filter((v) => v.level === 'stop').map((v) => v.id))
      for (const v of d.verdicts.filter((x) => x.level !== 'pass').slice(0, 3)) {
        for (const r of remediesFor(d, v)) {
          const after = design(withChange(d.input, r.change))
          if (d.model) expect(after.verdicts.filter((x) => x.level === 'stop' && !stops.has(x.id)), r.label).toEqual([]) // prettier-ignore
          expect(checkAgainst(HolderDto, { ...after.input.holder }), r.label).toMatchObject({ ok: true })
        }
      }
    })
  })
})
