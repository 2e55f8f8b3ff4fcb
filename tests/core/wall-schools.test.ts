import { describe, expect, it } from 'vitest'
import { benchSteps } from '#core/bench/steps/steps'
import { design } from '#core/choose/design'
import { hardwareOf } from '#core/bench/hardware'
import { quickCuts } from '#core/cutting/quick-cuts'
import { plainToInstance } from 'class-transformer'
import { validateSync } from 'class-validator'
import { WallDto } from '#core/exchange/project/wall.dto'
import { boardBox } from '#core/model/standing'
import { usualShop } from '#core/shop/usual'
import { arranging } from '#core/wall/arrange'
import { ledgerHeights } from '#core/wall/backing/uprights'
import { wallDesign } from '#core/wall/backing/wall-model'
import { wallPiece } from '#core/wall/extent'
import { hangsBy, uprightsOf } from '#core/wall/holding'
import { inspectWall } from '#core/wall/inspect-wall'
import { wallLoads } from '#core/wall/loads/loads'
import { heightsFor, rowsOn } from '#core/wall/strips'
import { newWall, type Thing, type Wall } from '#core/wall/wall'
import { railOf, threeMallets } from './samples'

const shop = usualShop()
const wall = (more: Partial<Wall>): Wall => ({ ...newWall('w', 'mm'), ...more })
const verdicts = (w: Wall) => wallDesign(w, shop).verdicts.map((v) => v.id)
const outlet: Thing = { id: 'o', kind: 'outlet', name: '', x: 1300, z: 1000, width: 80, height: 80 }
const titles = (w: Wall) => benchSteps({ model: wallDesign(w, shop).model!, shop, cuts: [] }, w.id).steps.map((s) => s.title) // prettier-ignore
const hung = (choices: Record<string, string>) => {
  const input = railOf(threeMallets())
  return design({ ...input, holder: { ...input.holder, choices } })
}

describe('strips on sheets', () => {
  const backed = wall({ holds: 'backed' })
  const { model } = wallDesign(backed, shop)
  const sheet = model!.boards.find((b) => b.role === 'panel')!
  const strip = model!.boards.find((b) => b.role === 'strip')!

  it('lie on the sheets, screwed to them where no screw reaches a stud, and that is told', () => {
    expect(strip.placement.at.y).toBe(sheet.thickness)
    const screws = model!.fasteners.filter((f) => f.through === strip.id)
    expect(screws.length).toBeGreaterThan(10)
    for (const f of screws) expect(model!.boards.find((b) => b.id === f.into)!.role).toBe('panel')
    const told = wallDesign(backed, shop).verdicts
    expect(told.map((v) => v.id)).toEqual(['sheet alone'])
    expect(told[0]!.says).toContain('73.5 mm')
  })

  it('are screwed through the sheets into the studs where screws are long enough', () => {
    const long = { ...shop, screws: [...shop.screws, { id: 'long', name: 'Screw 10 x 90', gauge: 10, length: 90, head: 'countersunk' as const, toBuy: false }] } // prettier-ignore
    const { model: through, verdicts: told } = wallDesign(backed, long)
    expect(told).toEqual([])
    const screws = through!.fasteners.filter((f) => f.through === strip.id)
    expect(screws.length).toBeGreaterThanOrEqual(4)
    for (const f of screws) {
      expect(f.side).toBeCloseTo(strip.thickness + sheet.thickness + shop.settings.wallLining)
      expect(backed.studs.some((s) => Math.abs(s - f.at.x) <= 20)).toBe(true)
    }
    expect(model!.boards.filter((b) => b.role === 'strip').map((b) => b.placement.at.z)).toEqual(wallDesign(wall({ holds: 'strips' }), shop).model!.boards.map((b) => b.placement.at.z)) // prettier-ignore
  })

  it('go up after the sheets', () => {
    const steps = titles(backed)
    expect(steps.findIndex((s) => s.startsWith('Row 1'))).toBeGreaterThan(
      steps.findIndex((s) => s === 'Put up sheet 3'),
    )
    expect(quickCuts(shop, [{ id: 'w', model: model! }]).flatMap((c) => c.placements)).toHaveLength(3 + 7) // the strips in pairs
  })

  it('carry what hangs on them', () => {
    const worked = hung({ hung: 'strip' })
    const piece = wallPiece(worked)!
    const z = heightsFor(rowsOn(backed, shop), piece, shop)[1]!
    const on = { ...backed, hung: [{ holder: piece.holder, x: 1100, z, fixed: false }] }
    expect(inspectWall(on, [piece], shop).filter((v) => v.level === 'stop')).toEqual([])
    const { strips, studs } = wallLoads(on, new Map([[piece.holder, worked]]), shop)
    expect(strips.map((s) => s.name)).toEqual(['Strip 2.1'])
    expect(studs.reduce((sum, s) => sum + s.mass, 0)).toBeCloseTo(piece.mass!)
  })
})

describe('a framed panel', () => {
  const framed = wall({ holds: 'framed', frame: { x: 1000, z: 900, width: 1200, height: 800 } })
  const { model } = wallDesign(framed, shop)
  const panel = model!.boards.find((b) => b.id === 'panel')!

  it('has mouldings round its edges and strips on it, screwed on from behind', () => {
    const box = boardBox(panel)
    const edge = (id: string) => boardBox(model!.boards.find((b) => b.id === id)!)
    expect(edge('trim-left').x[1]).toBeCloseTo(box.x[0])
    expect(edge('trim-right').x[0]).toBeCloseTo(box.x[1])
    expect(edge('trim-below').z[1]).toBeCloseTo(box.z[0])
    expect(edge('trim-above').z[0]).toBeCloseTo(box.z[1])
    expect(edge('trim-above').x).toEqual([edge('trim-left').x[0], edge('trim-right').x[1]])
    const strips = model!.boards.filter((b) => b.role === 'strip')
    expect(strips).toHaveLength(rowsOn(framed, shop).length)
    for (const s of strips) {
      const behind = model!.fasteners.filter((f) => f.into === s.id)
      expect(behind.length).toBeGreaterThanOrEqual(2)
      for (const f of behind) {
        expect(f).toMatchObject({ through: 'panel', toward: { x: 0, y: 1, z: 0 } })
        // its point stays in the strip
        expect(f.length).toBeLessThan(panel.thickness + s.thickness)
      }
    }
  })

  it('is put together first and hung as one', () => {
    const steps = titles(framed)
    const hang = steps.indexOf('Hang the panel')
    expect(steps.filter((s) => s.startsWith('Hang'))).toEqual(['Hang the panel'])
    expect(steps.findIndex((s) => s.includes('strip 1.1') && s.startsWith('Join'))).toBeLessThan(hang)
    expect(steps.some((s) => s.includes('bevel down'))).toBe(false)
    expect(hardwareOf([model!], shop).some((h) => h.kind === 'brad')).toBe(true)
  })

  it('hands its load on to the studs behind it, and says when it covers an outlet or is too large', () => {
    const worked = hung({ hung: 'strip' })
    const piece = wallPiece(worked)!
    const [z] = heightsFor(rowsOn(framed, shop), piece, shop)
    const on = { ...framed, hung: [{ holder: piece.holder, x: 1300, z: z!, fixed: false }] }
    const { studs } = wallLoads(on, new Map([[piece.holder, worked]]), shop)
    expect(studs.filter((s) => s.mass > 0).map((s) => s.at)).toEqual([1200, 1800])
    expect(verdicts({ ...framed, things: [outlet] })).toContain('panel over o')
    expect(verdicts({ ...framed, frame: { x: 0, z: 0, width: 3000, height: 800 } })).toContain('nothing')
    expect(verdicts({ ...framed, frame: { x: 3000, z: 900, width: 1200, height: 800 } })).toContain('panel off')
    expect(verdicts({ ...framed, frame: { x: 1250, z: 900, width: 500, height: 800 } })).toEqual(['no screw'])
    expect(verdicts({ ...framed, frame: { x: 1250, z: 900, width: 600, height: 100 } })).toContain('bare panel')
  })

  it('keeps holders on itself when the wall is arranged', () => {
    const worked = hung({ hung: 'strip' })
    const piece = wallPiece(worked)!
    const runs = arranging(framed, [piece], shop, { seed: 1, rounds: 5, over: () => false })
    let last = runs.next()
    while (!last.done) last = runs.next()
    const [at] = last.value.hung
    expect(at!.x + piece.boards.x1 / 2).toBeGreaterThan(1000)
    expect(at!.x + piece.boards.x1 / 2).toBeLessThan(2200)
  })
})

describe('uprights on ledgers', () => {
  const up = wall({ holds: 'uprights', rack: { from: 150, to: 3450, low: 600, high: 2000, pitch: 300, ledgers: 3, lean: 0 } }) // prettier-ignore
  const { model, working } = wallDesign(up, shop)
  const posts = model!.boards.filter((b) => b.placement.lies === 'post')

  it('stand at their pitch, each on every ledger, marked at half a thickness from the middle', () => {
    expect(uprightsOf(up)).toHaveLength(12)
    expect(posts).toHaveLength(12)
    for (const [i, p] of posts.entries()) {
      expect(p.placement.at.x).toBeCloseTo(150 + 300 * i - p.thickness / 2)
      expect(working.find((f) => f.id === `upright-${i + 1}:mark`)!.value).toBeCloseTo(p.placement.at.x)
      expect(new Set(model!.joints.filter((j) => j.parts[1] === p.id).map((j) => j.parts[0].slice(0, 8))).size).toBe(3)
    }
    const lows = ledgerHeights(up.rack!, 65)
    expect(lows).toEqual([700, 1267.5, 1835])
    expect(new Set(model!.boards.filter((b) => b.role === 'rail').map((b) => b.placement.at.z))).toEqual(new Set(lows))
  })

  it('are screwed from behind before the ledgers go on the studs', () => {
    const steps = titles(up)
    expect(steps.indexOf('Hang the uprights on their ledgers')).toBeGreaterThan(steps.findIndex((s) => s.startsWith('Join'))) // prettier-ignore
    for (const f of model!.fasteners) expect(f.toward.y).toBe(f.into === null ? -1 : 1)
    const studs = new Set(model!.fasteners.filter((f) => f.into === null).map((f) => f.at.x))
    // at 2400 two lengths of ledger meet on a stud
    expect([...studs].sort((a, b) => a - b)).toEqual([600, 1200, 1800, 2380, 2420, 3000])
  })

  it('hold holders by their screws, as studs do', () => {
    expect(hangsBy(up)).toBe('posts')
    const piece = wallPiece(hung({}))!
    const at = (x: number) => inspectWall({ ...up, hung: [{ holder: piece.holder, x, z: 1000, fixed: false }] }, [piece], shop).map((v) => v.says).join() // prettier-ignore
    const [screw] = piece.screws
    expect(at(450 - screw!)).not.toContain('No screw')
    expect(at(450 - screw! - 40)).toContain('meets an upright')
  })

  it('make way for what stands on the wall, and say what that parts', () => {
    const window: Thing = { id: 'v', kind: 'window', name: '', x: 1000, z: 900, width: 500, height: 600 }
    const parted = { ...up, things: [window] }
    expect(uprightsOf(parted)).toEqual(uprightsOf(up).filter((x) => x < 970 || x > 1530))
    expect(verdicts({ ...up, things: [{ ...window, z: 600, height: 1400, x: 400, width: 2700 }], studs: [600] })).toContain('one stud') // prettier-ignore
    expect(verdicts({ ...up, rack: { ...up.rack!, from: 600, pitch: 600 } })).toContain('hidden studs')
    expect(verdicts({ ...up, rack: { ...up.rack!, low: 1900 } })).toEqual(['nothing'])
    // a ledger keeps from an outlet what screws do
    const { model: broken } = wallDesign({ ...up, things: [{ ...outlet, x: 1010, z: 710 }] }, shop)
    const [left, right] = broken!.boards.filter((b) => b.id.startsWith('ledger-1-'))
    expect([left!.placement.at.x + left!.length, right!.placement.at.x]).toEqual([960, 1140])
    expect(verdicts({ ...up, rack: { ...up.rack!, high: 2500 } })).toContain('uprights off')
    expect(verdicts({ ...up, rack: { ...up.rack!, from: 5 } })).toContain('uprights off')
  })
})

describe('a rack that leans', () => {
  const rack = wall({
    holds: 'rack',
    rack: { from: 150, to: 2550, low: 0, high: 1800, pitch: 400, ledgers: 2, lean: 10 },
  })

  it('is longer than it is high, its feet out from the wall, and held at the top alone', () => {
    const { model, working } = wallDesign(rack, shop)
    const value = (id: string) => working.find((f) => f.id === id)!.value
    expect(value('upright:long')).toBeCloseTo(1800 / Math.cos(Math.PI / 18))
    expect(value('lean:out')).toBeCloseTo(1800 * Math.tan(Math.PI / 18))
    const held = new Set(model!.fasteners.filter((f) => f.into === null).map((f) => f.through))
    expect([...held].every((id) => id.startsWith('ledger-2'))).toBe(true)
    expect(held.size).toBeGreaterThan(0)
    expect(model!.fasteners.filter((f) => f.into === null)).toHaveLength(4 * held.size)
    expect(verdicts(rack)).toContain('held at the top')
    const steps = benchSteps({ model: model!, shop, cuts: [] }, 'w').steps
    const stand = steps.find((s) => s.title === 'Stand the rack up')!
    expect(stand.settings).toContainEqual({ label: 'Feet', value: '317.5 mm out from the wall' })
  })
})

describe('what is behind the lining', () => {
  it('of masonry is plugs at even places, wherever studs would be', () => {
    const masonry = wall({ holds: 'strips', behind: 'masonry', studs: [] })
    const { model, verdicts: told } = wallDesign(masonry, shop)
    expect(told.map((v) => v.id)).toEqual(['anchors'])
    const row = model!.fasteners.filter((f) => f.through === 'strip-1-1').map((f) => f.at.x)
    expect(row.length).toBeGreaterThanOrEqual(8)
    for (let i = 1; i < row.length; i++) expect(row[i]! - row[i - 1]!).toBeLessThanOrEqual(300)
    const [plug] = hardwareOf([model!], shop).filter((h) => h.kind === 'screw')
    expect(plug!.name).toBe('Plug 8 with screw 5 x 90')
    const inches = usualShop('Shop', 'in')
    const [ofInches] = wallDesign(masonry, inches).model!.fasteners
    expect(ofInches).toMatchObject({
      name: 'Plug 5/16 with screw #10 x 3 1/4',
      gauge: null,
      pilot: 7.9375,
      length: 82.55,
    })
    expect(titles(masonry)).toContain('Draw a level line')
    expect(hangsBy(wall({ holds: 'studs', behind: 'masonry' }))).toBe('anywhere')
  })

  it('of metal is screws on the studs, what they hold not reckoned', () => {
    const metal = wall({ holds: 'strips', behind: 'metal' })
    const worked = hung({ hung: 'strip' })
    const piece = wallPiece(worked)!
    const [z] = heightsFor(rowsOn(metal, shop), piece, shop)
    const on = { ...metal, hung: [{ holder: piece.holder, x: 1100, z: z!, fixed: false }] }
    const { strips } = wallLoads(on, new Map([[piece.holder, worked]]), shop)
    expect(strips[0]).toMatchObject({ holds: null, level: 'watch' })
    expect(strips[0]!.pull).toBeGreaterThan(0)
    expect(verdicts(metal)).toEqual(['anchors'])
    // it drills its own hole: no pilot is told
    const { steps } = benchSteps({ model: wallDesign(metal, shop).model!, shop, cuts: [] }, 'w')
    const [fixing] = steps.find((s) => s.kind === 'hang')!.settings
    expect(fixing!.value).toMatch(/^\d+ × Self-drilling screw 4.2 x 60$/)
  })
})

describe('a wall that comes in', () => {
  const errors = (more: object) => validateSync(plainToInstance(WallDto, { ...newWall('w', 'mm'), ...more })).map((e) => e.property) // prettier-ignore

  it('may have a panel, uprights and what is behind it', () => {
    expect(errors({ holds: 'framed', frame: { x: 0, z: 0, width: 900, height: 600 } })).toEqual([])
    expect(errors({ holds: 'rack', behind: 'masonry', rack: { from: 0, to: 900, low: 0, high: 1800, pitch: 300, ledgers: 2, lean: 5 } })).toEqual([]) // prettier-ignore
  })

  it('is told what is wrong with them', () => {
    expect(errors({ holds: 'cardboard' })).toEqual(['holds'])
    expect(errors({ behind: 'straw' })).toEqual(['behind'])
    expect(errors({ frame: { x: 0, z: 0, width: 0, height: 600 } })).toEqual(['frame'])
    expect(errors({ frame: 'wide' })).toEqual(['frame'])
    expect(errors({ rack: { from: 0, to: 900, low: 0, high: 1800, pitch: 0, ledgers: 2.5, lean: 50 } })).toEqual([
      'rack',
    ])
  })
})
