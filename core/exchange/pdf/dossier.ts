import { hardwareOf } from '../../bench/hardware'
import { boardMarks } from '../../bench/marks'
import { partsOf } from '../../bench/parts'
import { shoppingList } from '../../bench/shopping'
import type { Order } from '../../bench/steps/order'
import { stepDrawings } from '../../bench/steps/step-drawing'
import type { Design } from '../../choose/design'
import type { NoPlace } from '../../cutting/no-place'
import { drawnWidth, type SheetCuts } from '../../cutting/sheets-used'
import { holderViews } from '../../drawing/views'
import type { Dimension, View } from '../../drawing/view'
import { flipped, moved } from '../../geometry/outline'
import type { HolderModel } from '../../model/model'
import { bitName } from '../../shop/bit-name'
import { formatLength } from '../../units/format-length'
import { PAPERS, type Ink, type Paper, type Pen } from './page'
import { heightOf, writeColumn } from './faces'
import { draw, POINT, type PdfDocument } from './render'

/** What a dossier is made from. */
export interface DossierInput {
  design: Design
  model: HolderModel
  cuts: readonly SheetCuts[]
  noPlace: readonly NoPlace[]
  order: Order
  paper: Paper
  /** day on which it is made, ISO 8601 */
  day: string
}

/** Margins of a page, and sizes of type; mm and points. */
const EDGE = 15
const BODY = 9.5
const SMALL = 8

const LINE: Pen = { width: 0.25 }
const GHOST: Pen = { width: 0.18, grey: 0.6 }
const DIMENSION: Pen = { width: 0.12, grey: 0.3 }

/** Rows of dimensions stand so far apart, mm on paper. */
const ROW = 6

/** Where text goes on: down a page, over to the next where there is no room. */
class Flow {
  constructor(
    readonly doc: PdfDocument,
    private readonly size: { width: number; height: number },
  ) {
    this.page()
  }
  get width(): number {
    return (this.size.width - 2 * EDGE) * POINT
  }
  get left(): number {
    return EDGE * POINT
  }
  get bottom(): number {
    return (this.size.height - EDGE) * POINT
  }
  page(): void {
    this.doc.addPage({ size: [this.size.width * POINT, this.size.height * POINT], margin: EDGE * POINT })
  }
  /** Room for so much, in points; a new page where there is less. */
  room(height: number): void {
    if (this.doc.y + height > this.bottom) this.page()
  }
  heading(text: string): void {
    this.room(70)
    this.doc.moveDown(0.6).fontSize(13).fillColor('black')
    writeColumn(this.doc, text, true, this.left, this.doc.y, this.width)
    this.doc.moveDown(0.2)
  }
  text(text: string, { size = BODY, bold = false, indent = 0 } = {}): void {
    this.doc.fontSize(size).fillColor('black')
    const width = this.width - indent
    this.room(heightOf(this.doc, text, bold, width))
    writeColumn(this.doc, text, bold, this.left + indent, this.doc.y, width)
  }
  /** A table; the first row is its head. Widths are shares of the page's. */
  table(rows: readonly (readonly string[])[], shares: readonly number[]): void {
    const { doc } = this
    const whole = shares.reduce((sum, s) => sum + s, 0)
    rows.forEach((row, i) => {
      const bold = i === 0
      doc.fontSize(bold ? SMALL : BODY)
      const widths = shares.map((s) => (this.width * s) / whole)
      const high = Math.max(...row.map((cell, c) => heightOf(doc, cell, bold, widths[c]! - 6)))
      this.room(high + 4)
      const y = doc.y
      let x = this.left
      row.forEach((cell, c) => {
        writeColumn(doc, cell, bold, x, y + 2, widths[c]! - 6)
        x += widths[c]!
      })
      doc.y = y + high + 4
      doc
        .lineWidth(i === 0 ? 0.8 : 0.3)
        .undash()
        .strokeColor(i === 0 ? 'black' : '#aaaaaa')
      doc
        .moveTo(this.left, doc.y)
        .lineTo(this.left + this.width, doc.y)
        .stroke()
    })
    doc.moveDown(0.4)
  }
  /** A drawing in mm, y down from its own origin, scaled into the page's width and at most so high (mm). */
  drawing(
    box: { minX: number; minY: number; maxX: number; maxY: number },
    ink: (scale: number) => Ink[],
    most: number,
    around = 2,
    title = '',
  ): void {
    const [w, h] = [box.maxX - box.minX, box.maxY - box.minY]
    const scale = Math.min((this.size.width - 2 * EDGE - 2 * around) / w, (most - 2 * around) / h, 1)
    const high = (h * scale + 2 * around) * POINT
    this.room(high + 18)
    if (title) this.text(title, { size: SMALL })
    const { doc } = this
    const top = doc.y
    doc.save().translate(this.left, top).scale(POINT)
    doc.translate(around - box.minX * scale, around + box.maxY * scale)
    for (const item of ink(scale)) draw(doc, item)
    doc.restore()
    doc.x = this.left
    doc.y = top + high + 4
  }
}

/** A view on paper: boards, ghosts of the tools, dimensions; mm on paper about the view's origin, y down. */
function viewInk(view: View, scale: number, shop: Design['input']['shop']): Ink[] {
  const shrink = (k: number): Ink => ({ kind: 'window', box: { x: -1e4, y: -1e4, width: 2e4, height: 2e4 }, at: { x: 0, y: 0 }, scale: k, ink: [] }) // prettier-ignore
  const pen = (p: Pen): Pen => ({ ...p, width: p.width / scale, ...(p.dash ? { dash: p.dash / scale } : {}) })
  const inside: Ink[] = [
    ...view.boards.map((b): Ink => ({ kind: 'outline', outline: flipped(b.outline), pen: pen(LINE), fill: 1 })),
    ...view.seats.flatMap((s): Ink[] => [
      ...s.outlines.map((o): Ink => ({ kind: 'outline', outline: flipped(moved(o.outline, s.at.x, s.at.y)), pen: pen(LINE) })), // prettier-ignore
      ...s.ghost.map((g): Ink => ({ kind: 'outline', outline: flipped(moved(g.outline, s.neck.x, s.neck.y)), pen: pen(GHOST) })), // prettier-ignore
    ]),
  ]
  return [{ ...(shrink(scale) as Extract<Ink, { kind: 'window' }>), ink: inside }, ...view.dimensions.flatMap((d) => dimensionInk(d, view, scale, shop))] // prettier-ignore
}

function dimensionInk(d: Dimension, view: View, scale: number, shop: Design['input']['shop']): Ink[] {
  const { bounds } = view
  const off = ROW * (d.row + 1)
  const text = `${d.about ? 'about ' : ''}${d.prefix}${formatLength(d.value, shop, d.print, false)}`
  const [a, b] = [d.from * scale, d.to * scale]
  if (d.side === 'top' || d.side === 'bottom') {
    const y = d.side === 'top' ? -bounds.maxY * scale - off : -bounds.minY * scale + off
    return [
      { kind: 'line', from: { x: a, y }, to: { x: b, y }, pen: DIMENSION },
      ...[a, b].map((x): Ink => ({ kind: 'line', from: { x: x - 0.8, y: y + 0.8 }, to: { x: x + 0.8, y: y - 0.8 }, pen: LINE })), // prettier-ignore
      ...(Math.abs(b - a) > text.length * 1.4 ? [{ kind: 'text' as const, at: { x: (a + b) / 2, y: y - 1 }, text, size: 2.8, align: 'middle' as const }] : []), // prettier-ignore
    ]
  }
  const x = d.side === 'left' ? bounds.minX * scale - off : bounds.maxX * scale + off
  return [
    { kind: 'line', from: { x, y: -a }, to: { x, y: -b }, pen: DIMENSION },
    ...[a, b].map((z): Ink => ({ kind: 'line', from: { x: x - 0.8, y: -z + 0.8 }, to: { x: x + 0.8, y: -z - 0.8 }, pen: LINE })), // prettier-ignore
    ...(Math.abs(b - a) > text.length * 1.4 ? [{ kind: 'text' as const, at: { x: x - 1, y: -(a + b) / 2 }, text, size: 2.8, align: 'middle' as const, upright: true }] : []), // prettier-ignore
  ]
}

/** Rows of dimensions on the fullest side of a view. */
const rowsOf = (view: View): number => Math.max(0, ...view.dimensions.map((d) => d.row + 1))

/**
 * The whole work on paper: drawings, parts, hardware, what to buy, cutting, marks, steps with their cautions.
 * @param doc of pdfkit, without a first page, with the faces registered; the caller ends it
 */
export function writeDossier(
  doc: PdfDocument,
  { design, model, cuts, noPlace, order, paper, day }: DossierInput,
): void {
  const { shop, tools } = design.input
  const flow = new Flow(doc, PAPERS[paper])
  const length = (mm: number): string => formatLength(mm, shop)

  flow.text(model.name, { size: 20, bold: true })
  flow.text(`${shop.name} · ${day} · lengths in ${shop.unit === 'mm' ? 'millimetres' : 'inches'} · all marks run from the datum end`, { size: SMALL }) // prettier-ignore
  for (const v of design.verdicts.filter((x) => x.level !== 'pass')) flow.text(`${v.level === 'stop' ? 'STOP' : 'Watch'}: ${v.says}`, { bold: v.level === 'stop' }) // prettier-ignore
  if (design.verdicts.some((v) => v.level === 'stop')) flow.text('Don’t build it so.', { bold: true, size: 12 })

  flow.heading('Drawings')
  for (const view of holderViews(model, tools, shop)) {
    flow.drawing(view.bounds, (scale) => viewInk(view, scale, shop), 95, 3 + ROW * rowsOf(view), view.title)
  }

  flow.heading('Parts')
  flow.table(
    [
      ['Part', 'Count', 'Length', 'Width', 'Thickness', 'From'],
      ...partsOf(model, shop).map((p) => [p.name, String(p.count), length(p.length), length(p.width), length(p.thickness), `${p.stock}, ${p.material}`]), // prettier-ignore
    ],
    [3, 1, 2, 2, 2, 4],
  )
  flow.heading('Hardware')
  flow.table(
    [['What', 'Count', 'For'], ...hardwareOf([model], shop).map((h) => [h.name, h.kind === 'glue' ? `${h.count} ${h.count === 1 ? 'joint' : 'joints'}` : String(h.count), `${h.use}${h.toBuy ? ', to buy' : ''}`])], // prettier-ignore
    [5, 2, 5],
  )
  const list = shoppingList(shop, [model], cuts, noPlace)
  flow.heading('To buy')
  if (list.wanted.length === 0) flow.text('Nothing.')
  for (const w of list.wanted) flow.text(`${w.count} × ${w.name}${w.cost === null ? '' : `, ${w.cost.toFixed(2)}`}`)
  for (const s of list.saved) flow.text(`From the bin: ${s.name}${s.worth > 0 ? `, saves ${s.worth.toFixed(2)}` : ''}`)

  flow.heading('Cutting')
  for (const sheet of cuts) cutSheet(flow, sheet, model, length)
  for (const { part, stock } of noPlace) flow.text(`${part}: larger than any ${stock.form} of ${stock.name} there is.`, { bold: true }) // prettier-ignore

  flow.heading('Marks')
  for (const board of model.boards.filter((b) => b.openings.length > 0)) {
    flow.text(`${board.name}: from the datum end`, { bold: true })
    flow.table(
      [
        ['From datum', 'Mark', 'From back', 'Bit', 'Depth', 'Waste'],
        ...boardMarks(model, board, shop).marks.map((m) => [length(m.printed), m.label, m.across === null ? '' : length(m.across), m.bit === null ? '' : bitName(m.bit, shop), m.depth === null ? '' : length(m.depth), m.waste ?? '']), // prettier-ignore
      ],
      [2, 4, 2, 3, 2, 1.5],
    )
  }

  flow.heading('Steps')
  order.steps.forEach((s, i) => {
    flow.room(60)
    flow.text(`${i + 1}. ${s.title}`, { bold: true, size: 11 })
    if (s.settings.length > 0)
      flow.text(s.settings.map((x) => `${x.label}: ${x.value}`).join('   ·   '), { indent: 12 })
    for (const line of s.says) flow.text(`– ${line}`, { indent: 12 })
    for (const line of s.notYet) flow.text(line, { indent: 12, bold: true })
    for (const line of s.cautions) flow.text(`! ${line}`, { indent: 12, size: SMALL, bold: true })
    if (s.kind === 'join' || s.kind === 'hang')
      for (const d of stepDrawings({ model, cuts, shop }, s))
        flow.drawing(d.bounds, (scale) => [{ kind: 'window', box: { x: -1e4, y: -1e4, width: 2e4, height: 2e4 }, at: { x: 0, y: 0 }, scale, ink: d.outlines.map((o): Ink => ({ kind: 'outline', outline: flipped(o.outline), pen: { width: (o.ink === 'now' ? 0.6 : 0.2) / scale }, ...(o.ink === 'wall' ? { fill: 0.85 } : {}) })) }], 38) // prettier-ignore
    doc.moveDown(0.4)
  })
  flow.text('The figures are estimates for dry, sound wood. Prove it with more than its load; follow your local codes and the makers’ instructions.', { size: SMALL }) // prettier-ignore
}

function cutSheet(flow: Flow, sheet: SheetCuts, model: HolderModel, length: (mm: number) => string): void {
  const wide = drawnWidth(sheet)
  const { stock } = sheet
  const title = `${sheet.name}: ${length(stock.length)}${stock.width ? ` × ${length(stock.width)}` : ''}${stock.isOffcut ? ', from the bin' : ''}`
  const nameOf = (id: string): string => sheet.job.names[id]?.part ?? id
  flow.drawing(
    { minX: 0, minY: -wide, maxX: stock.length, maxY: 0 },
    (scale) => {
      const box = (x: number, y: number, l: number, w: number, fill: number): Ink => ({ kind: 'outline', pen: { width: 0.2 }, fill, outline: { start: { x, y }, segments: [[x + l, y], [x + l, y + w], [x, y + w], [x, y]].map(([px, py]) => ({ kind: 'line', to: { x: px!, y: py! } })) } }) // prettier-ignore
      return [
        box(0, 0, stock.length * scale, wide * scale, 0.85),
        ...sheet.noGo.map((p) => box(p.from * scale, p.low * scale, (p.to - p.from) * scale, (Math.min(p.high, wide) - p.low) * scale, 0.4)), // prettier-ignore
        ...sheet.placements.flatMap((p): Ink[] => [
          box(p.x * scale, p.y * scale, p.length * scale, (p.width || wide) * scale, 1),
          { kind: 'text', at: { x: p.x * scale + 1, y: p.y * scale + 3.2 }, text: nameOf(p.partId), size: 2.6 },
        ]),
      ]
    },
    60,
    2,
    title,
  )
  flow.text(sheet.cuts.map((c) => `${c.number}. ${c.direction === 'rip' && stock.width ? 'rip, fence' : 'cross-cut, stop'} ${length(c.fence)}`).join('   '), { size: SMALL }) // prettier-ignore
}
