import { describe, expect, it } from 'vitest'
import { randomFrom } from '#core/cutting/random'
import { piecesIn, wordsFor } from '#core/cutting/two-d/plain/bits'
import { Found } from '#core/cutting/two-d/plain/found'
import { leastFirst } from '#core/cutting/two-d/plain/least-first'
import { holdingOf, price, priceAgain, reducedOf } from '#core/cutting/two-d/plain/prices'
import { BestSets } from '#core/cutting/two-d/few/best-sets'
import { SetsOfSheets, type Course } from '#core/cutting/two-d/few/sets'
import { meansOf, shapeOf } from './cut-problems'

const COURSE: Course = { work: 4_000_000, tried: 1000, from: 1000 }
const pieces = Array.from({ length: 40 }, () => shapeOf(100, 100, false))

/** Sheets of some of 40 pieces that waste as much as is told. */
function of(...sheets: readonly (readonly [held: readonly number[], waste: number])[]): Found {
  const found = new Found(wordsFor(pieces.length))
  for (const [held, waste] of sheets) {
    const set = new Int32Array(2)
    for (const p of held) set[p >> 5]! |= 1 << (p & 31)
    found.add(set, waste)
  }
  return found
}

/** The sets of sheets that are told, of so many sheets of as many pieces each. */
function chosenOf(found: Found, count: number, each: number, slack: number, course = COURSE, worth?: Float64Array) {
  const some = pieces.slice(0, each * count)
  const is = worth ?? new Float64Array(some.length)
  const listed = { found, reduced: reducedOf(found, holdingOf(found), is), wasted: found.waste, worth: is }
  const sets = new Set<string>()
  const search = new SetsOfSheets(some, listed, { area: 10_000 * each, count, slack, cost: slack }, meansOf(1))
  const ended = search.leavingOne(course, ({ chosen, covered }) => {
    const held = chosen.flatMap((at) => piecesIn(found.sets.subarray(2 * at, 2 * at + 2), 40, true))
    expect(piecesIn(covered, 40, true)).toEqual(held.sort((a, b) => a - b))
    sets.add([...chosen].sort((a, b) => a - b).join())
    return false
  })
  return { sets, ended }
}

/** A plan of so many sheets of three pieces, and others. */
function planted(seed: number, count: number, others: number) {
  const random = randomFrom(seed)
  const plan = Array.from({ length: count }, (_, s) => [[3 * s, 3 * s + 1, 3 * s + 2], 1 + 4 * random()] as const)
  const more = Array.from({ length: others }, () => {
    const all = Array.from({ length: 3 * count }, (_, p) => [p, random()] as const).sort((a, b) => a[1] - b[1])
    return [all.slice(0, 3).map(([p]) => p), 2.5 + 5 * random()] as const
  })
  const slack = plan.reduce((sum, [, waste]) => sum + waste, 0)
  return { found: of(...plan, ...more), slack }
}

describe('sets of full sheets', () => {
  it('have no piece in common, waste no more than they may and leave one', () => {
    const all = of([[0, 1], 5], [[0, 2], 5], [[0, 3], 5], [[1, 2], 1], [[1, 3], 1], [[2, 3], 1]) // prettier-ignore
    expect(chosenOf(all, 2, 2, 9).sets).toEqual(new Set(['0', '1', '2', '3', '4', '5']))
    expect(chosenOf(all, 2, 2, 4).sets).toEqual(new Set(['3', '4', '5']))
    const three = of([[0, 1], 5], [[2, 3], 5], [[1, 2], 1], [[4, 5], 9])
    expect(chosenOf(three, 3, 2, 19).sets).toEqual(new Set(['0,1', '0,3', '1,3', '2,3']))
    expect(chosenOf(three, 3, 2, 9).sets).toEqual(new Set())
    expect(chosenOf(of([[0, 1], 5]), 3, 2, 20).sets).toEqual(new Set())
  })

  it('come out whatever else is listed, where all of a plan are', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const { found, slack } = planted(seed, 6, 80)
      const worth = new Float64Array(18)
      price(found, holdingOf(found), worth, slack / 6)
      const { sets, ended } = chosenOf(found, 6, 3, slack, COURSE, worth)
      const own = [0, 1, 2, 3, 4, 5].map((out) => [0, 1, 2, 3, 4, 5].filter((s) => s !== out).join())
      expect(
        own.some((set) => sets.has(set)),
        `seed ${seed}`,
      ).toBe(true)
      expect(ended, `seed ${seed}`).toBe(true)
    }
  })

  it('are none, soon told, where what the pieces are worth is more than may be wasted', () => {
    const { found, slack } = planted(1, 6, 2000)
    const worth = new Float64Array(18)
    price(found, holdingOf(found), worth, slack / 6)
    const least = worth.reduce((sum, value) => sum + value, 0)
    const few = { ...COURSE, work: 200_000, from: 10_000 }
    expect(chosenOf(found, 6, 3, 0.9 * least, few, worth)).toEqual({ sets: new Set(), ended: true })
    expect(chosenOf(found, 6, 3, 3 * slack, few, worth).ended).toBe(false)
  })

  it('leave a piece for the last that other sheets hold', () => {
    // the first piece is in one sheet, that goes with none of the others
    const found = of([[0, 2], 0], [[1, 2], 1], [[3, 4], 1])
    expect(chosenOf(found, 3, 2, 100).sets).toEqual(new Set(['0,2', '1,2']))
  })

  it('are chosen of those that waste least beyond what their pieces are worth', () => {
    const found = of([[0, 1], 5], [[2, 3], 1], [[0, 2], 2], [[1, 3], 3])
    const worth = Float64Array.of(4, 4, 0, 0)
    const from = { ...COURSE, from: 1 }
    expect(chosenOf(found, 2, 2, 9, from, worth).sets).toEqual(new Set(['0']))
    expect(chosenOf(found, 2, 2, 9, from).sets).toEqual(new Set(['1']))
  })
})

describe('sets of full sheets that leave one', () => {
  it('are found where that is none of those listed, whatever its pieces are thought to be worth', () => {
    const found = of([[0, 1], 5], [[2, 3], 5])
    const worth = Float64Array.of(0, 0, 0, 0, 8, 8)
    expect(chosenOf(found, 3, 2, 11, COURSE, worth).sets).toEqual(new Set(['0,1']))
    // but pieces for which there is no room in it may not be worth more than may be wasted
    expect(chosenOf(of([[0, 1], 5], [[2, 3], 5], [[4, 5], 5]), 3, 2, 11, COURSE, worth).sets).toEqual(
      new Set(['0,1', '0,2', '1,2']),
    )
  })

  it('may waste no more than is told without fines', () => {
    const found = of([[0, 1], 50], [[0, 2], 60], [[1, 2], 70])
    const listed = { found, reduced: Float64Array.of(50, 60, 70), wasted: Float64Array.of(5, 9, 2), worth: new Float64Array(4) } // prettier-ignore
    const sets: number[] = []
    const sheets = { area: 20_000, count: 2, slack: 6, cost: 60 }
    new SetsOfSheets(pieces.slice(0, 4), listed, sheets, meansOf(1)).leavingOne(COURSE, ({ chosen }) => {
      sets.push(...chosen)
      return false
    })
    expect(new Set(sets)).toEqual(new Set([0, 2]))
  })

  it('may cost more with fines than they waste, but no more than is told', () => {
    const found = of([[0, 1, 2], 50], [[3, 4, 5], 50], [[6, 7, 8], 50], [[0, 3, 6], 90])
    const worth = new Float64Array(9).fill(16)
    const listed = { found, reduced: Float64Array.of(2, 2, 2, 42), wasted: Float64Array.of(2, 2, 2, 2), worth }
    const setsOf = (cost: number): string[] => {
      const sets: string[] = []
      const sheets = { area: 30_000, count: 3, slack: 6, cost }
      new SetsOfSheets(pieces.slice(0, 9), listed, sheets, meansOf(1)).leavingOne(COURSE, ({ chosen }) => {
        sets.push([...chosen].sort((a, b) => a - b).join())
        return false
      })
      return [...new Set(sets)].sort()
    }
    expect(setsOf(160)).toEqual(['0,1', '0,2', '1,2'])
    expect(setsOf(20)).toEqual([])
  })

  it('are of several sheets that waste no more together than is told without fines', () => {
    const found = of([[0, 1], 50], [[2, 3], 50], [[4, 5], 50])
    const reduced = Float64Array.of(50, 50, 50)
    const listed = { found, reduced, wasted: Float64Array.of(2, 3, 5), worth: new Float64Array(6) }
    const sets = new Set<string>()
    const sheets = { area: 20_000, count: 3, slack: 7, cost: 210 }
    new SetsOfSheets(pieces.slice(0, 6), listed, sheets, meansOf(1)).leavingOne(COURSE, ({ chosen }) => {
      sets.add([...chosen].sort((a, b) => a - b).join())
      return false
    })
    expect(sets).toEqual(new Set(['0,1', '0,2']))
  })
})

describe('sets of the best full sheets', () => {
  /** What is told of sets of the best, in order. @param most after how many it is to end */
  function bestOf(found: Found, count: number, slack: number, work = 1e7, most = Infinity): string[] {
    const listed = { found, reduced: found.waste, wasted: found.waste, worth: new Float64Array(3 * count) }
    const told: string[] = []
    new BestSets(listed, { area: 30_000, count, slack, cost: slack }, () => false).leavingOne(work, (set) => {
      const held = set.chosen.flatMap((at) => piecesIn(found.sets.subarray(2 * at, 2 * at + 2), 40, true))
      expect(piecesIn(set.covered, 40, true)).toEqual(held.sort((a, b) => a - b))
      told.push([...set.chosen].sort((a, b) => a - b).join())
      return told.length === most
    })
    return told
  }

  /** All sets of so many that have no piece in common and waste no more than they may. */
  function allOf(found: Found, many: number, slack: number, from = 0, chosen: readonly number[] = []): string[] {
    if (chosen.length === many) return [chosen.join()]
    return Array.from({ length: found.top - from }, (_, i) => from + i)
      .filter((i) => found.waste[i]! <= slack && chosen.every((one) => !found.meet(one, i)))
      .flatMap((i) => allOf(found, many, slack - found.waste[i]!, i + 1, [...chosen, i]))
  }

  it('are all there are that go together and leave one, each told once', () => {
    for (let seed = 1; seed <= 10; seed++)
      for (const count of [3, 4, 5]) {
        const { found, slack } = planted(seed, count, 60)
        const told = bestOf(found, count, slack)
        expect(told.sort(), `seed ${seed}`).toEqual(allOf(found, count - 1, slack).sort())
        expect(told.length).toBeGreaterThan(0)
      }
  })

  it('begin with such of which only one is not among the best', () => {
    // five that go together, and one that none of three of those goes with
    const found = of([[0, 1, 2], 1], [[3, 4, 5], 2], [[6, 7, 8], 3], [[9, 10, 11], 4], [[3, 6, 9], 5], [[12, 13, 14], 6]) // prettier-ignore
    expect(bestOf(found, 6, 100)[0]).toBe('0,1,2,3,5')
    expect(bestOf(found, 6, 15)).toEqual([])
    // whichever the last one is, the one before it is ever further from the best
    const many = planted(2, 5, 80)
    const rank = leastFirst(many.found.waste, many.found.top)
    const before = bestOf(many.found, 5, many.slack).map((set) =>
      set.split(',').map((at) => rank.indexOf(Number(at))).sort((a, b) => b - a)[1]!) // prettier-ignore
    expect(before.length).toBeGreaterThan(10)
    expect(before).toEqual(before.toSorted((a, b) => a - b))
  })

  it('waste no more than they may without fines', () => {
    const found = of([[0, 1, 2], 50], [[3, 4, 5], 60], [[6, 7, 8], 70])
    const listed = { found, reduced: found.waste, wasted: Float64Array.of(2, 3, 5), worth: new Float64Array(9) }
    const told: string[] = []
    new BestSets(listed, { area: 30_000, count: 3, slack: 7, cost: 400 }, () => false).leavingOne(1e4, ({ chosen }) => {
      told.push([...chosen].sort((a, b) => a - b).join())
      return false
    })
    expect(told).toEqual(['0,1', '0,2'])
  })

  it('end when they are told to, or when so much was done', () => {
    const { found, slack } = planted(1, 5, 120)
    const all = bestOf(found, 5, slack)
    expect(all.length).toBeGreaterThan(20)
    expect(bestOf(found, 5, slack, 1e7, 7)).toEqual(all.slice(0, 7))
    const some = bestOf(found, 5, slack, 4000)
    expect(some).toEqual(all.slice(0, some.length))
    expect(some.length).toBeLessThan(all.length)
    expect(bestOf(found, 2, slack)).toEqual([])
  })
})

describe('full sheets of what some leave', () => {
  it('hold none of what those do, waste no more than they may and are known by the pieces left', () => {
    const found = of([[0, 39], 1], [[31, 32], 2], [[33, 38], 3], [[32, 33], 1], [[1, 2], 9])
    const left = Array.from({ length: 40 }, (_, p) => p).filter((p) => p !== 0 && p !== 32 && p !== 5)
    const rest = found.without(Int32Array.of(1 | (1 << 5), 1), left, (at) => found.waste[at]! <= 5)
    expect(rest.top).toBe(1)
    expect([rest.waste[0], ...piecesIn(rest.sets, 37, true).map((p) => left[p])]).toEqual([3, 33, 38])
  })

  it('are told anew what their pieces are worth, but for those that none of them holds', () => {
    const { found, slack } = planted(3, 6, 300)
    const average = slack / 6
    const holding = holdingOf(found)
    const worth = new Float64Array(18)
    price(found, holding, worth, average)
    const before = worth.slice()
    // without the first sheet of the plan
    const some = Int32Array.from({ length: found.top }, (_, i) => i).filter((i) => !found.meet(0, i))
    const reduced = priceAgain(found, holding, some, worth, average)
    expect([...worth.subarray(0, 3)]).toEqual([...before.subarray(0, 3)])
    expect(worth.subarray(3)).not.toEqual(before.subarray(3))
    const all = reducedOf(found, holding, worth)
    expect([...reduced]).toEqual([...some].map((i) => expect.closeTo(all[i]!, 9)))
    const held = new Float64Array(18)
    some.forEach((i, k) => {
      for (const p of holding.pieces.subarray(holding.first[i], holding.first[i + 1]))
        held[p]! += Math.exp(-reduced[k]! / (0.03 * average))
    })
    for (const times of held.subarray(3)) expect(Math.abs(Math.log(times))).toBeLessThan(2)
  })
})
