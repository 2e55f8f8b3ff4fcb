import { describe, expect, it } from 'vitest'
import { DEEPEST, Scope } from '#core/cutting/two-d/few/scope'
import { SHEET, shapeOf } from './cut-problems'

/** What came of a list of which half of the work was to spare, of few blocks, many of the sheets being new. */
const ALL_NEW = { spare: 0.5, blocks: 1000, before: 100, found: 3000 }
const NOTHING_NEW = { ...ALL_NEW, before: 3000 }
const NOT_ALL = { ...ALL_NEW, spare: 0 }

/** One that knows what pieces are worth. */
function begun(areMany = false): Scope {
  const scope = new Scope(areMany)
  scope.learn(ALL_NEW)
  return scope
}

const mayOf = (scope: Scope): ReturnType<Scope['may']> =>
  scope.may([shapeOf(400, 300, true)], Float64Array.of(500), 10_000, SHEET.area)

describe('how far full sheets of few pieces are listed', () => {
  it('is less far at first where there are too many, and further where there are too few', () => {
    const scope = new Scope()
    const first = scope.limit(1)
    scope.learn({ ...ALL_NEW, found: 10, before: 0 })
    expect(scope.begins).toBe(true)
    const more = scope.limit(1)
    expect(more).toBeGreaterThan(first)
    scope.learn({ ...NOT_ALL, before: 0, found: 1000 })
    expect([scope.begins, scope.limit(1) < more]).toEqual([true, true])
    scope.learn(ALL_NEW)
    expect([scope.begins, scope.limit(1)]).toEqual([false, 0])
  })

  it('begins with some of those there are where that is many, or where they waste next to nothing', () => {
    const scope = new Scope()
    scope.learn({ ...NOT_ALL, before: 0 })
    expect([scope.begins, scope.limit(1)]).toEqual([false, 0])
    const few = new Scope()
    let times = 0
    while (few.begins && times < 100) {
      expect(few.limit(1)).toBeGreaterThan(0.03)
      few.learn({ ...NOT_ALL, before: 0, found: 10 })
      times++
    }
    expect(times).toBeGreaterThan(2)
    expect(times).toBeLessThan(10)
  })

  it('is further at first where joins are fined, with as much more to cost', () => {
    const [plain, fined] = [new Scope(false, 0), new Scope(false, 0.25)]
    expect([plain.times, fined.times]).toEqual([1, 2])
    expect(fined.limit(1)).toBeGreaterThan(2 * plain.limit(1))
    // a quarter of what a sheet wastes, which is half of what it costs
    expect([mayOf(plain).fine, mayOf(fined).fine, mayOf(fined.ofRest()).fine]).toEqual([0, 1250, 1250])
  })

  it('is further each time beyond what pieces are worth, and less far where not all was listed', () => {
    const scope = begun()
    scope.learn(ALL_NEW)
    const before = scope.limit(100)
    expect(before).toBeGreaterThan(0)
    scope.learn(NOT_ALL)
    expect(scope.limit(100)).toBeLessThan(before)
    scope.learn(NOT_ALL)
    expect(scope.limit(100)).toBeLessThan(0)
  })

  it('takes more blocks away from a sheet where little was new, up to so many, and fewer where not all was listed', () => {
    const scope = begun()
    const [depth, parts] = [scope.depth, mayOf(scope).parts]
    scope.learn(ALL_NEW)
    expect([scope.depth, mayOf(scope).parts]).toEqual([depth, parts])
    scope.learn(NOTHING_NEW)
    expect([scope.depth, mayOf(scope).parts]).toEqual([depth + 1, parts + 1])
    // with little work to spare no more
    scope.learn({ ...NOTHING_NEW, spare: 0.1 })
    expect(scope.depth).toBe(depth + 1)
    scope.learn(NOT_ALL)
    expect(scope.depth).toBe(depth)
    for (let i = 0; i < 10; i++) scope.learn(NOTHING_NEW)
    expect(scope.depth).toBe(DEEPEST)
  })

  it('takes more away at once of rather many pieces, and does more work for them', () => {
    const [few, many] = [begun(), begun(true)]
    expect(many.depth).toBe(few.depth + 1)
    expect(many.laid).toBeGreaterThan(few.laid)
  })

  it('goes by what blocks there were: fewer may waste more', () => {
    const wastes = [1000, 10_000, 30_000, Infinity].map((blocks) => {
      const scope = begun()
      scope.learn({ ...ALL_NEW, blocks })
      return mayOf(scope).base
    })
    expect(wastes).toEqual([...wastes].sort((a, b) => b - a))
    expect(new Set(wastes).size).toBe(4)
  })

  it('is the same for what is left of a heap, with less work', () => {
    const scope = begun(true)
    const rest = scope.ofRest()
    expect([rest.begins, rest.depth, mayOf(rest).parts]).toEqual([false, scope.depth, mayOf(scope).parts])
    expect(rest.laid).toBeLessThan(scope.laid)
  })
})
