import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { usualShop } from '#core/shop/usual'
import { arranging, standsFor, type Arrangement } from '#core/wall/arrange'
import { bestPlaces, collide, mates, tieOf, type Places, type Stand, type Stays } from '#core/wall/arrange-best'
import { lostCost } from '#core/wall/arrange-cost'
import type { WallPiece } from '#core/wall/extent'
import { newWall, type Wall } from '#core/wall/wall'

const shop = usualShop()
const piece = (i: number, width: number, height: number, use: number): WallPiece => {
  const box = { x0: 0, x1: width, z0: 0, z1: height }
  return { holder: `p${i}`, name: `P${i}`, boards: box, all: box, mass: 1, screws: [], fixings: [], out: 0, hook: null, above: 60, use } // prettier-ignore
}
const never = () => false

/** Every way of hanging, one after the other. */
function leastOfAll(places: readonly Places[], stay: readonly Stays[] = []): number {
  const go = (i: number, chosen: readonly Stays[]): number => {
    if (i === places.length) return 0
    const { piece: p, stands, tie = 0 } = places[i]!
    const ties = (s: Stand): number => chosen.reduce((sum, c) => sum + (mates(c, p) ? tieOf(c, s, tie) : 0), 0)
    const tried = stands.filter((s) => !chosen.some((c) => collide(c, s))).map((s) => s.cost + ties(s) + go(i + 1, [...chosen, { ...s, group: p.group! }])) // prettier-ignore
    return Math.min(lostCost(p) + go(i + 1, chosen), ...tried)
  }
  return go(0, stay)
}

const small = fc.array(
  fc.record({ width: fc.integer({ min: 100, max: 500 }), height: fc.integer({ min: 100, max: 400 }), use: fc.integer({ min: 0, max: 3 }), group: fc.constantFrom('', 'Saws', 'Drills') }), // prettier-ignore
  { minLength: 1, maxLength: 3 },
)
const tiny = (width: number, height: number): Wall => ({ ...newWall('w', 'mm'), width, height, studs: [] })

describe('the cheapest places', () => {
  it('are as cheap as the cheapest of all ways to hang, beside what hangs already', () =>
    fc.assert(
      fc.property(small, fc.integer({ min: 350, max: 620 }), fc.boolean(), (sizes, width, other) => {
        const wall = tiny(width, 650)
        const places = sizes.map((s, i): Places => {
          const p = { ...piece(i, s.width, s.height, s.use), group: s.group }
          return { piece: p, stands: standsFor(wall, shop, p), tie: 3 }
        })
        const stay: Stays[] = other ? standsFor(wall, shop, piece(9, 120, 120, 0)).slice(0, 1).map((s) => ({ ...s, group: 'Saws' })) : [] // prettier-ignore
        const found = bestPlaces(places, stay, { given: Infinity, nodes: Infinity, over: never })
        expect(found.ended).toBe(true)
        expect(found.cost).toBeCloseTo(leastOfAll(places, stay), 6)
        const hung = found.stands!.filter((s) => s !== null)
        for (const [i, a] of hung.entries()) for (const b of [...hung.slice(i + 1), ...stay]) expect(collide(a, b)).toBe(false) // prettier-ignore
        // in the order in which they were asked for
        for (const [i, s] of found.stands!.entries()) if (s) expect(places[i]!.stands).toContain(s)
        // nothing is told where nothing is cheaper
        expect(bestPlaces(places, stay, { given: found.cost, nodes: Infinity, over: never }).stands).toBeNull()
      }),
      { numRuns: 60, seed: 4 },
    ))

  it('are given up after so many combinations, or when time is over, and that is said', () => {
    const wall = newWall('w', 'mm')
    const places = Array.from({ length: 6 }, (_, i): Places => {
      const p = piece(i, 500, 300, 1)
      return { piece: p, stands: standsFor(wall, shop, p) }
    })
    expect(bestPlaces(places, [], { given: Infinity, nodes: 50, over: never }).ended).toBe(false)
    expect(bestPlaces(places, [], { given: Infinity, nodes: Infinity, over: () => true }).ended).toBe(false)
  })
})

describe('an arrangement of few', () => {
  const arranged = (wall: Wall, pieces: WallPiece[], rounds = 500): Arrangement => {
    const run = arranging(wall, pieces, shop, { seed: 3, rounds, over: never })
    for (;;) {
      const { value, done } = run.next()
      if (done) return value
    }
  }

  it('is the best there is, and says so', () => {
    const wall = tiny(900, 900)
    const pieces = [piece(0, 300, 200, 3), piece(1, 400, 250, 1), piece(2, 250, 150, 2)]
    const found = arranged(wall, pieces)
    expect(found.proven).toBe(true)
    expect(found.cost).toBeCloseTo(leastOfAll(pieces.map((p) => ({ piece: p, stands: standsFor(wall, shop, p) }))), 6)
  })

  it('hangs those of one group together, and says so', () => {
    const groups = ['Saws', 'Drills', 'Saws', 'Drills', 'Saws', 'Drills']
    const mixed = groups.map((group, i) => ({ ...piece(i, 500, 300, 1), group }))
    const middles = (found: Arrangement, group: string): number[] => found.hung.filter((h) => groups[Number(h.holder.slice(1))] === group).map((h) => h.x) // prettier-ignore
    const spread = (found: Arrangement): number => ['Saws', 'Drills'].reduce((sum, g) => sum + Math.max(...middles(found, g)) - Math.min(...middles(found, g)), 0) // prettier-ignore
    const [together, without] = [mixed, mixed.map((p) => ({ ...p, group: '' }))].map((all) => arranged(newWall('w', 'mm'), all, 40)) // prettier-ignore
    expect(spread(together!)).toBeLessThan(spread(without!))
    for (const i of [0, 1, 2]) expect(together!.reasons[`p${i}`]).toContain(`with ${groups[i]}`)
    expect(Object.values(without!.reasons).join()).not.toContain('with')
  })

  it('leaves out the one that costs least to leave out, where not all have room', () => {
    const wall = tiny(500, 700)
    const found = arranged(wall, [piece(0, 480, 400, 0), piece(1, 480, 200, 3), piece(2, 480, 200, 3)])
    expect(found.hung.map((h) => h.holder).sort()).toEqual(['p1', 'p2'])
    expect(found.left.map((l) => l.holder)).toEqual(['p0'])
    expect(found.proven).toBe(true)
  })
})
