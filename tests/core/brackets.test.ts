import { describe, expect, it } from 'vitest'
import { remediesFor } from '#core/choose/remedies'
import { design } from '#core/choose/design'
import { boardBox } from '#core/model/standing'
import { mallet, railOf, shopWith } from './samples'

const heavy = () => Array.from({ length: 8 }, (_, i) => mallet(`t${i}`, 28, 90, { mass: 2.4 }))
const rail = (choices: Record<string, string | number>) =>
  design(railOf(heavy(), { margin: 30, ...choices }, shopWith()))

describe('a rail on brackets', () => {
  it('has one at either end and the others each under a web, clear of every slot', () => {
    const { model } = rail({ support: '3' })
    const brackets = model!.boards.filter((b) => b.role === 'bracket').map((b) => boardBox(b))
    const board = model!.boards.find((b) => b.id === 'rail')!
    expect(brackets).toHaveLength(3)
    expect(brackets[0]!.x[0]).toBe(0)
    expect(brackets[2]!.x[1]).toBeCloseTo(board.length)
    for (const { x } of brackets)
      for (const o of board.openings) {
        const [left, right] = [o.centre.x - o.width / 2, o.centre.x + o.width / 2]
        expect(x[1] <= left + 1e-6 || x[0] >= right - 1e-6).toBe(true)
      }
    // they carry it from below, and the back does not touch it
    for (const { z } of brackets) expect(z[1]).toBeCloseTo(-board.thickness)
    expect(boardBox(model!.boards.find((b) => b.id === 'back')!).z[1]).toBeCloseTo(-board.thickness - 12)
  })

  it('sags between them by beam theory, and each way out that is offered works', () => {
    const d = rail({ support: '2' })
    const told = d.verdicts.find((v) => v.id === 'rail sag')!
    const value = (id: string) => d.working.find((f) => f.id === id)!.value
    const load = 8 * 2.4 * 9.80665
    const inertia = (value('spine') * 18 ** 3) / 12
    const sag = (5 * load * value('railSpan') ** 3) / (384 * value('railStiffness') * 1000 * inertia)
    expect(value('railSag')).toBeCloseTo(sag)
    expect(told.measured!.value).toBeCloseTo(2 * sag)
    expect(told.measured!.limit).toBeCloseTo(value('railSpan') / 360)
    expect(told.level).toBe('stop')
    const remedies = remediesFor(d, told)
    expect(remedies.length).toBeGreaterThan(0)
    for (const r of remedies) {
      const { key, value: answer } = r.change as { key: string; value: string }
      const after = rail({ support: '2', [key]: answer })
      expect(after.verdicts.find((v) => v.id === 'rail sag')?.level ?? 'pass').toBe('pass')
    }
  })

  it('of two glued layers is eight times as stiff', () => {
    const [one, two] = [rail({ support: '2' }), rail({ support: '2', layers: '2' })]
    const sag = (d: typeof one) => d.working.find((f) => f.id === 'railSag')!.value
    expect(sag(one) / sag(two)).toBeCloseTo(8)
    expect(two.model!.boards[0]).toMatchObject({ thickness: 36, layers: 2 })
  })

  it('says so where no web is wide enough for one', () =>
    expect(rail({ support: '2', margin: 10, ends: 'overhang' }).refusals.at(-1)!.id).toBe('no web'))
})
