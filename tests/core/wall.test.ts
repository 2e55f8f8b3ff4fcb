import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { design } from '#core/choose/design'
import { usualShop } from '#core/shop/usual'
import { arranging, type Arrangement } from '#core/wall/arrange'
import { at, meets, wallPiece, type WallPiece } from '#core/wall/extent'
import { placesTried } from '#core/wall/places-tried'
import { inspectWall } from '#core/wall/inspect-wall'
import { keepOuts, mayHang, placedOn, roomOf } from '#core/wall/may-hang'
import { heightsFor, rowsOf, rowsOn, stripWidth } from '#core/wall/strips'
import { MOST_ON_WALL } from '#core/exchange/project/wall.dto'
import { evenStuds, LEAST_STUDS, LONGEST_WALL, newWall, type Wall } from '#core/wall/wall'
import { railOf, threeMallets } from './samples'

const shop = usualShop()
const box = (width: number, height: number) => ({ x0: 0, x1: width, z0: 0, z1: height })
const piece = (holder: string, width: number, height: number, more: Partial<WallPiece> = {}): WallPiece => ({
  holder,
  name: holder,
  boards: box(width, height),
  all: box(width, height),
  mass: 2,
  fixings: [],
  out: 0,
  screws: [30, width - 30],
  hook: null,
  above: 60,
  use: 2,
  ...more,
})
const wall = (more: Partial<Wall> = {}): Wall => ({ ...newWall('w', 'mm'), ...more })
const hung = (holder: string, x: number, z: number) => ({ holder, x, z, fixed: false })
const ids = (w: Wall, pieces: WallPiece[]) => inspectWall(w, pieces, shop).map((v) => `${v.level} ${v.id}`)

function arranged(w: Wall, pieces: WallPiece[], rounds = 200, seed = 1): Arrangement {
  const search = arranging(w, pieces, shop, { seed, rounds, over: () => false })
  for (;;) {
    const { value, done } = search.next()
    if (done) return value
  }
}

describe('a wall', () => {
  it('has studs at an even spacing, none beyond its end', () => {
    expect(evenStuds(3600, 600, 600)).toEqual([600, 1200, 1800, 2400, 3000, 3600])
    expect(evenStuds(1000, 400, 406.4)).toEqual([400, 806.4])
    expect(evenStuds(300, 400, 600)).toEqual([])
    expect(evenStuds(300, 0, 0)).toEqual([])
    // no more than a wall may have
    expect(evenStuds(3600, 0.001, 0.001)).toEqual([])
    expect(evenStuds(LONGEST_WALL, 0.001, LEAST_STUDS)).toHaveLength(MOST_ON_WALL)
  })
  it('feels a holder with its tools, from the lower left corner of its boards', () => {
    const d = design(railOf(threeMallets()))
    const p = wallPiece(d)!
    expect(p.boards).toEqual({ x0: 0, x1: 304, z0: 0, z1: 90 })
    expect(p.all.z0).toBeLessThan(-50)
    expect(p.mass).toBeGreaterThan(1.8)
    expect(p.screws.length).toBe(d.model!.fasteners.filter((f) => f.into === null).length)
    expect(wallPiece(design(railOf([])))).toBeNull()
  })
})

describe('what is said of where things hang', () => {
  const a = piece('a', 400, 300)
  const b = piece('b', 300, 200)
  it('is nothing where all is well', () => expect(ids(wall({ hung: [hung('a', 100, 1000), hung('b', 600, 1000)] }), [a, b])).toEqual([])) // prettier-ignore
  it('tells what hangs off the wall, and where', () => {
    const [v] = inspectWall(wall({ hung: [hung('a', 3300, 2200)] }), [a], shop)
    expect(v).toMatchObject({ level: 'stop', says: expect.stringContaining('past the right end and above the wall') })
  })
  it('keeps room round an outlet, and says what is covered', () => {
    const outlet = { id: 'o', kind: 'outlet' as const, name: '', x: 520, z: 1100, width: 80, height: 80 }
    const near = wall({ things: [outlet], hung: [hung('a', 100, 1000)] })
    expect(inspectWall(near, [a], shop)[0]!.says).toBe('a hangs nearer than 50 mm to the outlet.')
    expect(inspectWall({ ...near, hung: [hung('a', 300, 1000)] }, [a], shop)[0]!.says).toBe('a covers the outlet.')
    expect(ids({ ...near, hung: [hung('a', 60, 1000)] }, [a])).toEqual([])
  })
  it('tells holders that meet, and one so close above another that no hand gets in', () => {
    expect(ids(wall({ hung: [hung('a', 100, 1000), hung('b', 300, 1100)] }), [a, b])).toEqual(['stop meet:a+b'])
    const [close] = inspectWall(wall({ hung: [hung('a', 100, 1000), hung('b', 100, 1320)] }), [a, b], shop)
    expect(close).toMatchObject({ level: 'watch', says: expect.stringContaining('b hangs so close above a') })
  })
  it('wants heavy things low, and everything within reach', () => {
    const heavy = piece('h', 400, 300, { mass: 9 })
    expect(ids(wall({ hung: [hung('h', 100, 1500)] }), [heavy])).toEqual(['watch heavy:h'])
    expect(ids(wall({ hung: [hung('h', 100, 1100)] }), [heavy])).toEqual([])
    expect(ids(wall({ hung: [hung('a', 100, 1900)] }), [a])).toEqual(['watch reach:a'])
  })
  it('takes the bands of reach from the height of the person: easy to 0.82 of it, at the end at 1.18', () => {
    for (const userHeight of [1500, 1750, 1930]) {
      const own = { ...shop, settings: { ...shop.settings, userHeight } }
      const told = (z: number, mass: number) =>
        inspectWall(wall({ height: 4000, hung: [hung('a', 100, z - 100)] }), [piece('a', 300, 100, { mass })], own).map((v) => v.id) // prettier-ignore
      // over 5 kg only in the easy band or lower
      expect(told(0.82 * userHeight, 5.1)).toEqual([])
      expect(told(0.82 * userHeight + 1, 5.1)).toEqual(['heavy:a'])
      expect(told(0.82 * userHeight + 1, 5)).toEqual([])
      expect(told(1.18 * userHeight, 1)).toEqual([])
      expect(told(1.18 * userHeight + 1, 1)).toEqual(['reach:a'])
    }
  })
  it('finds just the pairs that take up the same room, or each other’s way', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 1200 }), fc.integer({ min: 300, max: 1400 }), fc.integer({ min: 60, max: 500 }), fc.integer({ min: 60, max: 400 })), { maxLength: 8 }), // prettier-ignore
        (all) => {
          const pieces = all.map(([, , w, h], i) => piece(`p${i}`, w, h))
          const w = wall({ width: 4000, height: 3000, hung: all.map(([x, z], i) => hung(`p${i}`, x, z)) })
          const found = inspectWall(w, pieces, shop).filter((v) => v.holders.length === 2)
          const wanted = all.flatMap(([x, z], i) =>
            all.flatMap(([x2, z2], j) => {
              if (j <= i) return []
              const [p, q] = [at(pieces[i]!.all, x, z), at(pieces[j]!.all, x2, z2)]
              if (meets(p, q)) return [`meet:p${i}+p${j}`]
              const near = meets(at(roomOf(pieces[i]!), x, z), q) || meets(at(roomOf(pieces[j]!), x2, z2), p)
              return near ? [`room:p${i}+p${j}`] : []
            }),
          )
          expect(found.map((v) => v.id)).toEqual(wanted)
          // what is in the way hangs above what it stands in the way of
          for (const v of found.filter((f) => f.id.startsWith('room:'))) {
            const [a, b] = v.holders.map((h) => w.hung.find((x) => x.holder === h)!)
            expect(v.says.startsWith(a!.z > b!.z ? a!.holder : b!.holder)).toBe(true)
          }
        },
      ),
      { seed: 4, numRuns: 150 },
    ))
  it('on studs alone wants screws in them, and says how far to move', () => {
    const studs = wall({ holds: 'studs', studs: [600, 1000], hung: [hung('a', 100, 1000)] })
    const wide = piece('a', 460, 300)
    const [v] = inspectWall(studs, [wide], shop)
    expect(v).toMatchObject({ id: 'studs:a', level: 'stop' })
    expect(v!.says).toContain('70 mm to the right it meets 1')
    expect(ids({ ...studs, hung: [hung('a', 570, 1000)] }, [wide])).toEqual([])
    expect(ids({ ...studs, hung: [hung('a', 170, 1000)] }, [wide])).toEqual(['watch studs:a'])
  })
})

describe('arranging', () => {
  const any = fc.record({
    width: fc.integer({ min: 300, max: 5000 }),
    height: fc.integer({ min: 1500, max: 2800 }),
    holds: fc.constantFrom<Wall['holds']>('panel', 'studs'),
    spacing: fc.constantFrom(0, 300, 406.4, 600),
    pieces: fc.array(
      fc.record({
        width: fc.integer({ min: 80, max: 1200 }),
        height: fc.integer({ min: 60, max: 700 }),
        mass: fc.double({ min: 0.3, max: 12, noNaN: true }),
        use: fc.integer({ min: 0, max: 3 }),
      }),
      { minLength: 1, maxLength: 9 },
    ),
    things: fc.array(
      fc.record({
        kind: fc.constantFrom('outlet' as const, 'window' as const, 'bench' as const),
        x: fc.integer({ min: 0, max: 4000 }),
        z: fc.integer({ min: 0, max: 2000 }),
        width: fc.integer({ min: 60, max: 900 }),
        height: fc.integer({ min: 60, max: 900 }),
      }),
      { maxLength: 3 },
    ),
  })

  it('breaks no rule, names what has no place, and is the same for the same seed', () =>
    fc.assert(
      fc.property(any, ({ width, height, holds, spacing, pieces, things }) => {
        const all = pieces.map((p, i) => piece(`p${i}`, p.width, p.height, { mass: p.mass, use: p.use }))
        const w = wall({ width, height, holds, studs: evenStuds(width, 200, spacing), things: things.map((t, i) => ({ ...t, id: `t${i}`, name: '' })) }) // prettier-ignore
        const found = arranged(w, all, 10)
        expect(found.hung.length + found.left.length).toBe(all.length)
        const after = { ...w, hung: found.hung }
        expect(inspectWall(after, all, shop).filter((v) => v.level === 'stop')).toEqual([])
        const outs = keepOuts(after, shop)
        const placed = placedOn(after, all)
        for (const p of placed) {
          const others = placed.filter((o) => o !== p)
          expect(mayHang(after, outs, p.piece, p.hung.x, p.hung.z, others.map((o) => at(o.piece.all, o.hung.x, o.hung.z)))).toBe(true) // prettier-ignore
          for (const o of others) expect(meets(at(roomOf(o.piece), o.hung.x, o.hung.z), at(p.piece.all, p.hung.x, p.hung.z))).toBe(false) // prettier-ignore
          expect(found.reasons[p.piece.holder]).toMatch(/used/)
        }
        expect(arranged(w, all, 10)).toEqual(found)
      }),
      { numRuns: 40, seed: 5 },
    ))

  it('tries places that one finds on a rule, and the only one there is where no such one is free', () => {
    for (const [unit, fine] of [
      ['mm', 10],
      ['in', 12.7],
    ] as const) {
      const places = placesTried(13.3, 700, { unit })
      expect(places.length).toBeGreaterThan(10)
      for (const x of places) expect(Math.abs(x / fine - Math.round(x / fine))).toBeLessThan(1e-6)
      expect(places[0]! - 13.3).toBeLessThan(fine)
      expect(placesTried(13.3, 15, { unit })).toEqual([13.3])
      expect(placesTried(13.3, 13, { unit })).toEqual([])
      // its tools reach past its left end
      const p = piece('a', 400, 300)
      const [{ x }] = arranging(wall({}), [{ ...p, all: { ...p.all, x0: -33.3 } }], { ...shop, unit }, { seed: 1, rounds: 3, over: () => false }).next().value.hung as [Wall['hung'][number]] // prettier-ignore
      expect(Math.abs(x / fine - Math.round(x / fine))).toBeLessThan(1e-6)
    }
  })

  it('hangs what is used daily nearest to the bench, and leaves what is fixed', () => {
    const bench = { id: 'b', kind: 'bench' as const, name: 'Bench', x: 2400, z: 0, width: 1000, height: 900 }
    const w = wall({ things: [bench], hung: [{ ...hung('fix', 0, 1200), fixed: true }] })
    const all = [piece('rare', 400, 300, { use: 0 }), piece('daily', 400, 300, { use: 3 }), piece('fix', 300, 300)]
    const { hung: now, reasons } = arranged(w, all)
    const x = (id: string) => now.find((h) => h.holder === id)!.x + 200
    expect(Math.abs(x('daily') - 2900)).toBeLessThan(Math.abs(x('rare') - 2900))
    expect(reasons.daily).toBe('by the bench: used daily')
    expect(now.find((h) => h.holder === 'fix')).toMatchObject({ x: 0, z: 1200, fixed: true })
  })

  it('keeps room to grow between two, and gives it up where not all would hang', () => {
    const apart = (w: Wall, width: number): number => {
      const { hung: now } = arranged(w, [piece('a', width, 300), piece('b', width, 300)])
      expect(now).toHaveLength(2)
      const [p, q] = now.sort((a, b) => a.x - b.x)
      return Math.abs(p!.z - q!.z) < 360 ? q!.x - p!.x - width : Infinity
    }
    expect(apart(wall(), 400)).toBeGreaterThanOrEqual(shop.settings.growRoom)
    expect(apart(wall({ width: 810, height: 500 }), 400)).toBeGreaterThanOrEqual(0)
    expect(apart(wall({ width: 810, height: 500 }), 400)).toBeLessThan(shop.settings.growRoom)
  })

  it('moves as few as it can where all hangs well already', () => {
    const all = [piece('a', 400, 300), piece('b', 400, 300)]
    const first = arranged(wall(), all)
    const again = arranged(wall({ hung: first.hung }), [...all, piece('c', 200, 200)])
    expect(again.moved).toBe(0)
    expect(again.hung).toHaveLength(3)
  })

  it('gives a plain answer on absurd walls', () => {
    const narrow = arranged(wall({ width: 300 }), [piece('a', 400, 300)])
    expect(narrow.left).toEqual([{ holder: 'a', says: 'a is wider than the wall, with its tools.' }])
    const bare = arranged(wall({ holds: 'studs', studs: [] }), [piece('a', 400, 300)])
    expect(bare.left[0]!.says).toContain('There is no stud')
    const low = arranged(wall({ height: 200 }), [piece('a', 100, 300)])
    expect(low.left[0]!.says).toContain('higher than the wall')
  })

  it('gets no worse the longer it looks', () => {
    const all = Array.from({ length: 12 }, (_, i) =>
      piece(`p${i}`, 200 + 60 * (i % 5), 150 + 40 * (i % 4), { use: i % 4 }),
    )
    expect(arranged(wall(), all, 60).cost).toBeLessThanOrEqual(arranged(wall(), all, 10).cost)
  })
})

describe('a wall of bevelled strips', () => {
  const strips = { first: 700, gap: 150, top: 60 }
  it('has as many rows as there is room for, the rest at the top', () => {
    // floor((2300 − 700 − 60 + 150) / (77.3 + 150)) = 7
    const rows = rowsOf(2300, 77.3, strips)
    expect(rows).toHaveLength(7)
    expect(rows[1]!.low - rows[0]!.high).toBeCloseTo(150, 9)
    expect(rows.at(-1)!.high).toBeLessThanOrEqual(2300 - 60)
    expect(rowsOf(600, 77.3, strips)).toEqual([])
  })
  it('has strips as wide as the worked example', () =>
    expect(stripWidth({ settings: shop.settings, saws: [{ ...shop.saws[0]!, kind: 'table saw', tilt: 45, kerf: 2.4 }] })).toBeCloseTo(77.3, 1)) // prettier-ignore
  it('carries a holder by its own strip, and says how far it is from one', () => {
    const w = wall({ holds: 'strips', strips, hung: [hung('a', 100, 1000)] })
    const a = piece('a', 400, 300, { hook: 220, screws: [] })
    const rows = rowsOn(w, shop)
    const z = heightsFor(rows, a, shop)
    // the bevels lie in each other: 18 mm of fall over 18 mm at 45 degrees
    expect(z[0]! + 220 + 18).toBeCloseTo(rows[0]!.high, 9)
    expect(inspectWall(w, [a], shop)[0]!.says).toMatch(/a hangs on no strip: .* mm (higher|lower) it does/)
    expect(ids({ ...w, hung: [hung('a', 100, z[1]!)] }, [a])).toEqual([])
    expect(inspectWall(w, [piece('a', 400, 300)], shop)[0]!.says).toContain('made to be screwed on')
  })
  it('is arranged on its strips only', () => {
    const w = wall({ holds: 'strips', strips })
    const all = ['a', 'b', 'c'].map((id) => piece(id, 400, 300, { hook: 220, screws: [] }))
    const found = arranged(w, [...all, piece('screwed', 200, 200)])
    expect(found.hung).toHaveLength(3)
    expect(found.left[0]!.says).toContain('this wall has strips')
    expect(inspectWall({ ...w, hung: found.hung }, all, shop)).toEqual([])
  })
  it('knows where a holder’s own strip is', () => {
    const d = design(railOf(threeMallets(), { hung: 'strip', backHeight: 200 }))
    const p = wallPiece(d)!
    const strip = d.model!.boards.find((b) => b.bevel)!
    expect(p.hook).toBeCloseTo(p.boards.z1 - strip.width, 6)
  })
})
