import { plainToInstance } from 'class-transformer'
import { validateSync } from 'class-validator'
import { describe, expect, it } from 'vitest'
import { design } from '#core/choose/design'
import { WallDto } from '#core/exchange/project/wall.dto'
import { usualShop } from '#core/shop/usual'
import { arranging, type Arrangement } from '#core/wall/arrange'
import { standsOff } from '#core/wall/backing/stands-off'
import { wallDesign } from '#core/wall/backing/wall-model'
import { besideOf } from '#core/wall/beside'
import { at, meets, wallPiece } from '#core/wall/extent'
import { inspectWall } from '#core/wall/inspect-wall'
import { keepOuts } from '#core/wall/may-hang'
import { newWall, type Thing, type Wall } from '#core/wall/wall'
import { railOf, threeMallets } from './samples'

const shop = usualShop()
const worked = design(railOf(threeMallets()))
const piece = wallPiece(worked)!
const wall = (more: Partial<Wall>, x = 1000, z = 1200): Wall => ({ ...newWall('w', 'mm'), hung: [{ holder: piece.holder, x, z, fixed: false }], ...more }) // prettier-ignore
const says = (w: Wall) => inspectWall(w, [piece], shop).map((v) => v.says)
const arranged = (w: Wall): Arrangement => {
  const run = arranging(w, [piece], shop, { seed: 1, rounds: 5, over: () => false })
  for (;;) {
    const { value, done } = run.next()
    if (done) return value
  }
}
const thing = (more: Partial<Thing>): Thing => ({ id: 't', kind: 'other', name: '', x: 0, z: 0, width: 900, height: 2000, ...more }) // prettier-ignore

describe('a line that nothing sticks out past', () => {
  it('is told with how far, what it hangs on counted in', () => {
    const sheet = shop.stock.find((s) => s.form === 'sheet')!.thickness
    const out = piece.out + sheet
    expect(says(wall({ line: Math.ceil(out) }))).toEqual([])
    expect(says(wall({ line: out - 10 }))[0]).toMatch(/sticks out .* past the line at/)
    expect(says(wall({ line: Math.ceil(piece.out), holds: 'studs', studs: [1000 + piece.screws[0]!] }))).not.toContain('line') // prettier-ignore
  })

  it('keeps a holder off the wall when it is arranged, and says why', () => {
    const { hung, left } = arranged(wall({ line: 40 }))
    expect(hung).toEqual([])
    expect(left[0]!.says).toContain('within the line')
    expect(arranged(wall({ line: 400 })).left).toEqual([])
  })

  it('counts how far a rack leans out, more below than above', () => {
    const rack = wall({ holds: 'rack', rack: { from: 100, to: 2000, low: 0, high: 1800, pitch: 300, ledgers: 2, lean: 10 } }) // prettier-ignore
    expect(standsOff(rack, shop, 1800)).toBeCloseTo(18 + 65)
    expect(standsOff(rack, shop, 0)).toBeCloseTo(18 + 65 + 1800 * Math.tan(Math.PI / 18))
    expect(standsOff(wall({ holds: 'strips' }), shop, 0)).toBe(0)
  })
})

describe('a door that opens over the wall', () => {
  const door = thing({ kind: 'door', x: 1500, swing: 'left' })

  it('keeps what it hits when it is open free, and only that', () => {
    expect(says(wall({ things: [door] }))[0]).toContain('where the door lies when it is open')
    expect(says(wall({ things: [{ ...door, swing: 'right' }] }))).toEqual([])
    const { swing: _, ...away } = door
    expect(says(wall({ things: [away] }))).toEqual([])
  })

  it('is left free by the arrangement', () => {
    const w = wall({ things: [door] })
    const [hung] = arranged(w).hung
    for (const { box } of keepOuts(w, shop)) expect(meets(at(piece.all, hung!.x, hung!.z), box)).toBe(false)
  })
})

describe('a pipe that is known', () => {
  const [screw] = piece.fixings
  const pipe = (x: number): Thing => thing({ kind: 'pipe', name: 'water pipe', x: x - 15, width: 30, height: 2400 })

  it('is not drilled into by a holder, and may be covered', () => {
    expect(says(wall({ things: [pipe(1000 + screw!.x)] }))[0]).toMatch(
      /A screw of Rail goes in nearer than .* water pipe/,
    )
    expect(says(wall({ things: [pipe(1000 + screw!.x + 120)] }))).toEqual([])
    const w = wall({ things: [pipe(1000 + screw!.x)] })
    expect(says({ ...w, hung: arranged(w).hung })).toEqual([])
  })

  it('takes no screw of what goes up first, and parts none of it', () => {
    for (const holds of ['panel', 'strips', 'backed', 'uprights'] as const) {
      const free = wallDesign(wall({ holds }), shop).model!
      const { model } = wallDesign(wall({ holds, things: [pipe(1200)] }), shop)
      const [keep] = keepOuts(wall({ things: [pipe(1200)] }), shop)
      const into = model!.fasteners.filter((f) => f.joint === null && f.into === null)
      for (const f of into) expect(f.at.x > keep!.box.x0 && f.at.x < keep!.box.x1).toBe(false)
      expect(model!.boards.map((b) => b.length)).toEqual(free.boards.map((b) => b.length))
    }
  })
})

describe('another like it', () => {
  it('hangs in the nearest free place at the same height, on the right first', () => {
    const one = wall({})
    const there = besideOf(one, [piece], shop, piece, { x: 1000, z: 1200 })
    expect(there.z).toBe(1200)
    expect(there.x).toBeGreaterThan(1000)
    const copy = { ...piece, holder: 'copy' }
    const both = { ...one, hung: [...one.hung, { holder: 'copy', ...there, fixed: false }] }
    expect(inspectWall(both, [piece, copy], shop)).toEqual([])
    // no nearer place does
    const nearer = { ...both, hung: [one.hung[0]!, { ...both.hung[1]!, x: there.x - 10 }] }
    expect(inspectWall(nearer, [piece, copy], shop)).not.toEqual([])
    const narrow = wall({ width: piece.all.x1 + 30 }, 10)
    expect(besideOf(narrow, [piece], shop, piece, { x: 10, z: 1200 })).toEqual({ x: 60, z: 1200 })
  })
})

describe('a wall that comes in', () => {
  const errors = (more: object) => validateSync(plainToInstance(WallDto, { ...newWall('w', 'mm'), ...more })).map((e) => e.property) // prettier-ignore

  it('may have a line, a door that opens, a pipe; told what is wrong with them', () => {
    expect(errors({ line: 300, things: [thing({ kind: 'door', swing: 'left' }), thing({ id: 'p', kind: 'pipe' })] })).toEqual([]) // prettier-ignore
    expect(errors({ line: 0 })).toEqual(['line'])
    expect(errors({ line: 'far' })).toEqual(['line'])
    expect(errors({ things: [{ ...thing({ kind: 'door' }), swing: 'up' }] })).toEqual(['things'])
  })
})
