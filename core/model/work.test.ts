import { describe, expect, it } from 'vitest'
import { design } from '#core/choose/design'
import { saysCutBefore } from '#core/checks/cut-before'
import { jobsOf } from '#core/cutting/from-holders'
import { railOf, shopWith, threeMallets } from '../../tests/core/samples'
import { canBeTrimmed, cutBefore, cutPieces, mergeWork, pieceAs, standing, stillCut, type Work } from './work'

const work = (ticks: Work['ticks'], name = 'Rail'): Work => ({ id: 'h', name, ticks })
const isDone = (of: Work | null, step: string): boolean => standing(of, step, '') === 'done'
const at = (minute: number) => `2026-03-01T09:${String(minute).padStart(2, '0')}:00.000Z`

describe('work that two have ticked off', () => {
  it('keeps what either did', () => {
    const mine = work({ a: { at: at(1), done: true } })
    const theirs = work({ b: { at: at(2), done: true } })
    expect(mergeWork(mine, theirs).ticks).toEqual({ a: mine.ticks.a, b: theirs.ticks.b })
  })
  it('takes the later word about one step, whoever said it', () => {
    const off = work({ a: { at: at(5), done: false } })
    const on = work({ a: { at: at(3), done: true } })
    expect(isDone(mergeWork(off, on), 'a')).toBe(false)
    expect(isDone(mergeWork(on, off), 'a')).toBe(false)
    expect(isDone(mergeWork(work({ a: { at: at(7), done: true } }), off), 'a')).toBe(true)
  })
  it('comes to the same whichever way it is brought together', () => {
    const one = work({
      a: { at: at(1), done: true },
      b: { at: at(4), done: false },
      c: { at: at(1), done: true, as: 'x' },
    })
    const two = work({
      a: { at: at(1), done: false },
      b: { at: at(2), done: true },
      c: { at: at(1), done: true, as: 'y' },
    })
    expect(mergeWork(one, two).ticks).toEqual(mergeWork(two, one).ticks)
  })
  it('is not done where nobody said so', () =>
    expect([isDone(null, 'a'), isDone(work({}), 'a')]).toEqual([false, false]))
})

describe('what was done before the plan changed', () => {
  const { model } = design(railOf(threeMallets(), { layers: '2' }))
  const [rail] = model!.boards
  const cutAs = (as: string | undefined) => cutPieces(work({ 'cut:rail#1': { at: at(1), done: true, ...(as === undefined ? {} : { as }) } })) // prettier-ignore
  const sized = (length: number, width: number, stock = rail!.stock) => pieceAs({ ...rail!, length, width, stock })

  it('is told of a step, and not where nothing was kept of it', () => {
    const ticked = work({ a: { at: at(1), done: true, as: 'x' }, b: { at: at(1), done: true }, c: { at: at(1), done: false, as: 'x' } }) // prettier-ignore
    expect([standing(ticked, 'a', 'x'), standing(ticked, 'a', 'y'), standing(ticked, 'b', 'y'), standing(ticked, 'c', 'x')]).toEqual(['done', 'changed', 'done', 'open']) // prettier-ignore
  })

  it('is a piece of another size or other stock, but not one that the saw can’t tell apart', () => {
    const { length, width } = rail!
    for (const as of [pieceAs(rail!), sized(length + 0.1, width), undefined, 'what is this']) {
      expect([...stillCut(model!, cutAs(as))]).toEqual(['cut:rail#1'])
      expect(cutBefore(model!, cutAs(as))).toEqual([])
    }
    for (const [as, trims] of [
      [sized(length + 5, width), true],
      [sized(length - 5, width), false],
      [sized(length, width + 1), true],
      [sized(length, width, 'oak'), false],
    ] as const) {
      // prettier-ignore
      expect(stillCut(model!, cutAs(as)).size).toBe(0)
      const [before] = cutBefore(model!, cutAs(as))
      expect([before!.part.id, before!.pieces, canBeTrimmed(before!)]).toEqual(['rail', ['cut:rail#1'], trims])
    }
  })

  it('is told with its sizes and its stock, as the shop writes them', () => {
    const { stock } = shopWith()
    const [pine, other] = [stock.find((s) => s.id === rail!.stock)!, stock.find((s) => s.id !== rail!.stock)!]
    const says = (as: string, unit: 'mm' | 'in') =>
      saysCutBefore(cutBefore({ boards: [{ ...rail!, length: 304.8, width: 76.2 }], rods: [] }, cutAs(as))[0]!, stock, { unit, gridMm: 0.5, gridIn: 16 }) // prettier-ignore
    expect(says(sized(330.2, 101.6), 'in')).toBe('Rail was cut 13" × 4" before the plan changed; now it is 12" × 3".')
    expect(says(sized(330, 100, other.id), 'mm')).toBe(
      `Rail was cut 330 mm × 100 mm of ${other.name} before the plan changed; now it is 305 mm × 76 mm of ${pine.name}.`,
    )
    expect(says(sized(330, 100, 'gone'), 'mm')).toContain('330 mm × 100 mm of other stock before')
  })

  it('is told where the holder is designed, and comes back to the cutting', () => {
    const cut = cutAs(sized(200, 50))
    const { verdicts } = design({ ...railOf(threeMallets(), { layers: '2' }), cut })
    expect(verdicts.find((v) => v.id === 'cut:rail')).toMatchObject({ level: 'watch', says: expect.stringMatching(/^Rail was cut 200 mm × 50 mm before the plan changed; now it is .*\. It is to be cut again\.$/) }) // prettier-ignore
    const pieces = (of: ReadonlySet<string>) => jobsOf(shopWith(), [{ id: 'h', model: model!, cut: of }]).flatMap((j) => j.instance.parts).find((p) => p.id === 'h/rail')!.count // prettier-ignore
    expect(pieces(stillCut(model!, cut))).toBe(2)
    expect(pieces(stillCut(model!, cutAs(pieceAs(rail!))))).toBe(1)
  })
})
