import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { worstOf } from '#core/checks/verdict'
import { design, type Design } from '#core/choose/design'
import { settled } from '#core/choose/settled'
import { holderFrom, whichForm } from '#core/choose/which-form'
import { allForms } from '#core/forms/all-forms'
import type { PlanInput } from '#core/forms/form'
import { kindOf } from '#core/footprint/kinds'
import { plainTool, type Tool } from '#core/footprint/tool'
import { usualShop } from '#core/shop/usual'
import { oddShop } from './any-shop'
import { likelyHolder } from './likely-holder'

const shop = usualShop('Shop', 'mm', 'full')
const tool = (kind: string, measures: Record<string, number>, mass = 1): Tool => ({ ...plainTool('t', kind, 'It'), sure: 'caliper', mass, measures }) // prettier-ignore
const ring = tool('ring', { outerDiameter: 120, holeDiameter: 30, thickness: 20 })
const saw = tool('base-plate', Object.fromEntries(kindOf('base-plate')!.fields.map((f) => [f.key, f.typical])))

const holding = (form: string, all: Tool[], choices: PlanInput['holder']['choices'] = {}): PlanInput => ({
  shop,
  tools: new Map(all.map((t) => [t.id, t])),
  holder: { id: 'h', name: 'H', form, seats: all.map((t, i) => ({ id: `s${i}`, tool: t.id, turn: 0 })), choices },
})
const counts = ({ verdicts }: Design, level: string): number => verdicts.filter((v) => v.level === level).length

describe('a holder with its answers settled', () => {
  it('is as it is usual where the checks say nothing of that', () => {
    const input = holding('tray', [tool('case', { length: 120, width: 80, height: 90 })])
    const { design: d, answers } = settled(input)
    expect(worstOf(d.verdicts)).toBe('pass')
    expect([d.input, answers]).toEqual([input, []])
  })

  it('takes a second layer where a board is too thin for its pins, and says so', () => {
    const usual = design(holding('peg-rail', [ring]))
    expect(usual.verdicts.find((v) => v.id === 'pin depth')!.level).toBe('stop')
    const { design: d, answers } = settled(usual.input)
    expect(d.input.holder.choices).toEqual({ layers: '2' })
    expect([worstOf(d.verdicts), answers]).toEqual(['pass', ['layers 2']])
  })

  it('takes wider stock part by part', () => {
    const { design: d, answers } = settled(holding('lean-deck', [saw]))
    const stock = (id: string): string => d.model!.boards.find((b) => b.id === id)!.stock
    const ply = shop.stock.find((s) => s.form === 'sheet')!
    expect([stock('deck'), stock('left')]).toEqual([ply.id, ply.id])
    expect(d.verdicts.filter((v) => v.check === 'stock' && v.level !== 'pass')).toEqual([])
    expect(answers).toContain(`deck from ${ply.name}`)
  })

  it('keeps what was answered already, and names only what was not', () => {
    const { design: d, answers } = settled(holding('peg-rail', [ring], { pitch: 'even' }))
    expect(d.input.holder.choices).toEqual({ pitch: 'even', layers: '2' })
    expect(answers).toEqual(['layers 2'])
  })

  it('is never worse than usual, whatever the form, of the same tools in the same shop', () => {
    const any = fc.constantFrom(...allForms).chain((form) => likelyHolder(form, oddShop))
    fc.assert(
      fc.property(any, (input) => {
        const usual = design(input)
        const { design: d } = settled(input)
        expect(Number(d.model === null)).toBeLessThanOrEqual(Number(usual.model === null))
        const fewer = counts(usual, 'stop') - counts(d, 'stop')
        if (usual.model) expect(fewer).toBeGreaterThanOrEqual(0)
        if (usual.model && fewer === 0) expect(counts(d, 'watch')).toBeLessThanOrEqual(counts(usual, 'watch'))
        expect(d.input.shop).toBe(input.shop)
        expect(d.input.holder.seats.map((s) => [s.id, s.tool])).toEqual(input.holder.seats.map((s) => [s.id, s.tool]))
      }),
      { numRuns: 40, seed: 7 },
    )
  })

  it('is what an offer makes: the same answers and turns, its seats by names of their own', () => {
    const offer = whichForm(shop, [ring]).find((o) => o.form.id === 'peg-rail')!
    expect([offer.level, offer.answers]).toEqual(['pass', ['layers 2']])
    let n = 0
    const made = holderFrom(offer, { id: 'new', name: 'Rings' }, () => `seat-${++n}`)
    expect(made).toEqual({ id: 'new', name: 'Rings', form: 'peg-rail', seats: [{ id: 'seat-1', tool: 't', turn: 0 }], choices: { layers: '2' } }) // prettier-ignore
    const again = design({ shop, tools: new Map([['t', ring]]), holder: made })
    expect(worstOf(again.verdicts)).toBe('pass')
    const none = whichForm(shop, []).find((o) => o.form.id === 'peg-rail')!
    expect(holderFrom(none, { id: 'e', name: 'E' }, () => 's')).toMatchObject({ seats: [], choices: {} })
  })
})
