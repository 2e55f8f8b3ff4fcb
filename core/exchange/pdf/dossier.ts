import { cutWords } from '../../bench/cut-words'
import { hardwareOf } from '../../bench/hardware'
import { boardMarks } from '../../bench/marks'
import { partsOf } from '../../bench/parts'
import { shoppingList } from '../../bench/shopping'
import type { Order } from '../../bench/steps/order'
import { stepDrawings, type CardDrawing } from '../../bench/steps/step-drawing'
import type { Design } from '../../choose/design'
import type { NoPlace } from '../../cutting/no-place'
import { drawnWidth, type SheetCuts } from '../../cutting/sheets-used'
import { holderViews } from '../../drawing/views'
import { flipped, type Point } from '../../geometry/outline'
import type { HolderModel } from '../../model/model'
import { bitName } from '../../shop/bit-name'
import { formatPlaces } from '../../shop/places'
import { formatExact, formatLength, type LengthFormat } from '../../units/format-length'
import { CLEAR, Flow, SMALL } from './flow'
import { PAPERS, type Ink, type Paper } from './page'
import type { PdfDocument } from './render'
import { roomOf, viewInk } from './view-ink'

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

/** A view on paper is at most so high with its dimensions, mm. */
const HIGHEST = 105

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
    flow.drawing(view.bounds, (scale) => viewInk(view, scale, shop), HIGHEST, roomOf(view), view.title)
  }

  flow.heading('Parts')
  flow.table(
    [
      ['Part', 'Count', 'Length', 'Width', 'Thickness', 'From'],
      ...partsOf(model, shop).map((p) => [p.name, String(p.count), length(p.length), length(p.width), formatExact(p.thickness, shop), `${p.stock}, ${p.material}`]), // prettier-ignore
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
  for (const sheet of cuts) cutSheet(flow, sheet, shop, length)
  for (const { part, stock } of noPlace) flow.text(`${part}: larger than any ${stock.form} of ${stock.name} there is.`, { bold: true }) // prettier-ignore

  flow.heading('Marks')
  for (const board of model.boards.filter((b) => b.openings.length > 0)) {
    flow.room(60)
    flow.text(`${board.name}: from the datum end`, { bold: true })
    const { marks, acrossFrom } = boardMarks(model, board, shop)
    flow.table(
      [
        ['From datum', 'Mark', `From ${acrossFrom}`, 'Bit', 'Depth', 'Waste'],
        ...marks.map((m) => [length(m.printed), m.label, m.across === null ? '' : length(m.across), m.bit === null ? '' : bitName(m.bit, shop), m.depth === null ? '' : length(m.depth), m.waste ?? '']), // prettier-ignore
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
        flow.drawing(d.bounds, (scale) => [{ kind: 'window', box: { x: -1e4, y: -1e4, width: 2e4, height: 2e4 }, at: { x: 0, y: 0 }, scale, ink: cardInk(d, scale) }], 38) // prettier-ignore
    doc.moveDown(0.4)
  })
  flow.text('The figures are estimates for dry, sound wood. Prove it with more than its load; follow your local codes and the makers’ instructions.', { size: SMALL }) // prettier-ignore
}

/** A card's drawing in ink, true to size: what is done now in heavier lines. */
function cardInk({ outlines, lines }: CardDrawing, scale: number): Ink[] {
  const pen = (ink: string): { width: number } => ({ width: (ink === 'now' ? 0.6 : 0.2) / scale })
  const down = ({ x, y }: Point): Point => ({ x, y: -y })
  return [
    ...outlines.map((o): Ink => ({ kind: 'outline', outline: flipped(o.outline), pen: pen(o.ink), ...(o.ink === 'wall' ? { fill: 0.85 } : {}) })), // prettier-ignore
    ...lines.map((l): Ink => ({ kind: 'line', from: down(l.from), to: down(l.to), pen: pen(l.ink) })),
  ]
}

function cutSheet(flow: Flow, sheet: SheetCuts, format: LengthFormat, length: (mm: number) => string): void {
  const wide = drawnWidth(sheet)
  const { stock } = sheet
  const title = `${sheet.name}: ${length(stock.length)}${stock.width ? ` × ${length(stock.width)}` : ''}${stock.isOffcut ? ', from the bin' : ''}`
  const clear = sheet.noGo.length > 0 ? `; dark: kept clear ${formatPlaces(sheet.noGo, length)}` : ''
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
        ...sheet.cuts.map(({ number, from, to }): Ink => ({ kind: 'text', at: { x: ((from.x + to.x) / 2) * scale, y: ((from.y + to.y) / 2) * scale }, text: String(number), size: 2.6, bold: true })), // prettier-ignore
      ]
    },
    60,
    CLEAR,
    title + clear,
  )
  for (const cut of sheet.cuts) {
    const { set, at, then } = cutWords(cut, sheet, format)
    flow.text(`${cut.number}. ${set} ${at}${then}`, { size: SMALL, indent: 12 })
  }
}
