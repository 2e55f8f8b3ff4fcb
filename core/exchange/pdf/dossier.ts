import { hardwareOf } from '../../bench/hardware'
import { boardMarks } from '../../bench/marks'
import { partsOf } from '../../bench/parts'
import { shoppingList } from '../../bench/shopping'
import type { Order } from '../../bench/steps/order'
import { stepDrawings, type CardDrawing } from '../../bench/steps/step-drawing'
import type { Design } from '../../choose/design'
import type { NoPlace } from '../../cutting/no-place'
import type { SheetCuts } from '../../cutting/sheets-used'
import { holderViews } from '../../drawing/views'
import { flipped, type Point } from '../../geometry/outline'
import type { HolderModel } from '../../model/model'
import { bitName } from '../../shop/bit-name'
import { formatExact, formatLength } from '../../units/format-length'
import { cutSheet } from './cut-sheet'
import { Flow, SMALL } from './flow'
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

/** A line of a card that is one of the cuts, which stand under their sheet. */
const isCut = (line: string): boolean => /^\d+\. /.test(line)

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
  for (const s of list.saved)
    flow.text(`From the bin: ‘${s.name}’${s.worth > 0 ? `, saves ${s.worth.toFixed(2)}` : ''}`)

  flow.heading('Cutting')
  for (const sheet of cuts) cutSheet(flow, sheet, shop)
  for (const { part, stock } of noPlace) flow.text(`${part}: larger than any ${stock.form} of ${stock.name} there is.`, { bold: true }) // prettier-ignore

  const marked = model.boards.filter((b) => b.openings.length > 0)
  if (marked.length > 0) flow.heading('Marks')
  for (const board of marked) {
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
    const cutsAbove = s.show?.look === 'sheet' && s.says.some(isCut)
    for (const line of s.says.filter((l) => !cutsAbove || !isCut(l))) flow.text(`– ${line}`, { indent: 12 })
    if (cutsAbove) flow.text('– The cuts in their order, as under Cutting.', { indent: 12 })
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
