import { describe, expect, it } from 'vitest'
import { randomFrom } from '#core/cutting/random'
import { AllWays } from '#core/cutting/two-d/all-ways'
import { piecesIn } from '#core/cutting/two-d/plain/bits'
import { lyingFull, lyingQuickly } from '#core/cutting/two-d/few/lying'
import { FullOfFew } from '#core/cutting/two-d/few/full'
import { sidesAgree, sidesTell } from '#core/cutting/two-d/few/sides'
import { sameTogether, type Shape } from '#core/cutting/two-d/sheets'
import { faultsOf, SHEET, shapeOf, shrunk } from './cut-problems'
import { ALL, fullOf, mayWaste, setsOf } from './few-sheets'

describe('full sheets of few pieces', () => {
  it('are found however a sheet was cut into six, among others, and lie as they are told', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const own = shrunk(seed, [SHEET], 6, seed % 3 === 0 ? 12 : 0, seed % 2 === 0)
      const pieces = [...own, ...shrunk(seed + 100, [SHEET], 9, 5, seed % 2 === 0)]
      const waste = SHEET.area - own.reduce((sum, p) => sum + p.area, 0)
      const found = setsOf(pieces, waste + 1)
      expect(found.get('0,1,2,3,4,5'), `seed ${seed}`).toBeCloseTo(waste, 1)
      for (const [name, wasted] of found) {
        const held = name.split(',').map((p) => pieces[Number(p)]!)
        const lying = lyingFull(held, SHEET, wasted, ALL.over)!
        expect(faultsOf({ ...sameTogether(held), sheets: [SHEET] }, { laid: [{ sheet: 0, lying }], left: [], cost: SHEET.cost })).toEqual([]) // prettier-ignore
      }
    }
  })

  it('are soon found of many pieces whose sides agree, but not where too many ways must be gone through', () => {
    const agree = shrunk(4, [SHEET], 24, 0, true)
    const lying = lyingQuickly(agree, SHEET, 1, ALL.over)!
    expect(faultsOf({ ...sameTogether(agree), sheets: [SHEET] }, { laid: [{ sheet: 0, lying }], left: [], cost: SHEET.cost })).toEqual([]) // prettier-ignore
    const differ = shrunk(4, [SHEET], 24, 10, true)
    const waste = SHEET.area - differ.reduce((sum, p) => sum + p.area, 0)
    expect(lyingQuickly(differ, SHEET, waste, ALL.over)).toBeNull()
  })

  it('are told where they lie of more than 32 pieces too, and as long as there is time', () => {
    const pieces = shrunk(6, [SHEET], 40, 0, false)
    expect(pieces).toHaveLength(40)
    const lying = lyingFull(pieces, SHEET, 1, ALL.over)!
    expect(lying.map(({ piece }) => piece).sort((a, b) => a - b)).toEqual([...pieces.keys()])
    // with far more room for nearly as many there is no end to it
    const loose = shrunk(6, [SHEET], 20, 25, true)
    const waste = SHEET.area - loose.reduce((sum, p) => sum + p.area, 0)
    let asked = 0
    expect(lyingFull(loose, SHEET, waste, () => ++asked > 20)).toBeNull()
    expect(asked).toBeGreaterThan(20)
  })

  it('count as work what is looked at as well as what is laid', () => {
    // the one piece that there is is taken away once, and looked at to fill the rest, in vain
    const left = fullOf([shapeOf(2440, 600, false)], 1_700_000).all({ ...ALL, blocks: 100 }, () => undefined)
    expect(left).toBeGreaterThan(95)
    expect(Number.isInteger(left)).toBe(false)
  })

  it('waste more where joins are fined, but for such as agree', () => {
    /** The least that a sheet of three pieces wastes, with a fine of so much and without. */
    const least = (pieces: readonly Shape[], fine: number): number => {
      const may = { ...mayWaste(400_000, 3), fine }
      let waste = Infinity
      new FullOfFew(pieces, new Float64Array(3), SHEET, 400_000, may, ALL.over).all(ALL, (set, wasted) => {
        if (piecesIn(set, 3, false).length === 0) waste = Math.min(waste, wasted)
      })
      return waste
    }
    const [left, upper] = [shapeOf(1000, 1220, false), shapeOf(1440, 600, false)]
    const whole = [left, upper, shapeOf(1440, 620, false)]
    expect([least(whole, 0), least(whole, 1000)]).toEqual([expect.closeTo(0, 1), expect.closeTo(0, 1)])
    // one that is 30 too short: its join with the other doesn't agree
    const short = [left, upper, shapeOf(1410, 620, false)]
    expect(least(short, 1000) - least(short, 0)).toBeCloseTo(1000, 1)
    // and one too narrow besides: nor does that end at the edge of the sheet, or beside the first
    const narrow = [left, upper, shapeOf(1410, 600, false)]
    expect(least(narrow, 1000) - least(narrow, 0)).toBeCloseTo(2000, 1)
  })

  it('have sides that tell where those agree far more often than by chance', () => {
    const cut = (grid: number, by: number): Shape[] =>
      shrunk(7, [SHEET, SHEET, SHEET], 14, 0, true).map(({ l, w }, i) =>
        shapeOf(Math.round(l / grid) * grid - ((i * 0.7) % by), Math.round(w / grid) * grid - ((i * 1.1) % by), true),
      )
    expect(sidesTell(cut(1, 0.01))).toBe(true)
    // of such as are multiples of ten, and where each shrank
    expect(sidesTell(cut(10, 0.01))).toBe(false)
    expect(sidesTell(cut(1, 12))).toBe(false)
    expect(sidesTell([shapeOf(300, 200, false)])).toBe(false)
  })

  it('have sides that agree where they were cut from one, and not where each shrank', () => {
    for (const turns of [false, true]) {
      expect(sidesAgree(shrunk(4, [SHEET, SHEET], 12, 0, turns))).toBe(true)
      expect(sidesAgree(shrunk(4, [SHEET, SHEET], 12, 15, turns))).toBe(false)
    }
    expect(sidesAgree([shapeOf(300, 200, false)])).toBe(false)
    // only as they may lie
    expect(sidesAgree([shapeOf(300, 200, false), shapeOf(100, 300, false)])).toBe(false)
    expect(sidesAgree([shapeOf(300, 200, false), shapeOf(100, 300, true)])).toBe(true)
  })

  it('are all that there are of five pieces', () => {
    // of so few there is no way to cut them that is not gone through; all ways pass over what wastes much in a small part
    const pieces = shrunk(7, [SHEET, SHEET], 5, 30, true)
    const limit = 0.08 * SHEET.area
    const found = setsOf(pieces, limit)
    const allWays = new AllWays()
    let compared = 0
    for (let set = 1; set < 2 ** pieces.length; set++) {
      const held = pieces.filter((_, p) => (set >> p) & 1)
      const waste = SHEET.area - held.reduce((sum, p) => sum + p.area, 0)
      if (waste < 0 || waste > limit || held.length > 6) continue
      if (allWays.fill({ ...sameTogether(held), sheets: [SHEET] }, SHEET, () => false) === null) continue
      compared++
      expect(found.has(piecesIn(Int32Array.of(set), pieces.length, true).join())).toBe(true)
    }
    expect(compared).toBeGreaterThan(1)
  })

  it('are found where one piece after the other was cut off, if so many blocks are taken away', () => {
    // ten strips, each cut from one side of what was left, by turns, and each shorter by another part of a mm so that no sides agree:
    // only the last of them make blocks, of no more than three
    const pieces: Shape[] = []
    let [l, w] = [SHEET.l, SHEET.w]
    for (let i = 0; i < 9; i++) {
      const along = i % 2 === 0
      const takes = 0.2 * (along ? l : w)
      const less = 0.2 * (i + 1)
      pieces.push(along ? shapeOf(takes, w - less, false) : shapeOf(l - less, takes, false))
      if (along) l -= takes
      else w -= takes
    }
    pieces.push(shapeOf(l, w, false))
    const all = pieces.map((_, p) => p).join()
    expect([3, 6, 7, 9].map((depth) => setsOf(pieces, 5000, depth).has(all))).toEqual([false, false, true, true])
  })

  it('end when so many blocks were laid, and when the time is up', () => {
    const pieces = shrunk(3, [SHEET, SHEET, SHEET], 6, 20, true)
    const full = (): FullOfFew => fullOf(pieces, 0.05 * SHEET.area)
    expect(full().all(ALL, () => {})).toBe(Infinity)
    expect(full().all({ ...ALL, blocks: 10 }, () => {})).toBe(0)
    for (const blocks of [1e6, Infinity]) expect(full().all({ ...ALL, blocks, over: () => true }, () => {})).toBe(0)
    // also where few blocks taken away leave rests that very many fill
    let told = 0
    expect(full().all({ ...ALL, blocks: 1000 }, () => told++)).toBe(0)
    expect(told).toBeLessThan(1000)
  })

  it('count for much where nearly all that are laid make one', () => {
    // any two halves do
    const halves = Array.from({ length: 60 }, () => shapeOf(SHEET.l / 2, SHEET.w, false))
    const told = (blocks: number): number => {
      let times = 0
      fullOf(halves, 1).all({ ...ALL, blocks }, () => times++)
      return times
    }
    expect(told(Infinity)).toBeGreaterThan(1000)
    expect(told(1000)).toBeLessThan(60)
    expect(told(1000)).toBeGreaterThan(20)
  })

  it('are the same where the work is shared by chance, and others each time where there is too little', () => {
    const pieces = shrunk(3, [SHEET, SHEET, SHEET], 6, 20, true)
    const found = (seed: number, blocks: number): { sets: Set<string>; left: number } => {
      const sets = new Set<string>()
      const full = fullOf(pieces, 0.05 * SHEET.area)
      const left = full.all({ ...ALL, blocks, random: randomFrom(seed) }, (set) => sets.add(set.join()))
      return { sets, left }
    }
    const all = new Set<string>()
    fullOf(pieces, 0.05 * SHEET.area).all(ALL, (set) => all.add(set.join()))
    const enough = found(1, 10_000_000)
    expect(enough.left).toBeGreaterThan(0)
    expect(enough.sets).toEqual(all)
    // a third of it is laid: each list has others, and so many of them in all
    const little = (10_000_000 - enough.left) / 3
    const lists = Array.from({ length: 10 }, (_, seed) => found(seed, little))
    for (const { left, sets } of lists) {
      expect(left).toBe(0)
      expect(sets.size).toBeLessThan(all.size)
    }
    const together = new Set(lists.flatMap(({ sets }) => [...sets]))
    expect(together.size).toBeGreaterThan(Math.max(...lists.map(({ sets }) => sets.size)))
  })
})
