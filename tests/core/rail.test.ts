import { describe, expect, it } from 'vitest'
import { boardMarks } from '#core/bench/marks'
import { withChange } from '#core/checks/change'
import { worstOf } from '#core/checks/verdict'
import { design, finder } from '#core/choose/design'
import { fitLength } from '#core/choose/fit-length'
import { outcomeOf, remediesFor } from '#core/choose/remedies'
import { consequences } from '#core/choose/schools'
import { boardSvg } from '#core/exchange/svg'
import { plainBit } from '#core/shop/shop'
import { board, mallet, railOf, shopWith, threeMallets } from './samples'

const figure = (d: ReturnType<typeof design>, id: string) => finder(d.working)(id).value
const verdict = (d: ReturnType<typeof design>, id: string) => d.verdicts.find((v) => v.id === id)
const labels = (d: ReturnType<typeof design>, id: string) => remediesFor(d, verdict(d, id)!).map((r) => r.label)

describe('three mallets on a finger rail', () => {
  const d = design(railOf(threeMallets()))

  it('comes to the worked example', () => {
    const rail = d.model!.boards[0]!
    expect(rail.openings.map((o) => o.width)).toEqual([32, 32, 35])
    expect(rail.openings.map((o) => o.centre.x)).toEqual([51, 139, 240])
    expect(rail.length).toBe(304)
    expect([figure(d, 'web:s1'), figure(d, 'web:s2')]).toEqual([56, 67.5])
    expect(['s1', 's2', 's3'].map((s) => figure(d, `bearing:${s}`))).toEqual([15, 19, 26.5])
  })

  it('is a sound holder', () => expect(worstOf(d.verdicts)).toBe('pass'))

  it('asks for the bigger bit when a neck was measured by rule', () => {
    const [a, b, c] = threeMallets()
    const ruled = design(railOf([a!, { ...b!, sure: 'rule' }, c!]))
    expect(ruled.model!.boards[0]!.openings.map((o) => o.width)).toEqual([32, 35, 35])
  })

  it('leads every figure back to a measurement or a setting', () => {
    const find = finder(d.working)
    const walk = (id: string, depth = 0): void => {
      expect(depth).toBeLessThan(200)
      const f = find(id)
      if (f.origin.kind === 'derived') expect(f.from.length, id).toBeGreaterThan(0)
      else expect(f.from).toEqual([])
      for (const from of f.from) walk(from, depth + 1)
    }
    for (const f of d.working) walk(f.id)
  })

  it('marks the board from one end', () => {
    const { marks, chain } = boardMarks(d.model!, d.model!.boards[0]!, d.input.shop)
    expect(marks.filter((m) => m.kind === 'centre').map((m) => [m.printed, m.bit])).toEqual([
      [51, 32],
      [139, 32],
      [240, 35],
    ])
    expect(chain.map((l) => l.printed)).toEqual([51, 88, 101, 64])
    expect(marks.find((m) => m.label === 'Saw line 1, left')).toMatchObject({ printed: 35, waste: 'right' })
    expect(marks.at(-1)).toMatchObject({ kind: 'end', printed: 304, waste: 'right' })
  })
})

describe('what measuring may hide', () => {
  const bearingOf = (more: Parameters<typeof mallet>[3], turn: 0 | 1 = 0) => {
    const input = railOf([mallet('a', 27.5, 62, more)])
    const d = design({ ...input, holder: { ...input.holder, seats: [{ id: 's1', tool: 'a', turn }] } })
    return figure(d, 'bearing:s1') + figure(d, 'slot:s1') / 2
  }
  it('counts against the bearing: half of it on each side of a whole width', () => {
    expect(bearingOf({})).toBe(31)
    expect(bearingOf({ sure: 'rule' })).toBe(30.75)
    expect(bearingOf({ sureOf: { headWidth: 'eye' } })).toBe(29.5)
  })
  it('counts whole for a reach, and twice for a difference', () => {
    const uneven = { sure: 'eye', measures: { headLength: 120, faceReach: 40 } } as const
    expect(bearingOf(uneven, 1)).toBe(37)
    expect(bearingOf({ ...uneven, measures: { headLength: 120, faceReach: 80 } }, 1)).toBe(34)
  })
})

describe('attitude', () => {
  const hammer = mallet('h', 24, 40, { measures: { headLength: 120, faceReach: 45, handleThickness: 30 } })
  const turned = (turn: 0 | 1 | 2 | 3) => {
    const input = railOf([hammer])
    return design({ ...input, holder: { ...input.holder, seats: [{ id: 's1', tool: 'h', turn }] } }).model!.seats[0]!
      .extent
  }
  it('decides the extents, not the field’s name', () => {
    expect(turned(0)).toEqual({ left: 20, right: 20, front: 45, back: 75 })
    expect(turned(1)).toEqual({ left: 75, right: 45, front: 20, back: 20 })
    expect(turned(2)).toEqual({ left: 20, right: 20, front: 75, back: 45 })
    expect(turned(3)).toEqual({ left: 45, right: 75, front: 20, back: 20 })
  })
  it('takes the handle’s thickness across the slot when the face lies along the wall', () => {
    const input = railOf([hammer])
    const d = design({ ...input, holder: { ...input.holder, seats: [{ id: 's1', tool: 'h', turn: 1 }] } })
    expect(figure(d, 'needed:s1')).toBe(33)
  })
})

describe('across the rail', () => {
  it('leaves room behind the heads, or a third behind the slots, whichever is more', () => {
    const d = design(railOf(threeMallets(), { back: 'behind' }))
    expect(figure(d, 'centre')).toBe(60 + 6)
    const small = design(railOf([mallet('a', 27, 60, { measures: { headLength: 40 } })]))
    expect(figure(small, 'backWebLeft') / figure(small, 'depth')).toBeCloseTo(0.3)
  })
  it('tells when a given depth leaves too little, and offers to let it follow', () => {
    const d = design(railOf(threeMallets(), { depth: 56 }))
    expect(verdict(d, 'backWeb')!.level).toBe('stop')
    expect(verdict(d, 'clearance')!.level).toBe('stop')
    expect(labels(d, 'backWeb')).toContain('Let the depth follow from the tools')
  })
  it('refuses a depth at which the slots cut through, and draws nothing', () => {
    const d = design(railOf(threeMallets(), { depth: 40 }))
    expect(d.model).toBeNull()
    expect(labels(d, 'refused:too shallow')).toEqual(['Let the depth follow from the tools'])
  })
})

describe('bits', () => {
  it('says which bit would do when none is big enough, and each remedy helps', () => {
    const d = design(railOf([mallet('a', 37, 90)]))
    expect(verdict(d, 'bit:s1')).toMatchObject({ level: 'stop' })
    expect(verdict(d, 'bit:s1')!.says).toContain('40 mm')
    const offered = remediesFor(d, verdict(d, 'bit:s1')!)
    expect(offered.map((r) => r.label)).toEqual([
      'Buy a 40 mm bit',
      'Snug fit',
      'Two bores and a file',
      'Cut the slots with a jigsaw',
    ])
    for (const r of offered) expect(worstOf(design(withChange(d.input, r.change)).verdicts)).not.toBe('stop')
  })
  it('says loose', () => {
    const d = design(railOf([mallet('a', 25.5, 90)], {}, shopWith({ bits: [plainBit(38)] })))
    expect(verdict(d, 'bit:s1')!.level).toBe('watch')
    expect(labels(d, 'bit:s1')).toContain('Cut the slots with a jigsaw')
  })
  it('makes a slot between two bits of two bores, filed straight between them', () => {
    const d = design(railOf([mallet('a', 37, 90)], { slots: 'filed' }))
    const [slot] = d.model!.boards[0]!.openings
    expect(slot).toMatchObject({ width: 40, radius: 19, centre: { x: 65 } })
    expect(slot!.bores.map((b) => [b.centre.x, b.diameter, b.bit])).toEqual([
      [64, 38, 38],
      [66, 38, 38],
    ])
    expect(worstOf(d.verdicts)).toBe('pass')
    const { marks } = boardMarks(d.model!, d.model!.boards[0]!, d.input.shop)
    expect(marks.map((m) => [m.label, m.printed, m.bit])).toEqual([
      ['Datum end', 0, null],
      ['Saw line 1, left', 45, null],
      ['Bore 1, left', 64, 38],
      ['Centre 1', 65, null],
      ['Bore 1, right', 66, 38],
      ['Saw line 1, right', 85, null],
      ['End', 130, null],
    ])
    expect(boardSvg(d.model!, d.model!.boards[0]!, d.input.shop).match(/<circle/g)).toHaveLength(2)
  })
  it('bores once where one bit is near, and not at all where none is', () => {
    const bores = (neck: number) =>
      design(railOf([mallet('a', neck, 120)], { slots: 'filed' })).model!.boards[0]!.openings[0]!.bores.length
    expect([bores(29), bores(37), bores(54), bores(55)]).toEqual([1, 2, 2, 0])
  })
  it('shows how it comes to be loose', () => {
    const d = design(railOf([mallet('a', 25.5, 90)], {}, shopWith({ bits: [plainBit(38)] })))
    expect([figure(d, 'play:s1'), figure(d, 'looseFrom')]).toEqual([12.5, 8])
    expect(verdict(d, 'bit:s1')).toMatchObject({
      figure: 'play:s1',
      limitFigure: 'looseFrom',
      measured: { value: 12.5, limit: 8, sense: 'at most' },
    })
  })
  it('does not send anybody to buy a bit that nobody sells', () => {
    const d = design(railOf([mallet('a', 400, 900)]))
    expect(verdict(d, 'bit:s1')!.says).toContain('an opening so wide is sawn')
    expect(labels(d, 'bit:s1')).toEqual(['Cut the slots with a jigsaw'])
  })
  it('remembers that a bit is still to be bought', () => {
    const d = design(railOf([mallet('a', 25.5, 90)], {}, shopWith({ bits: [{ ...plainBit(30), toBuy: true }] })))
    expect(verdict(d, 'bit:s1')!.says).toContain('still to be bought')
  })
})

describe('webs and bearing', () => {
  const narrow = () => [mallet('a', 27.5, 46), mallet('b', 27.5, 46)]
  it('counts half a grid step against a web', () => {
    // webs of 18 between slots of 32: gap + 2 × 7
    const at = (gap: number) => verdict(design(railOf(narrow(), { gap })), 'web:s1')!.level
    expect(at(0)).toBe('pass') // 14 − 0.25 ≥ 13.5
    const thick = shopWith({ stock: [board('x', 'Ash', 'ash', 18.6)] })
    const short = verdict(design(railOf(narrow(), { gap: 0 }, thick)), 'web:s1')!
    expect(short.level).toBe('stop') // 13.75 < 13.95
    expect(short.says).toBe(
      'Web 1–2 is about 14 mm, and less than the 14 mm wanted where its marks are half a step of 0.5 mm out.',
    )
  })
  it('offers the gap that is wanted', () => {
    const thick = shopWith({ stock: [board('x', 'Ash', 'ash', 40)] })
    const d = design(railOf(narrow(), { gap: 5 }, thick))
    const [gap] = remediesFor(d, verdict(d, 'web:s1')!)
    expect(gap!.change).toEqual({ kind: 'choice', key: 'gap', value: 16.5 })
    expect(gap!.outcome).toBe(outcomeOf(design(withChange(d.input, gap!.change))))
  })
  it('wants more bearing under a heavy tool', () => {
    const at = (mass: number | null) => verdict(design(railOf([mallet('a', 27.5, 48, { mass })])), 'bearing:s1')!
    expect(at(1.5).level).toBe('pass')
    expect(at(1.6).level).toBe('stop')
    expect(at(null)).toMatchObject({ level: 'watch', measure: { tool: 'a', fields: ['mass'] } })
  })
  it('says that a head narrower than its neck falls through, and turns it if that helps', () => {
    const d = design(railOf([mallet('a', 30, 25)]))
    expect(verdict(d, 'bearing:s1')!.says).toContain('would fall through')
    expect(labels(d, 'bearing:s1')).toContain('Turn it: face right')
    expect(d.verdicts.some((v) => v.check === 'measurements')).toBe(true)
  })
  it('refuses slots that run into each other', () => {
    const d = design(railOf([mallet('a', 30, 12), mallet('b', 30, 12)], { gap: 5 }))
    expect(d.model).toBeNull()
    expect(worstOf(d.verdicts)).toBe('stop')
  })
})

describe('what can’t be planned', () => {
  it('has no tools', () => {
    const d = design(railOf([]))
    expect(d.model).toBeNull()
    expect(d.verdicts[0]!.says).toContain('No tools')
  })
  it('leaves out what is not measured and names it', () => {
    const { handleWidth: _, ...rest } = mallet('b', 30, 70).measures
    const d = design(railOf([mallet('a', 30, 70), { ...mallet('b', 30, 70), measures: rest }]))
    expect(d.model!.seats).toHaveLength(1)
    expect(verdict(d, 'refused:unmeasured:s2')).toMatchObject({
      level: 'stop',
      measure: { tool: 'b', fields: ['handleWidth'] },
    })
  })
  it('does not make a board longer than 20 m, and offers to keep half', () => {
    const many = Array.from({ length: 300 }, (_, i) => mallet(`t${i}`, 28, 80))
    const d = design(railOf(many))
    expect(d.model).toBeNull()
    expect(labels(d, 'refused:too long')).toEqual(['Keep the first half here'])
  })
  it('has no stock', () => expect(design(railOf(threeMallets(), {}, shopWith({ stock: [] }))).model).toBeNull())
})

describe('asked the other way round', () => {
  const input = railOf(threeMallets())
  it('says which gap an offcut leaves, or how many fit', () => {
    expect(fitLength(input, 304)).toMatchObject({ fitting: 3, gap: 22, spare: 0 })
    expect(fitLength(input, 324)).toMatchObject({ fitting: 3, gap: 32, spare: 20 })
    expect(fitLength(input, 290)).toMatchObject({ fitting: 2, gap: 15, spare: -14 })
    expect(fitLength(input, 200)).toMatchObject({ fitting: 2, gap: null })
    expect(fitLength(input, 150)).toMatchObject({ fitting: 1, gap: null })
    expect(fitLength(input, 1304)).toMatchObject({ fitting: 3, gap: null, spare: 1000 }) // a gap of 522 is more than any rail has
    expect(fitLength(input, 50)).toMatchObject({ fitting: 0, gap: null })
  })
  it('gives the even pitch too', () => {
    expect(fitLength(railOf(threeMallets(), { pitch: 'even' }), 337)).toMatchObject({ gap: 32, pitch: 111 })
  })
  it('says what each school comes to', () => {
    expect(consequences(input, 'pitch').map((c) => [c.value, c.board!.length])).toEqual([
      ['neighbour', 304],
      ['even', 317],
    ])
  })
})
