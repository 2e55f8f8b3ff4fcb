import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PairsOfSets } from '#core/cutting/two-d/pairs-of-sets'

const PIECES = 10

/** Sets in the order of their numbers. */
const someSets = fc
  .uniqueArray(fc.integer({ min: 1, max: 2 ** PIECES - 1 }), { maxLength: 30 })
  .map((sets) => sets.sort((a, b) => a - b))

/** All pairs that are told, each as its halves, the smaller one first. */
function toldOf(sets: readonly number[], goes: (one: number, other: number) => boolean): string[] {
  const pairs = new PairsOfSets(PIECES)
  pairs.begin(PIECES)
  for (const set of sets) pairs.add(set, (other) => goes(set, other))
  const told: string[] = []
  for (let set = 1; set < 2 ** PIECES; set++)
    pairs.each(set, (half) => told.push([half, set ^ half].sort((a, b) => a - b).join(' ')))
  return told.sort()
}

const pairsOf = (sets: readonly number[]): [number, number][] =>
  sets.flatMap((one, i) =>
    sets.slice(i + 1).flatMap((other): [number, number][] => ((one & other) === 0 ? [[one, other]] : [])),
  )

describe('pairs of sets', () => {
  it('are all that have no piece in common, each once, by what they are together', () => {
    fc.assert(
      fc.property(someSets, (sets) => {
        const all = pairsOf(sets).map((pair) => pair.join(' '))
        expect(toldOf(sets, () => true)).toEqual(all.sort())
      }),
    )
  })

  it('are only those that go together', () => {
    fc.assert(
      fc.property(someSets, (sets) => {
        const goes = (one: number, other: number): boolean => (one + other) % 3 > 0
        const some = pairsOf(sets).filter(([one, other]) => goes(other, one))
        expect(toldOf(sets, goes)).toEqual(some.map((pair) => pair.join(' ')).sort())
      }),
    )
  })

  it('are put together no longer where there are too many, until they begin anew', () => {
    const pairs = new PairsOfSets(PIECES)
    pairs.begin(PIECES)
    for (let set = 1; set < 2 ** PIECES && pairs.goes; set++) pairs.add(set, () => true)
    expect(pairs.goes).toBe(false)
    pairs.begin(4)
    expect(pairs.goes).toBe(true)
    pairs.add(1, () => true)
    pairs.add(6, () => true)
    const told: number[] = []
    for (let set = 1; set < 16; set++) pairs.each(set, (half) => told.push(set, half))
    expect(told).toEqual([7, 6])
  })

  it('are put together no longer where more are found than may be known', () => {
    const pairs = new PairsOfSets(14)
    pairs.begin(14)
    let last = 0
    while (pairs.goes) pairs.add(++last, () => true)
    let told = 0
    for (let set = 1; set < 2 ** 14; set++) pairs.each(set, () => told++)
    expect(told).toBe(2 ** 17)
    // all of those that came before the last one are known
    const lacking: number[] = []
    for (let set = 1; set < last; set++) {
      let halves = 0
      pairs.each(set, () => halves++)
      let bits = 0
      for (let rest = set; rest > 0; rest &= rest - 1) bits++
      if (halves !== 2 ** (bits - 1) - 1) lacking.push(set)
    }
    expect(lacking).toEqual([])
  })
})
