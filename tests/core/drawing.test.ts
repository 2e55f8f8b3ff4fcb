import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { design } from '#core/choose/design'
import { holderViews } from '#core/drawing/views'
import { marksCsv, partsCsv } from '#core/exchange/csv'
import { boardSvg, xmlText } from '#core/exchange/svg'
import { plainTool, type Tool } from '#core/footprint/tool'
import { outlineBounds } from '#core/geometry/outline'
import { placeOn } from '#core/model/standing'
import { boardOf } from '#core/model/model'
import { mallet, railOf, shopWith, threeMallets } from './samples'

const d = design(railOf(threeMallets()))
const [top, front] = holderViews(d.model!, d.input.tools, d.input.shop)
const dimension = (view: typeof top, id: string) => view!.dimensions.find((x) => x.id === id)!

describe('the views of a rail', () => {
  it('show boards at their true size, from above with the wall at the top', () => {
    expect(Object.values(top!.boardBounds).map((v) => v + 0)).toEqual([0, -(18 + 77.5), 304, 0])
    expect(Object.values(front!.boardBounds).map((v) => v + 0)).toEqual([0, -90, 304, 0])
  })

  it('have each slot where the model has it, and the neck of each tool in it', () => {
    expect(top!.seats.map((s) => [s.at.x, -s.at.y])).toEqual([
      [51, 66],
      [139, 66],
      [240, 66],
    ])
    for (const seat of top!.seats) {
      const slot = outlineBounds(seat.outlines[0]!.outline)
      const handle = outlineBounds(seat.ghost.find((g) => g.role === 'handle')!.outline)
      expect(handle.minX + seat.neck.x).toBeGreaterThan(slot.minX + seat.at.x)
      expect(handle.maxX + seat.neck.x).toBeLessThan(slot.maxX + seat.at.x)
    }
  })

  it('draw the ghost as the tool is turned', () => {
    const input = railOf([mallet('a', 28, 70, { measures: { headLength: 200, faceReach: 60 } })])
    const head = (turn: 0 | 1 | 2 | 3) => {
      const turned = design({ ...input, holder: { ...input.holder, seats: [{ id: 's1', tool: 'a', turn }] } })
      const [view] = holderViews(turned.model!, input.tools, input.shop)
      const { neck, ghost } = view!.seats[0]!
      const box = outlineBounds(ghost.find((g) => g.role === 'head')!.outline)
      const { left, right, front: out, back } = turned.model!.seats[0]!.extent
      expect([-box.minX, box.maxX, -box.minY, box.maxY].map((v) => Number(v.toFixed(6)))).toEqual([
        left,
        right,
        out,
        back,
      ])
      return neck.x
    }
    for (const turn of [0, 1, 2, 3] as const) expect(head(turn)).toBeGreaterThan(0)
  })

  it('draw what leans upright from in front, where its middle stands', () => {
    const planer: Tool = { ...plainTool('p', 'base-plate', 'Planer'), measures: { baseLength: 240, baseWidth: 100, height: 150, cutterBelow: 0 } } // prettier-ignore
    const { input } = design(railOf([mallet('a', 28, 70)]))
    const below = (turn: 0 | 1 | 2 | 3): number => {
      const holder = { ...input.holder, form: 'lean-deck', seats: [{ id: 's1', tool: 'p', turn }] }
      const { model } = design({ ...input, tools: new Map([['p', planer]]), holder })
      const [, view] = holderViews(model!, new Map([['p', planer]]), input.shop)
      const { neck, ghost } = view!.seats[0]!
      const deck = model!.boards.find((b) => b.id === 'deck')!
      const lowest = Math.min(...ghost.map((g) => outlineBounds(g.outline).minY))
      // from the deck's lower edge up its slope of 30 degrees
      return neck.y + lowest - placeOn(deck, { x: 0, y: deck.width }, 0).z
    }
    // the drawn battery stands out 14.4 behind the base
    expect(below(0)).toBeCloseTo(0.5 * (240 / 2 + 7.2))
    expect(below(2)).toBeCloseTo(0.5 * (240 / 2 - 7.2))
    for (const turn of [1, 3] as const) expect(below(turn)).toBeCloseTo(0.5 * (100 / 2))
  })

  it('show the slot in a deck for what is below the tool that stands on it', () => {
    const saw: Tool = { ...plainTool('s', 'base-plate', 'Saw'), sure: 'caliper', measures: { baseLength: 240, baseWidth: 100, height: 150, cutterBelow: 30, cutterFromRear: 40, cutterFromSide: 60, guardLength: 100, guardThickness: 12 } } // prettier-ignore
    const { input } = design(railOf([mallet('a', 28, 70)]))
    const tools = new Map([['s', saw]])
    const holder = { ...input.holder, form: 'lean-deck', seats: [{ id: 's1', tool: 's', turn: 0 as const }] }
    const { model } = design({ ...input, tools, holder })
    const [above, ahead] = holderViews(model!, tools, input.shop)
    const [slot] = model!.boards.find((b) => b.id === 'deck')!.openings
    const drawn = (view: typeof above) => view!.seats.flatMap((s) => s.outlines).map((o) => outlineBounds(o.outline))
    expect(drawn(above).map((b) => [b.maxX - b.minX, b.maxY - b.minY])).toEqual([[slot!.width, slot!.centre.y].map((v) => expect.closeTo(v, 6))]) // prettier-ignore
    expect(drawn(ahead)).toEqual([])
  })

  it('draw it anew when a figure of the tool changes', () => {
    const wide = design(railOf([mallet('a', 28, 90)]))
    const wider = design(railOf([mallet('a', 28, 120)]))
    const width = (x: typeof wide) => {
      const box = outlineBounds(holderViews(x.model!, x.input.tools, x.input.shop)[0]!.seats[0]!.ghost[0]!.outline)
      return box.maxX - box.minX
    }
    expect([width(wide), width(wider)]).toEqual([90, 120])
  })

  it('are dimensioned so that each figure leads to its working', () => {
    expect(dimension(top, 'length')).toMatchObject({ value: 304, figure: 'length', side: 'bottom', row: 3 })
    expect(dimension(top, 'depth')).toMatchObject({ value: 77.5, figure: 'depth', side: 'left' })
    expect(dimension(top, 'web:s1')).toMatchObject({ value: 56, about: true, print: 'down' })
    const chain = top!.dimensions.filter((x) => x.row === 2 && x.side === 'bottom')
    expect(chain.map((x) => x.value)).toEqual([51, 88, 101, 64])
    const ids = new Set(d.working.map((f) => f.id))
    for (const x of [...top!.dimensions, ...front!.dimensions]) expect(ids.has(x.figure!), x.id).toBe(true)
    expect(dimension(front, 'front:rail')).toMatchObject({ value: 18, side: 'right' })
    expect(dimension(front, 'front:back')).toMatchObject({ value: 90, side: 'left' })
  })

  it('never set two dimensions of one row over each other', () => {
    for (const side of ['bottom', 'left', 'right'] as const) {
      for (const row of [1, 2, 3]) {
        const spans = top!.dimensions
          .filter((x) => x.side === side && x.row === row)
          .map((x) => [Math.min(x.from, x.to), Math.max(x.from, x.to)] as const)
          .sort((a, b) => a[0] - b[0])
        spans.slice(1).forEach(([from], i) => expect(from).toBeGreaterThanOrEqual(spans[i]![1] - 1e-9))
      }
    }
  })
})

describe('what goes to the bench', () => {
  const rows = (text: string) => Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data

  it('is written in inches for an inch shop, with the model’s mm beside it', () => {
    const inch = design(railOf(threeMallets(), {}, shopWith({ unit: 'in', gridIn: 16 })))
    const marks = rows(marksCsv(inch.model!, 'rail', inch.input.shop))
    expect(marks.at(-1)).toMatchObject({ 'from datum end': '11 15/16"', 'from datum end mm (model)': '304' })
    expect(marks[2]).toMatchObject({ mark: 'Centre 1', bit: '32 mm (1 17/64")', tool: 'Mallet t1' })
    expect(rows(partsCsv(inch.model!, inch.input.shop))[0]).toMatchObject({ part: 'Rail', from: 'Pine board 18' })
  })

  it('counts across from the back edge of a flat board, and from the lower edge of an upright one', () => {
    const { model, input } = design(railOf(threeMallets()))
    expect(rows(marksCsv(model!, 'rail', input.shop))[1]).toHaveProperty('from back edge')
    const rail = boardOf(model!, 'rail')
    const upright = { ...model!, boards: [{ ...rail, placement: { ...rail.placement, lies: 'upright' as const } }] }
    const [, first] = rows(marksCsv(upright, 'rail', input.shop))
    expect(first).toHaveProperty('from lower edge')
    expect(first).not.toHaveProperty('from back edge')
  })

  it('keeps a name of several lines from becoming a formula', () => {
    const named = design(railOf([mallet('a', 28, 70, { name: '=1+1\n' }), mallet('b', 28, 70, { name: '@x\ny' })]))
    const text = marksCsv(named.model!, 'rail', named.input.shop)
    const names = new Set(rows(text).flatMap((r) => r.tool || []))
    expect([...names]).toEqual(["'=1+1\n", "'@x\ny"])
    expect(text.split('\r\n')[0]).toContain('from datum end')
  })

  it('escapes what is special in XML, and leaves out what it can’t carry', () => {
    expect(xmlText('a<b>&"c\u0000\u0007d')).toBe('a&lt;b&gt;&amp;&quot;cd')
    const named = design(railOf([mallet('a', 28, 70, { name: '</title><script>x</script>' })]))
    const svg = boardSvg(named.model!, named.model!.boards[0]!, named.input.shop)
    expect(svg).not.toContain('<script>')
    expect(svg).toContain('&lt;script&gt;')
  })
})
