import { describe, expect, it } from 'vitest'
import { cutWords, thenText } from '#core/bench/cut-words'
import { shoppingList } from '#core/bench/shopping'
import { seenSheet } from '#core/bench/seen-sheet'
import { stepDrawings } from '#core/bench/steps/step-drawing'
import { pieceNames } from '#core/bench/steps/words'
import { benchSteps } from '#core/bench/steps/steps'
import { design } from '#core/choose/design'
import { PAIR } from '#core/cutting/from-holders'
import { cutsOf, leftoversOf, type Cut } from '#core/cutting/cuts'
import type { CutPlacement } from '#core/cutting/instance'
import { quickCuts, quickPlan } from '#core/cutting/quick-cuts'
import { closedUp } from '#core/cutting/strips'
import { NOT_HELD } from '#core/cutting/rest-first'
import { heldSafely } from '#core/shop/held-safely'
import { placesOf } from '#core/shop/places'
import type { Shop } from '#core/shop/shop'
import { usualShop } from '#core/shop/usual'
import { newWall } from '#core/wall/wall'
import { wallDesign } from '#core/wall/backing/wall-model'
import { board, mallet, railOf, shopWith, threeMallets } from './samples'
import { isPart, sawThrough } from './saw-through'

const lying = (partId: string, x: number, y: number, length: number, width: number): CutPlacement => ({ stockId: 's', stockIndex: 0, partId, x, y, length, width, rotated: false }) // prettier-ignore

describe('a piece behind waste', () => {
  it('is turned at the saw, its good edge against the fence, and comes out at its size', () => {
    const end = lying('end', 74, 30, 115, 64)
    const cuts = cutsOf(410, 118, [end], 2)
    expect(cuts.map((c) => [c.direction, c.fence, c.turned])).toEqual([
      ['cross', 189, false],
      ['rip', 94, false],
      ['rip', 64, true],
      ['cross', 115, true],
    ])
    expect(cuts.at(-1)!.gives).toEqual(['end'])
    expect(sawThrough(410, 118, cuts, 2).pieces.some((p) => isPart(p, end))).toBe(true)
    // what lay before it is left, the kerf off
    expect(leftoversOf(410, 118, [end], 2)).toContainEqual({ x: 0, y: 30, length: 72, width: 64 })
  })

  it('is turned once with all that lie behind the same waste', () => {
    const turned = cutsOf(700, 100, [lying('a', 60, 0, 640, 40), lying('b', 60, 42, 640, 58)], 2).filter((c) => c.turned) // prettier-ignore
    expect(turned.map((c) => [c.direction, c.fence])).toEqual([['cross', 640]])
  })

  it('is moved up where nothing keeps it there', () => {
    const placed = [lying('a', 0, 0, 100, 50), lying('b', 140, 0, 60, 50), lying('c', 140, 60, 60, 20)]
    const close = closedUp(placed, 3)
    expect(close.map(({ partId, x, y }) => [partId, x, y])).toEqual(
      expect.arrayContaining([
        ['a', 0, 0],
        ['b', 103, 0],
        ['c', 0, 53],
      ]),
    )
    expect(cutsOf(400, 90, close, 3).filter((c) => c.turned)).toEqual([])
  })
})

describe('pieces in a row', () => {
  const row = [0, 102, 204].map((x, i) => lying(`p${i}`, x, 0, 100, 40))

  it('have their size from the stop, each of them, and none is what the others’ kerfs leave', () => {
    expect(cutsOf(1000, 40, row, 2).map((c) => [c.fence, ...c.gives])).toEqual([[100, 'p0'], [100, 'p1'], [100, 'p2']]) // prettier-ignore
    // the blank is cut roughly where they are ripped first
    expect(cutsOf(1000, 60, row, 2).map((c) => [c.direction, c.fence])).toEqual([
      ['cross', 309],
      ['rip', 40],
      ['cross', 100],
      ['cross', 100],
      ['cross', 100],
    ])
    // and just where a single one ends
    expect(cutsOf(1000, 60, row.slice(0, 1), 2).map((c) => c.fence)).toEqual([100, 40])
    // where no more is there, the last is what is left
    expect(cutsOf(306, 40, row, 2).map((c) => c.fence)).toEqual([100, 100, 100])
    expect(cutsOf(304, 40, row, 2).map((c) => c.fence)).toEqual([100, 100])
  })
})

describe('what is ripped', () => {
  it('stays as long as is held safely until it is ripped, where there is as much', () => {
    const back = lying('back', 0, 0, 168, 90)
    const held = { shortest: 300, always: true }
    const fences = (long: number, wide: number, how = held) => cutsOf(long, wide, [back], 2, how).map((c) => `${c.direction} ${c.fence}`) // prettier-ignore
    expect(fences(2400, 140)).toEqual(['cross 300', 'rip 90', 'cross 168'])
    expect(fences(2400, 140, { ...held, always: false })).toEqual(['cross 300', 'rip 90', 'cross 168'])
    // of what is not much longer all is ripped, unless a band saw takes what is short
    expect(fences(410, 140)).toEqual(['rip 90', 'cross 168'])
    expect(fences(410, 140, { ...held, always: false })).toEqual(['cross 168', 'rip 90'])
    // nothing is ripped of what is as wide as the board
    expect(fences(2400, 90)).toEqual(['cross 168'])
    expect(fences(2400, 140, NOT_HELD)).toEqual(['cross 168', 'rip 90'])
  })

  const stock = [{ ...board('b', 'Board', 'eastern white pine', 18), length: 2400, width: 140 }]
  const cards = (more: Partial<Shop>) => {
    const shop = { ...usualShop('S', 'mm', 'full'), stock, ...more }
    const { model } = design(railOf([mallet('a', 25, 50), mallet('b', 25, 50)], { hung: 'strip' }, shop))
    const { steps } = benchSteps({ model: model!, shop, cuts: quickCuts(shop, [{ id: 'h1', model: model! }]) }, 'h1')
    return { cut: steps.find((s) => s.id.startsWith('cut:'))!, bevel: steps.find((s) => s.kind === 'bevel')! }
  }
  const { saws } = usualShop('S', 'mm', 'full')

  it('goes to a saw that does not throw it back, where it is shorter', () => {
    const { cut, bevel } = cards({})
    expect(cut.settings.find((s) => s.label === 'Rips')!.value).toBe('Table saw · Band saw')
    expect(cut.says.some((t) => /^\d+\. Rip by the band saw, fence at \d.* mm: foot$/.test(t))).toBe(true)
    expect(cut.cautions.join(' ')).not.toContain('held safely at the saws')
    expect(bevel.settings[0]!.value).toBe('Table saw')
    expect(bevel.cautions[0]).toContain('Nothing shorter than 300 mm is held safely at this saw')
  })

  it('is left to the hands where the shop has no such saw', () => {
    const { cut } = cards({ saws: saws.filter((s) => s.kind === 'table saw') })
    expect(cut.settings.find((s) => s.label === 'Rips')!.value).toBe('Table saw')
    expect(cut.cautions[0]).toMatch(/^Nothing shorter than 300 mm is held safely at the saws there are: make cuts? \d.* along a longer piece/) // prettier-ignore
  })

  it('is cut to length at once in a shop that rips by hand', () => {
    const having = (...kinds: string[]) => heldSafely({ unit: 'mm', saws: saws.filter((s) => kinds.includes(s.kind)) })
    expect(having('table saw', 'band saw')).toEqual({ shortest: 300, always: false })
    expect(having('track saw', 'jigsaw')).toEqual({ shortest: 300, always: true })
    expect(having('handsaw', 'jigsaw')).toEqual(NOT_HELD)
    expect(having()).toEqual(NOT_HELD)
    // a foot in a shop of inches
    expect(heldSafely({ unit: 'in', saws }).shortest).toBe(304.8)
  })
})

describe('what is said of a cut', () => {
  const shop = shopWith()
  const sheetOf = (holders: number) => {
    const models = Array.from({ length: holders }, (_, i) => {
      const { model } = design(railOf(threeMallets(), {}, shop))
      return { id: `h${i}`, model: { ...model!, name: `Rail ${i + 1}` } }
    })
    return quickCuts(shop, models)[0]!
  }

  it('names what comes off, and of whom where there are several holders', () => {
    const said = (holders: number) => cutWords(sheetOf(holders), shop).map(thenText).join(' ') // prettier-ignore
    expect(said(1)).toMatch(/: (rail|back)/)
    expect(said(1)).not.toContain(' of Rail')
    expect(said(2)).toContain('of Rail 1')
    expect(said(2)).toContain('of Rail 2')
  })

  const { saws } = usualShop('S', 'mm', 'full')
  const sawsOf = (...kinds: string[]): Shop => ({ ...shop, saws: saws.filter((s) => kinds.includes(s.kind)) })
  const one = (more: Partial<Cut>, owned: Shop) => {
    const sheet = sheetOf(1)
    return cutWords({ ...sheet, cuts: [{ ...sheet.cuts[0]!, fence: 64, gives: [], waits: null, ...more }] }, owned)[0]!
  }
  const long = { from: { x: 0, y: 64 }, to: { x: 900, y: 64 } }

  it('tells what waits, and how a turned piece is set', () => {
    const table = sawsOf('table saw')
    expect(one({ direction: 'rip', ...long, waits: 5 }, table)).toMatchObject({ set: 'Rip, fence at', at: '64 mm', waits: 5 }) // prettier-ignore
    expect(one({ direction: 'rip', ...long, turned: true, gives: ['h0/back'] }, table)).toMatchObject({ set: 'Rip from the other edge, fence at', gives: ['back'] }) // prettier-ignore
    expect(one({ direction: 'cross', turned: true }, table).set).toBe('Cross-cut from the other end, stop at')
    expect(thenText({ gives: [], waits: 5 })).toBe(': the rest waits for cut 5')
    expect(thenText({ gives: ['back', 'lip'], waits: 5 })).toBe(': back and lip; the rest waits for cut 5')
    expect(thenText({ gives: [], waits: null })).toBe('')
  })

  it('goes by a fence or stop only where the saw has one', () => {
    const set = (direction: Cut['direction'], ...kinds: string[]) => one({ direction, ...long }, sawsOf(...kinds)).set
    expect(set('rip', 'handsaw')).toBe('Rip to the line at')
    expect(set('cross', 'jigsaw')).toBe('Cross-cut to the line at')
    expect(set('rip', 'track saw')).toBe('Rip to the line at')
    expect(set('rip', 'band saw')).toBe('Rip, fence at')
    expect(set('cross', 'mitre saw', 'jigsaw')).toBe('Cross-cut to the line at')
    expect(one({ direction: 'cross', from: { x: 64, y: 0 }, to: { x: 64, y: 140 } }, sawsOf('mitre saw', 'jigsaw')).set).toBe('Cross-cut, stop at') // prettier-ignore
  })

  it('warns of what the saw does that makes it', () => {
    const { model } = design(railOf(threeMallets(), { hung: 'strip' }, shop))
    const said = (...kinds: string[]) => {
      const owned = sawsOf(...kinds)
      const cuts = quickCuts(owned, [{ id: 'h0', model: model! }])
      const { steps } = benchSteps({ model: model!, shop: owned, cuts }, 'h0')
      return steps.filter((s) => s.kind === 'cut' || s.kind === 'bevel').flatMap((s) => [...s.says, ...s.cautions]).join(' ') // prettier-ignore
    }
    expect(said('table saw')).toContain('push block')
    expect(said('table saw')).toContain('tilts to the left: the fence goes')
    expect(said('track saw')).toContain('carries the guide')
    expect(said('track saw')).toContain('set its guide by a test cut')
    expect(said('handsaw', 'jigsaw')).toContain('Tilt its base to 45°')
    for (const by of [said('track saw'), said('handsaw', 'jigsaw')]) expect(by).not.toMatch(/push block|fence|stop/)
  })

  it('is drawn with its number, the pieces by their names where they have room', () => {
    const sheet = sheetOf(1)
    const { model } = design(railOf(threeMallets(), {}, shop))
    const { steps } = benchSteps({ model: model!, shop, cuts: [sheet] }, 'h0')
    const drawn = (wide: number) => {
      const placements = sheet.placements.map((p) => ({ ...p, length: wide }))
      const [drawing] = stepDrawings({ model: model!, cuts: [{ ...sheet, placements }], shop }, steps[0]!)
      return drawing!.labels.map((l) => l.text)
    }
    expect(drawn(300)).toEqual(expect.arrayContaining(['Rail', 'Back', ...sheet.cuts.map((c) => String(c.number))]))
    expect(drawn(20)).toEqual(sheet.cuts.map((c) => String(c.number)))
  })

  it('is drawn without what lies far beyond the last of them', () => {
    const sheet = sheetOf(1)
    const of = (long: number) => seenSheet({ ...sheet, stock: { ...sheet.stock, length: long } })
    const used = Math.max(...sheet.cuts.map((c) => c.to.x), ...sheet.placements.map((p) => p.x + p.length))
    expect(of(used + 50)).toMatchObject({ length: used + 50, corners: { length: 4 } })
    const broken = of(used * 4)
    expect(broken.length).toBeLessThan(used * 1.5)
    expect(broken.length).toBeGreaterThan(used)
    expect(Math.min(...broken.corners.slice(1, -1).map(([x]) => x))).toBeGreaterThan(used)
    // a place to be kept clear at its far end is seen
    expect(seenSheet({ ...sheet, stock: { ...sheet.stock, length: used * 4 }, noGo: placesOf(`${used * 3.9} to ${used * 4}`) }).length).toBe(used * 4) // prettier-ignore
  })

  it('has the blade’s kerf as it is, off the grid', () => {
    const { model } = design(railOf(threeMallets(), {}, shop))
    const sheet = sheetOf(1)
    const kerf = { ...sheet, job: { ...sheet.job, instance: { ...sheet.job.instance, kerf: 2.6 } } }
    const { steps } = benchSteps({ model: model!, shop, cuts: [kerf] }, 'h0')
    expect(steps[0]!.settings).toContainEqual({ label: 'Kerf reckoned with', value: '2.6 mm' })
  })
})

describe('pieces of stock that are cut alike', () => {
  const cutCards = (unit: 'mm' | 'in', holds: 'strips' | 'panel' | 'uprights') => {
    const shop = usualShop('S', unit, 'full')
    const { model } = wallDesign({ ...newWall('w', unit), holds }, shop)
    const cuts = quickCuts(shop, [{ id: 'w', model: model! }])
    const { steps } = benchSteps({ model: model!, shop, cuts }, 'w')
    return { model: model!, shop, cuts, steps: steps.filter((s) => s.kind === 'cut') }
  }

  it('have one card, with every piece that comes of them, each once', () => {
    const { model, cuts, steps } = cutCards('in', 'strips')
    expect(cuts.length).toBeGreaterThan(steps.length)
    expect(steps.flatMap((s) => s.show!.boards).sort()).toEqual(cuts.map((c) => c.key).sort())
    expect(steps.flatMap((s) => s.makes).sort()).toEqual(model.boards.map((b) => `cut:${b.id}#1`).sort())
    const [whole, cut] = ['Take 4 × Pine one-by as they come', 'Cut up 4 × Pine one-by'].map((t) => steps.find((s) => s.title === t)!) // prettier-ignore
    expect(whole!.says[0]).toContain('Nothing is sawn')
    expect(whole!.settings.map((s) => s.label)).toEqual(['Each'])
    expect(cut!.says.slice(0, 2)).toEqual(['All 4 alike: each setting for all of them before the next.', expect.stringMatching(/^1\. Cross-cut, stop at 48"/)]) // prettier-ignore
  })

  it('are named piece by piece, in order', () => {
    expect(pieceNames(['upright 12', 'upright 3', 'upright 4'])).toBe('upright 3, 4 and 12')
    expect(pieceNames(['ledger 2.1', 'ledger 1.1'])).toBe('ledger 1.1 and ledger 2.1')
    expect(pieceNames(['rail', 'back'])).toBe('back and rail')
    expect(pieceNames(['two strips', 'two strips'])).toBe('2 × two strips')
    expect(pieceNames(['lip'])).toBe('lip')
    expect(pieceNames(['lip', 'divider 1', 'divider 2'])).toBe('divider 1, divider 2 and lip')
  })

  it('are drawn once', () => {
    const { model, cuts, shop, steps } = cutCards('mm', 'panel')
    const drawn = stepDrawings({ model, cuts, shop }, steps[0]!)
    expect(drawn.map((d) => d.title)).toEqual([expect.stringMatching(/^\d × Birch ply 18, each/)])
  })

  it.each(['hand', 'small', 'full'] as const)('give two strips each, by whichever saw tilts: %s', (outfit) => {
    const shop = usualShop('S', 'mm', outfit)
    const { model } = wallDesign({ ...newWall('w', 'mm'), holds: 'framed' }, shop)
    const cuts = quickCuts(shop, [{ id: 'w', model: model! }])
    expect(model!.boards.filter((b) => b.bevel)).toHaveLength(4)
    expect(cuts.flatMap((c) => c.placements).filter((p) => p.partId.includes(PAIR))).toHaveLength(2)
  })

  it.each(['mm', 'in'] as const)('give two uprights each, in %s', (unit) => {
    const { cuts, model } = cutCards(unit, 'uprights')
    const posts = model.boards.filter((b) => b.placement.lies === 'post')
    const used = cuts.filter((c) => c.placements.some((p) => posts.some((b) => p.partId === `w/${b.id}`)))
    expect(posts.length).toBeGreaterThan(4)
    expect(used.length).toBeLessThanOrEqual(Math.ceil(posts.length / 2) + 1)
  })
})

it('wants alike pieces that no stock is large enough for together', () => {
  const shop = shopWith({ stock: [{ ...board('b', 'Board', 'eastern white pine', 18), length: 2400, width: 20 }] })
  const { model } = design(railOf(threeMallets(), { layers: '2' }, shop))
  const { cuts, noPlace } = quickPlan(shop, [
    { id: 'h1', model: model! },
    { id: 'h2', model: model! },
  ])
  const { wanted } = shoppingList(shop, [model!], cuts, noPlace)
  expect(new Set(wanted.map((w) => w.name)).size).toBe(wanted.length)
  expect(wanted.find((w) => w.name.includes('at least'))!.count).toBeGreaterThan(1)
})
