import DxfParser from 'dxf-parser'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { buildNext } from '#core/choose/build-next'
import { design } from '#core/choose/design'
import { benchSteps } from '#core/bench/steps/steps'
import { featuresOf } from '#core/bench/steps/features'
import { quickCuts } from '#core/cutting/quick-cuts'
import { positionsCsv, wallDxf, wallSvg } from '#core/exchange/wall/wall-files'
import { outlineArea } from '#core/geometry/area'
import { outlineBounds } from '#core/geometry/outline'
import { usualShop } from '#core/shop/usual'
import { wallDesign } from '#core/wall/backing/wall-model'
import { freeBetween } from '#core/wall/backing/stretches'
import { wallPiece } from '#core/wall/extent'
import { wallLoads } from '#core/wall/loads/loads'
import { HOLDS, PULL } from '#core/wall/loads/strip-pull'
import { mayHang, keepOuts } from '#core/wall/may-hang'
import { roomFor } from '#core/wall/room-left'
import { studsFrom, type Hit } from '#core/wall/stud-finder'
import { inspectWall } from '#core/wall/inspect-wall'
import { heightsFor, rowsOn } from '#core/wall/strips'
import { bearersOf } from '#core/wall/holding'
import { newWall, type Wall } from '#core/wall/wall'
import { boardBox } from '#core/model/standing'
import { anyWall } from './any-wall'
import { wrongIn } from './worked-out'
import { mallet, railOf, threeMallets } from './samples'

const shop = usualShop()
const strips: Wall = { ...newWall('w', 'mm'), holds: 'strips' }
const panel: Wall = newWall('w', 'mm')

describe('any wall', () => {
  it('has its sheets and strips on the wall, none in what stands on it, screws on studs and clear of edges', () =>
    fc.assert(
      fc.property(anyWall, (wall) => {
        const { model, verdicts, working } = wallDesign(wall, shop)
        expect(wrongIn(working)).toEqual([])
        if (!model) {
          expect(verdicts.some((v) => v.level === 'stop')).toBe(true)
          return
        }
        // a panel may be drawn past the wall, uprights higher than it: that is told
        const asDrawn = wall.holds === 'framed' || wall.holds === 'uprights' || wall.holds === 'rack'
        for (const b of model.boards) {
          const { x, z } = boardBox(b)
          if (!asDrawn) {
            expect(z[0]).toBeGreaterThanOrEqual(-1e-6)
            expect(z[1]).toBeLessThanOrEqual(wall.height + 1e-6)
            expect(x[0]).toBeGreaterThanOrEqual(-20 - 1e-6)
            expect(x[1]).toBeLessThanOrEqual(wall.width + 20 + 1e-6)
          }
          expect(Math.abs(outlineArea(b.outline))).toBeGreaterThan(0)
          for (const o of b.openings) {
            const box = outlineBounds(o.outline)
            expect(box.minX).toBeGreaterThanOrEqual(0)
            expect(box.maxX).toBeLessThanOrEqual(b.length + 1e-6)
          }
        }
        for (const f of model.fasteners) {
          const b = model.boards.find((k) => k.id === f.through)!
          const { x, z } = boardBox(b)
          if (f.kind === 'screw' && !verdicts.some((v) => v.id === 'uprights off')) {
            expect(Math.min(f.at.x - x[0], x[1] - f.at.x)).toBeGreaterThan(5)
            expect(Math.min(f.at.z - z[0], z[1] - f.at.z)).toBeGreaterThan(5)
          }
          if (f.into !== null) {
            const into = boardBox(model.boards.find((k) => k.id === f.into)!)
            for (const axis of ['x', 'z'] as const) {
              expect(f.at[axis]).toBeGreaterThanOrEqual(into[axis][0] - b.thickness - 1e-6)
              expect(f.at[axis]).toBeLessThanOrEqual(into[axis][1] + b.thickness + 1e-6)
            }
            continue
          }
          expect(bearersOf(wall).some((s) => Math.abs(s - f.at.x) <= 20 + 1e-6)).toBe(true)
          // no screw into the wall under a board that is on already
          const over = model.boards.filter((k) => k.id !== b.id && model.joints.some((j) => j.parts.includes(k.id)))
          for (const k of over) {
            const box = boardBox(k)
            if (box.y[0] < f.at.y - 1e-6) continue
            expect(f.at.x > box.x[0] && f.at.x < box.x[1] && f.at.z > box.z[0] && f.at.z < box.z[1]).toBe(false)
          }
          if (b.bevel) {
            // in the body, never in the bevel
            const body = b.width - b.thickness * Math.tan((b.bevel.tilt * Math.PI) / 180)
            expect(f.at.z - b.placement.at.z).toBeLessThan(body)
            for (const t of wall.things.filter((k) => k.kind === 'outlet' || k.kind === 'switch')) {
              const keep = shop.settings.outletKeep
              const inside = f.at.x > t.x - keep && f.at.x < t.x + t.width + keep && f.at.z > t.z - keep && f.at.z < t.z + t.height + keep // prettier-ignore
              expect(inside).toBe(false)
            }
          }
        }
        // seams on studs wherever a stud is in reach
        const sheets = wall.holds === 'framed' || wall.behind === 'masonry' ? [] : model.boards
        const seams = sheets.filter((b) => b.role === 'panel').map((b) => b.placement.at.x + b.length)
        for (const s of seams.filter((x) => x < wall.width - 21)) if (!verdicts.some((v) => v.id === 'seams')) expect(wall.studs.some((k) => Math.abs(k - s) < 1e-6)).toBe(true) // prettier-ignore
        const order = benchSteps({ model, shop, cuts: [] }, wall.id)
        const made = order.steps.flatMap((s) => s.makes)
        for (const f of featuresOf(model)) expect(made).toContain(f)
      }),
      { numRuns: 200, seed: 3 },
    ))
})

describe('sheets', () => {
  it('meet on studs, and are cut out round an outlet from their own edges', () => {
    const wall: Wall = { ...panel, things: [{ id: 'o', kind: 'outlet', name: '', x: 1300, z: 300, width: 80, height: 80 }] } // prettier-ignore
    const { model } = wallDesign(wall, shop)
    expect(model!.boards.map((b) => [b.placement.at.x, b.length])).toEqual([[0, 1200], [1200, 1200], [2400, 1200]]) // prettier-ignore
    const [cut] = model!.boards[1]!.openings
    expect(outlineBounds(cut!.outline)).toMatchObject({ minX: 97, maxX: 183, minY: 297, maxY: 383 })
    for (const f of model!.fasteners) expect(f.at.x > 1270 && f.at.x < 1410 && f.at.z > 270 && f.at.z < 410).toBe(false)
  })

  it('follow a corner that is out of plumb', () => {
    const { model } = wallDesign({ ...panel, corners: { left: [0, 6, 14], right: [0, 0, 0] } }, shop)
    const [first] = model!.boards
    const xs = [first!.outline.start, ...first!.outline.segments.map((s) => s.to)]
    const leftAt = (z: number) => Math.min(...xs.filter((p) => Math.abs(p.y - z) < 1e-6).map((p) => p.x))
    expect([leftAt(0), leftAt(1200), leftAt(2400)]).toEqual([0, 6, 14])
  })

  it('can be cut out of the shop’s sheets', () => {
    const { model } = wallDesign(panel, shop)
    const cuts = quickCuts(shop, [{ id: 'w', model: model! }])
    expect(cuts.flatMap((c) => c.placements)).toHaveLength(3)
  })
})

describe('strips', () => {
  it('stop before an outlet and a window, and are joined on studs', () => {
    const wall: Wall = { ...strips, things: [{ id: 'o', kind: 'outlet', name: '', x: 1000, z: 700, width: 80, height: 80 }] } // prettier-ignore
    const { model } = wallDesign(wall, shop)
    const row = model!.boards.filter((b) => b.id.startsWith('strip-1-'))
    expect(row.map((b) => [b.placement.at.x, b.placement.at.x + b.length])).toEqual([[0, 950], [1130, 3000], [3000, 3600]]) // prettier-ignore
    expect(wall.studs).toContain(3000)
  })

  it('say plainly what an odd wall can’t carry', () => {
    const says = (wall: Partial<Wall>) => wallDesign({ ...strips, ...wall }, shop).verdicts.map((v) => v.id)
    expect(says({ studs: [] })).toContain('no studs')
    expect(says({ studs: [600] })).toEqual(expect.arrayContaining(['one stud']))
    expect(says({ width: 300, studs: [] })).toContain('no studs')
    const blocked = Array.from({ length: 9 }, (_, i) => ({ id: `t${i}`, kind: 'outlet' as const, name: '', x: i * 400, z: 690, width: 320, height: 1700 })) // prettier-ignore
    expect(says({ things: blocked })).toContain('nothing')
  })

  it('leave what is free between two heights', () => {
    const wall = { ...strips, things: [{ id: 'd', kind: 'door' as const, name: '', x: 500, z: 0, width: 900, height: 2000 }] } // prettier-ignore
    expect(freeBetween(wall, 700, 780, () => 10)).toEqual([{ from: 0, to: 490 }, { from: 1410, to: 3600 }]) // prettier-ignore
    expect(freeBetween(wall, 2100, 2180, () => 10)).toEqual([{ from: 0, to: 3600 }])
  })
})

describe('a stud finder’s passes', () => {
  const pass = (off: number, more: Hit[] = []): Hit[] => [...[100, 700, 1300, 1900].map((s) => ({ from: s - 22 + off, to: s + 23 + off })), ...more] // prettier-ignore

  it('agree on the studs, with how far each may be out', () => {
    const found = studsFrom([pass(-2), pass(0), pass(2)])
    expect(found.map((f) => Math.round(f.at))).toEqual([101, 701, 1301, 1901])
    for (const f of found) expect(f).toMatchObject({ stud: true, passes: 3, check: '' })
    expect(found[0]!.within).toBeCloseTo((2 * 2) / Math.sqrt(3))
  })

  it('join double edges, leave out what came once, and warn of a pipe', () => {
    const twice: Hit[] = [
      { from: 678, to: 695 },
      { from: 703, to: 723 },
    ]
    const pipe = { from: 990, to: 1008 }
    const found = studsFrom([pass(0, [pipe]), [...pass(0).filter((h) => h.from !== 678), ...twice, pipe, { from: 1500, to: 1540 }], pass(0, [pipe])]) // prettier-ignore
    expect(found.filter((f) => f.stud)).toHaveLength(4)
    expect(found.find((f) => !f.stud)!.check).toContain('pipe')
    expect(found.some((f) => Math.abs(f.at - 1520) < 10)).toBe(false)
  })

  it('ask for a nail where one lies off the spacing of the others', () => {
    const odd = [...pass(0), { from: 2478, to: 2523 }, { from: 2100, to: 2145 }]
    expect(studsFrom([odd, odd, odd]).filter((f) => f.check.includes('spacing')).map((f) => Math.round(f.at))).toEqual([2123]) // prettier-ignore
  })
})

describe('what a wall still takes', () => {
  const rail = design(railOf(threeMallets()))
  const piece = wallPiece(rail)!
  const wall: Wall = { ...panel, hung: [{ holder: 'h1', x: 1500, z: 1200, fixed: false }] }

  it('is shown where something of a size may really hang, none over another', () => {
    const rooms = roomFor(wall, [piece], shop, { width: 400, height: 250 })
    expect(rooms.length).toBeGreaterThan(1)
    const own = { ...piece, holder: 'x', boards: { x0: 0, x1: 400, z0: 0, z1: 250 }, all: { x0: 0, x1: 400, z0: 0, z1: 250 } } // prettier-ignore
    for (const r of rooms) expect(mayHang(wall, keepOuts(wall, shop), own, r.x, r.z, [])).toBe(true)
    expect(roomFor(wall, [piece], shop, { width: 3700, height: 100 })).toEqual([])
  })

  it('loads studs and strips by what hangs there, no kilogram lost', () => {
    const onStrip = design(railOf(threeMallets(), { hung: 'strip', backHeight: 260 }))
    const p = wallPiece(onStrip)!
    const row = wallDesign(strips, shop).model!.boards[0]!
    const fall = shop.settings.stripThickness
    const hung: Wall = { ...strips, hung: [{ holder: 'h1', x: 1500, z: row.placement.at.z + row.width - fall - p.hook!, fixed: false }] } // prettier-ignore
    const { strips: loaded, studs } = wallLoads(hung, new Map([['h1', onStrip]]), shop)
    expect(loaded).toHaveLength(1)
    expect(loaded[0]!.mass).toBeCloseTo(p.mass!)
    expect(studs.reduce((sum, s) => sum + s.mass, 0)).toBeCloseTo(p.mass!)
    expect(loaded[0]!.pull).toBeGreaterThan(p.mass! * 9.80665)
    // every figure of it is what its formula gives, down to measurements and settings
    const { working, by } = loaded[0]!
    expect(by).toBe('h1')
    const value = (id: string): number => working.find((f) => f.id === id)!.value
    expect([value(PULL), value(HOLDS)]).toEqual([loaded[0]!.pull, loaded[0]!.holds])
    expect(wrongIn(working)).toEqual([])
    expect(working.find((f) => f.id === 'wall:mass')!.from).toContain('woodMass')
    const { stripThickness: t, stripBevel } = shop.settings
    const lean = Math.tan((stripBevel * Math.PI) / 180)
    const weight = p.mass! * 9.80665
    const pull = Math.max(weight * lean, (weight * value('loadOut')) / value('bevelArm'))
    const face = value('wall:face')
    const screws = Number(/\/ (\d+)$/.exec(working.find((f) => f.id === PULL)!.formula)![1])
    expect(value(PULL) * screws).toBeCloseTo((pull * (face - (t * lean) / 2) + (weight * t) / 2) / ((face - t * lean) / 2)) // prettier-ignore
  })

  it('tells what to build next for tools without a home, the daily ones first', () => {
    const tools = [mallet('a', 28, 80, { group: 'Seldom', use: 'rarely' }), mallet('b', 28, 80, { group: 'Often', use: 'daily' })] // prettier-ignore
    const next = buildNext(shop, tools)
    expect(next.map((n) => n.tools[0]!.group)).toEqual(['Often', 'Seldom'])
    expect(next[0]!.why).toContain('1 used daily')
  })
})

describe('the files of a wall', () => {
  const rail = design(railOf(threeMallets()))
  const wall: Wall = { ...panel, hung: [{ holder: 'h1', x: 1500, z: 1200, fixed: false }] }
  const designs = new Map([['h1', rail]])

  it('show sheets, studs and holders at their places in SVG and DXF', () => {
    const svg = wallSvg(wall, designs, shop)
    expect(svg).toContain('viewBox="0 0 3600 2400"')
    // the floor is at the bottom: the wall's own outline runs from nought to its height
    const own = /<g id="wall"[^>]*>\s*<path d="([^"]+)"/.exec(svg)![1]!
    const numbers = [...own.matchAll(/-?\d+(\.\d+)?/g)].map((m) => Number(m[0]))
    expect(Math.min(...numbers)).toBe(0)
    expect(Math.max(...numbers)).toBe(3600)
    const read = new DxfParser().parseSync(wallDxf(wall, designs, shop))!
    const layers = new Set(read.entities.map((e) => e.layer))
    for (const layer of ['wall', 'stud', 'backing', 'holder', 'tool', 'screw']) expect(layers.has(layer)).toBe(true)
  })

  it('tell where each hangs', () => {
    const [, line] = positionsCsv(wall, designs, shop).split('\n')
    expect(line!.split(',')[1]).toBe('1500')
  })
})

describe('what hooks over and under its strip', () => {
  it('wants its length free beside an end of the strip', () => {
    const d = design(railOf(threeMallets(), { hung: 'clip', backHeight: 260 }))
    const piece = wallPiece(d)!
    expect(piece.slides).toBe(true)
    const hangs = (wall: Wall) => {
      const [z] = heightsFor(rowsOn(wall, shop), piece, shop)
      return inspectWall({ ...wall, hung: [{ holder: 'h1', x: 1500, z: z!, fixed: false }] }, [piece], shop).map(
        (v) => v.id,
      )
    }
    // strips from corner to corner have no free end
    expect(hangs(strips)).toContain('slides:h1')
    // a window beside it ends the strip, but nothing hangs there: the end is not free either
    const cut = { ...strips, things: [{ id: 'w', kind: 'window' as const, name: '', x: 2600, z: 600, width: 600, height: 400 }] } // prettier-ignore
    expect(hangs(cut)).toContain('slides:h1')
  })
})
