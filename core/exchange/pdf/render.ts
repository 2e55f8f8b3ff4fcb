import type PDFDocument from 'pdfkit'
import { widthOf, writeLine } from './faces'
import { flipped } from '../../geometry/outline'
import { svgPath } from '../../geometry/svg-path'
import type { Ink, Page, Pen } from './page'

/** What of a PDF document is used here: one of pdfkit is handed in. */
export type PdfDocument = InstanceType<typeof PDFDocument>

/** Points of a PDF to a mm. */
export const POINT = 72 / 25.4

function usePen(doc: PdfDocument, { width, grey = 0, dash }: Pen): void {
  doc.lineWidth(width).strokeColor(shade(grey))
  if (dash) doc.dash(dash, { space: dash })
  else doc.undash()
}

const shade = (grey: number): [number, number, number] => {
  const part = Math.round(grey * 255)
  return [part, part, part]
}

const paint = (doc: PdfDocument, fill: number | undefined, { grey = 0 }: Pen): void => {
  if (fill === undefined) doc.stroke()
  else doc.fillAndStroke(shade(fill), shade(grey))
}

export function draw(doc: PdfDocument, ink: Ink): void {
  switch (ink.kind) {
    case 'outline':
      usePen(doc, ink.pen)
      // a path of ours has y up, the page y down
      doc.path(svgPath(flipped(ink.outline)))
      return paint(doc, ink.fill, ink.pen)
    case 'line':
      usePen(doc, ink.pen)
      doc.moveTo(ink.from.x, ink.from.y).lineTo(ink.to.x, ink.to.y).stroke()
      return
    case 'circle':
      usePen(doc, ink.pen)
      doc.circle(ink.centre.x, ink.centre.y, ink.radius)
      return paint(doc, ink.fill, ink.pen)
    case 'text': {
      const { at, text, size, align = 'left' } = ink
      doc.save().fontSize(size).fillColor([0, 0, 0])
      const wide = widthOf(doc, text, ink.bold ?? false)
      doc.translate(at.x, at.y)
      if (ink.upright) doc.rotate(-90)
      const x = align === 'left' ? 0 : align === 'middle' ? -wide / 2 : -wide
      writeLine(doc, text, ink.bold ?? false, x, -size * 0.78)
      doc.restore()
      return
    }
    case 'window': {
      const { box, at, scale } = ink
      doc.save().rect(box.x, box.y, box.width, box.height).clip()
      doc.translate(at.x, at.y).scale(scale)
      for (const inner of ink.ink) draw(doc, inner)
      doc.restore()
    }
  }
}

/** Adds pages to a document whose own first page was left out. Every coordinate in the file is mm, by one scale a page. */
export function renderPages(doc: PdfDocument, pages: readonly Page[]): void {
  for (const page of pages) {
    doc.addPage({ size: [page.width * POINT, page.height * POINT], margin: 0 })
    doc.save().scale(POINT)
    for (const ink of page.ink) draw(doc, ink)
    doc.restore()
  }
}
