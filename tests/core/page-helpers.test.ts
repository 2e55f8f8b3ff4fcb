import { describe, expect, it } from 'vitest'
import { design } from '#core/choose/design'
import { checkAgainst } from '#core/exchange/project/problems'
import { ShopDto } from '#core/exchange/project/shop.dto'
import { formOf } from '#core/forms/all-forms'
import { settingKeys } from '#core/shop/settings'
import type { Origin } from '#core/working/figure'
import { holderViews } from '#core/drawing/views'
import { allKinds } from '#core/footprint/kinds'
import { placeLabels } from '../../app/composables/cardLabels'
import { differences } from '../../app/composables/differences'
import { dimensionAt, drawnDimension } from '../../app/composables/dimensionLines'
import type { View } from '#core/drawing/view'
import { frontBoxOf, layScene } from '../../app/composables/drawingScene'
import { limitsOf } from '../../app/composables/figureLimits'
import { fileName } from '../../app/composables/download'
import { changesIn } from '../../app/composables/changesIn'
import { counted } from '../../app/composables/counted'
import { textParts } from '../../app/composables/fractions'
import { seatMarks } from '../../app/composables/seatMarks'
import { standing } from '../../app/composables/tools'
import { heapsOf, keepRows, rowsOf, type Sort } from '../../app/composables/trayLayout'
import { inkOf, seatAt } from '../../app/composables/viewInk'
import { mallet, railOf, threeMallets } from './samples'

const d = design(railOf(threeMallets()))
const [top] = holderViews(d.model!, d.input.tools, d.input.shop)

describe('what differs between two versions', () => {
  const mm = (x: number) => `${x} mm`
  const tool = (id: string) => `Tool ${id}`
  it('is told down to single figures', () => {
    const mine = { name: 'A', choices: { gap: 40, fit: 'snug' }, mass: 1, seats: [{ tool: 'x' }] }
    const theirs = { name: 'A', choices: { gap: 32 }, mass: 2, seats: [{ tool: 'y' }, { tool: 'x' }] }
    expect(differences(mine, theirs, tool, mm)).toEqual([
      { what: 'choices: gap', mine: '40 mm', theirs: '32 mm' },
      { what: 'choices: fit', mine: 'snug', theirs: '–' },
      { what: 'mass', mine: '1 kg', theirs: '2 kg' },
      { what: 'seats', mine: 'Tool x', theirs: 'Tool y, Tool x' },
    ])
  })
  it('is nothing for the same', () => expect(differences({ a: [1] }, { a: [1] }, tool, mm)).toEqual([]))
})

describe('a figure that is changed where it comes from', () => {
  const limits = (origin: Origin, kind?: string) => limitsOf({ origin }, kind, formOf('finger-rail')!.choices)
  it('lies between the limits that it is saved with', () => {
    expect(limits({ kind: 'shop', key: 'backHeight' })).toEqual({ min: 20, max: 1000 })
    expect(limits({ kind: 'bit', bit: 'forstner', diameter: 32 })).toEqual({ min: 0.5, max: 300 })
    expect(limits({ kind: 'saw', id: 'x' })).toEqual({ min: 0.2, max: 8 })
    expect(limits({ kind: 'stock', id: 'x', key: 'thickness' })).toEqual({ min: 1, max: 200 })
    const field = allKinds.flatMap((k) => k.fields.map((f) => ({ kind: k.id, f }))).find(({ f }) => f.noughtAllowed)!
    expect(limits({ kind: 'measurement', tool: 'x', field: field.f.key }, field.kind)).toEqual({ min: 0 })
    expect(limits({ kind: 'measurement', tool: 'x', field: 'handleWidth' }, 'mallet')).toEqual({})
  })
  it('is one of its form’s choices, or anything where there is no such', () => {
    const choice = formOf('finger-rail')!.choices.find((c) => c.type === 'length')!
    expect(limits({ kind: 'choice', key: choice.key })).toEqual({ min: choice.min, max: choice.max })
    expect(limits({ kind: 'choice', key: 'none' })).toEqual({})
  })
  it('keeps to the same limits as what is saved, setting by setting', () => {
    for (const key of settingKeys)
      for (const [at, value] of Object.entries(limits({ kind: 'shop', key }))) {
        const out = value! + (at === 'min' ? -0.01 : 0.01)
        expect(checkAgainst(ShopDto, { settings: { [key]: value } }).ok, `${key} ${value}`).toBe(true)
        expect(checkAgainst(ShopDto, { settings: { [key]: out } }).ok, `${key} ${out}`).toBe(false)
      }
  })
})

describe('a drawn dimension', () => {
  const length = top!.dimensions.find((x) => x.id === 'length')!
  const place = { a: 100, b: 400, foot: 50, edge: 60 }
  it('stands in its row, with its figure in the middle', () => {
    const drawn = drawnDimension(length, place, '304 mm')
    expect(drawn).toMatchObject({ roomy: true, figure: 'length', label: { x: 250, anchor: 'middle' } })
    expect(drawn.span).toEqual({ x0: 100, x1: 400, y0: 60 + 6 + 3 * 19, y1: 60 + 6 + 3 * 19 })
  })
  it('keeps its figure back where there is no room, but beside the line on the right', () => {
    expect(drawnDimension(length, { ...place, b: 110 }, '304 mm').roomy).toBe(false)
    const beside = drawnDimension({ ...length, side: 'right' }, { ...place, b: 110 }, '17.5')
    expect(beside).toMatchObject({ roomy: true, label: { anchor: 'start' } })
  })
  it('is hit near its line, the nearest one first', () => {
    const near = drawnDimension({ ...length, id: 'near', row: 1 }, place, '')
    const far = drawnDimension({ ...length, id: 'far', row: 2 }, place, '')
    expect(dimensionAt([far, near], 250, 60 + 6 + 19 + 3)?.id).toBe('near')
    expect(dimensionAt([far, near], 250, 60 + 6 + 38 - 3)?.id).toBe('far')
    expect(dimensionAt([far, near], 50, 85)).toBeNull()
    expect(dimensionAt([far, near], 250, 200)).toBeNull()
  })
})

describe('the ink of a view', () => {
  it('is one path a kind, with a piece for each seat', () => {
    const ink = inkOf(top!.seats)
    expect(ink.opening.match(/M/g)).toHaveLength(3)
    expect(ink.handle.match(/M/g)).toHaveLength(3)
    expect(ink.centre.match(/M/g)).toHaveLength(6)
    expect(Object.values(inkOf([])).every((path) => path === '')).toBe(true)
  })
  it('knows the seat under a point', () => {
    expect(seatAt(top!.seats, 139, -66)).toBe('s2')
    expect(seatAt(top!.seats, 240 + 43, -66)).toBe('s3')
    expect(seatAt(top!.seats, 95, -66)).toBeNull()
  })
})

describe('the seats’ numbers', () => {
  const at = (scale: number) => (x: number, y: number) => ({ x: x * scale, y: y * scale })
  it('stand behind their slots', () => {
    const marks = seatMarks(d.model!, d.verdicts, at(1))
    expect(marks.map((m) => [m.place, m.x, m.y, m.level])).toEqual([
      [1, 51, 66 - 16 - 14, undefined],
      [2, 139, 66 - 16 - 14, undefined],
      [3, 240, 66 - 17.5 - 14, undefined],
    ])
  })
  it('make way on a crowded rail, save those that something is said of', () => {
    const tools = [...threeMallets(), mallet('t4', 37, 90), mallet('t5', 29, 70)]
    const crowded = design(railOf(tools))
    const marks = seatMarks(crowded.model!, crowded.verdicts, at(0.1))
    expect(marks.map((m) => m.place)).toContain(4)
    expect(marks.find((m) => m.place === 4)!.level).toBe('stop')
    expect(marks.length).toBeLessThan(5)
  })
})

it('takes a text apart at its fractions', () => {
  expect(textParts('1 1/2" × 3/4"')).toEqual([
    { text: '1 ', fraction: false },
    { text: '1/2', fraction: true },
    { text: '" × ', fraction: false },
    { text: '3/4', fraction: true },
    { text: '"', fraction: false },
  ])
  expect(textParts('no 7 or 8')).toEqual([{ text: 'no 7 or 8', fraction: false }])
})

it('names files by letters and digits only', () => {
  expect(fileName('Mallets: by the / bench…')).toBe('mallets-by-the-bench')
  expect(fileName('../../etc')).toBe('etc')
  expect(fileName('***')).toBe('holder')
  expect(fileName('x'.repeat(200))).toHaveLength(60)
})

describe('labels of a measuring card', () => {
  const size = { width: 500, height: 280 }
  const box = (l: { at: { x: number; y: number }; width: number }) => ({
    x0: l.at.x - l.width / 2,
    x1: l.at.x + l.width / 2,
    y0: l.at.y - 8,
    y1: l.at.y + 8,
  })
  const meet = (a: ReturnType<typeof box>, b: ReturnType<typeof box>) =>
    a.x0 < b.x1 && b.x0 < a.x1 && a.y0 < b.y1 && b.y0 < a.y1

  it('stand on a line that has room, and beside one that has none', () => {
    const [long, short] = placeLabels(
      [
        { a: { x: 100, y: 50 }, b: { x: 300, y: 50 }, text: '1 245' },
        { a: { x: 100, y: 90 }, b: { x: 110, y: 90 }, text: '2 14' },
      ],
      [],
      size,
    )
    expect(long!.at).toEqual({ x: 200, y: 50 })
    expect(short!.at.x).toBeGreaterThan(110)
    expect(short!.at.y).toBe(90)
  })
  it('keep apart and inside, on the card of every kind', () => {
    for (const kind of allKinds) {
      const { lines } = kind.card({ measures: {}, options: {} })
      const spread = lines.map((l, i) => ({
        a: { x: 120 + (l.from.x % 240), y: 140 + (l.from.y % 100) },
        b: { x: 120 + (l.to.x % 240), y: 140 + (l.to.y % 100) },
        text: `${i + 1} ${(i * 37) % 300}`,
      }))
      const labels = placeLabels(spread, [], size).map(box)
      for (const l of labels) expect([l.x0 >= 0, l.y0 >= 0, l.x1 <= 500, l.y1 <= 280], kind.id).not.toContain(false)
    }
  })
  it('do not cover each other where lines lie side by side', () => {
    const lines = [0, 10, 20].map((dy, i) => ({
      a: { x: 200, y: 100 + dy },
      b: { x: 206, y: 100 + dy },
      text: `${i} 14`,
    }))
    const labels = placeLabels(lines, [], size).map(box)
    expect(meet(labels[0]!, labels[1]!) || meet(labels[1]!, labels[2]!) || meet(labels[0]!, labels[2]!)).toBe(false)
  })
})

describe('the tray', () => {
  const stand = (id: string, more: object = {}) => standing({ ...mallet(id, 28, 70), ...more })
  it('puts heaps side by side and large ones over several rows', () => {
    const all = Array.from({ length: 7 }, (_, i) => stand(`a${i}`, { group: i < 5 ? 'Big' : 'Small' }))
    const rows = rowsOf(
      heapsOf(all, 'group', () => false),
      400,
      0.3,
    )
    expect(rows.map((r) => r.stretches.map((s) => [s.heap, s.count, s.cells.length]))).toEqual([
      [['Big', 5, 3]],
      [['Big', 0, 2]],
      [['Small', 2, 2]],
    ])
    expect(Math.max(...rows.flatMap((r) => r.stretches.flatMap((s) => s.cells.map((c) => c.width))))).toBeLessThan(400)
  })
  it('sorts by use, size, place and name', () => {
    const all = [
      stand('a', { name: 'Mallet 10', use: 'rarely' }),
      stand('b', { name: 'Mallet 9', use: 'daily', measures: { handleWidth: 28, headWidth: 70, headLength: 390 } }),
    ]
    const heaps = (sort: Sort) =>
      heapsOf(all, sort, (id) => id === 'b').map((h) => [h.name, h.all.map((s) => s.tool.id).join()])
    expect(heaps('use')).toEqual([['daily', 'b'], ['rarely', 'a']]) // prettier-ignore
    expect(heaps('place')).toEqual([['No place yet', 'a'], ['In a holder', 'b']]) // prettier-ignore
    expect(heaps('size')).toEqual([['Largest first', 'b,a']])
    expect(heaps('name')).toEqual([['By name', 'b,a']])
  })
  it('keeps the rows that show the same', () => {
    const all = [stand('a'), stand('b'), stand('c')]
    const rows = (list: typeof all) =>
      rowsOf(
        heapsOf(list, 'name', () => false),
        250,
        0.3,
      )
    const before = rows(all)
    expect(before).toHaveLength(2)
    expect(keepRows(before, rows([...all])).map((r, k) => r === before[k])).toEqual([true, true])
    expect(keepRows(before, rows([all[1]!, all[2]!]))[0]).not.toBe(before[0])
  })
})

describe('the views on the screen', () => {
  const hung = design(railOf(threeMallets(), { hung: 'strip', backHeight: 220 }))
  const views = holderViews(hung.model!, hung.input.tools, hung.input.shop)
  const size = { width: 760, height: 520 }
  const box = frontBoxOf(views)
  const scene = layScene(views, box, size, 1, { x: 0, y: 0 })!

  it('are to one scale, within the room there is, none over another', () => {
    const at = (name: string) => scene.placed.find((p) => p.view.name === name)!
    const [top, front, side] = [at('top'), at('front'), at('side')]
    expect(top.oy - top.view.bounds.minY * scene.s).toBeLessThan(front.oy - box!.maxY * scene.s)
    expect(front.ox + front.view.bounds.maxX * scene.s).toBeLessThan(side.ox + side.view.bounds.minX * scene.s)
    expect(side.ox + side.view.bounds.maxX * scene.s).toBeLessThan(size.width)
    expect(front.oy - box!.minY * scene.s).toBeLessThan(size.height)
    expect(front.oy).toBe(side.oy)
  })

  it('grow with the zoom and go where they are dragged', () => {
    const nearer = layScene(views, box, size, 2, { x: 10, y: 20 })!
    expect(nearer.s).toBeCloseTo(2 * scene.s)
    const dragged = layScene(views, box, size, 1, { x: 10, y: 20 })!
    expect(dragged.placed[0]!.ox - scene.placed[0]!.ox).toBe(10)
    expect(dragged.placed[1]!.oy - scene.placed[1]!.oy).toBe(20)
  })

  it('leave room on the left for as many rows of dimensions as there are', () => {
    const [top, front, side] = views as [View, View, View]
    const [first] = front.dimensions.filter((x) => x.side === 'left')
    const more = { ...front, dimensions: [...front.dimensions, { ...first!, id: 'outer', row: 5 }] }
    // as tall as it may be: what is left and right of it is all there is
    const shallow = { width: 760, height: 2000 }
    const x = (of: View[]) => layScene(of, box, shallow, 1, { x: 0, y: 0 })!.placed[1]!.ox + front.bounds.minX * layScene(of, box, shallow, 1, { x: 0, y: 0 })!.s // prettier-ignore
    expect(x([top, more, side])).toBeGreaterThanOrEqual(5 * 19 + 14)
    expect(x([top, front, side])).toBeLessThan(5 * 19)
  })

  it('cut long handles short below, and long grips above', () => {
    const long = holderViews(d.model!, d.input.tools, d.input.shop)
    const front = long.find((v) => v.name === 'front')!
    expect(frontBoxOf(long)!.minY).toBe(Math.max(front.bounds.minY, front.boardBounds.minY - 70))
    expect(frontBoxOf(long)!.minY).toBeGreaterThan(front.bounds.minY)
    expect(layScene([], undefined, size, 1, { x: 0, y: 0 })).toBeNull()
  })
})

it('counts in words', () => {
  expect([0, 1, 2].map((n) => counted(n, 'tool'))).toEqual(['0 tools', '1 tool', '2 tools'])
  expect(changesIn({ moved: 0, left: [] }, 0)).toBe('')
  expect(changesIn({ moved: 2, left: ['a'] }, 5)).toBe(': moves 2 of 5, 1 without a place')
})
