import { heightOf, writeColumn } from './faces'
import type { Ink } from './page'
import { draw, POINT, type PdfDocument } from './render'

/** Margins of a page, and sizes of type; mm and points. */
const EDGE = 15
const BODY = 9.5
export const SMALL = 8

/** What is left clear on each side of a drawing, mm on paper. */
export type Sides = Record<'top' | 'right' | 'bottom' | 'left', number>
export const CLEAR: Sides = { top: 3, right: 3, bottom: 3, left: 3 }

/** Where text goes on: down a page, over to the next where there is no room. */
export class Flow {
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
  /** A table; the first row is its head, which comes once more on each new page. Widths are shares of the page's. */
  table([head, ...rows]: readonly (readonly string[])[], shares: readonly number[]): void {
    const whole = shares.reduce((sum, s) => sum + s, 0)
    const widths = shares.map((s) => (this.width * s) / whole)
    const columns = head!
    const high = (row: readonly string[], isHead: boolean): number => {
      this.doc.fontSize(isHead ? SMALL : BODY)
      return Math.max(...row.map((cell, c) => heightOf(this.doc, cell, isHead, widths[c]! - 6))) + 4
    }
    const headHigh = high(columns, true)
    rows.forEach((row, i) => {
      const rowHigh = high(row, false)
      // the head never stands alone at the foot of a page
      const fits = this.doc.y + rowHigh + (i === 0 ? headHigh : 0) <= this.bottom
      if (!fits) this.page()
      if (i === 0 || !fits) this.row(columns, widths, headHigh, true)
      this.row(row, widths, rowHigh, false)
    })
    if (rows.length === 0) this.row(columns, widths, headHigh, true)
    this.doc.moveDown(0.4)
  }
  private row(cells: readonly string[], widths: readonly number[], high: number, isHead: boolean): void {
    const { doc } = this
    doc.fontSize(isHead ? SMALL : BODY)
    const y = doc.y
    let x = this.left
    cells.forEach((cell, c) => {
      writeColumn(doc, cell, isHead, x, y + 2, widths[c]! - 6)
      x += widths[c]!
    })
    doc.y = y + high
    doc
      .lineWidth(isHead ? 0.8 : 0.3)
      .undash()
      .strokeColor(isHead ? 'black' : '#aaaaaa')
    doc
      .moveTo(this.left, doc.y)
      .lineTo(this.left + this.width, doc.y)
      .stroke()
  }
  /** A drawing in mm, y down from its own origin, scaled into the page's width and at most so high (mm). */
  drawing(
    box: { minX: number; minY: number; maxX: number; maxY: number },
    ink: (scale: number) => Ink[],
    most: number,
    around: Sides = CLEAR,
    title = '',
  ): void {
    const [w, h] = [box.maxX - box.minX, box.maxY - box.minY]
    const [beside, above] = [around.left + around.right, around.top + around.bottom]
    const scale = Math.min((this.size.width - 2 * EDGE - beside) / w, (most - above) / h, 1)
    const high = (h * scale + above) * POINT
    this.room(high + 18)
    if (title) this.text(title, { size: SMALL })
    const { doc } = this
    const top = doc.y
    doc.save().translate(this.left, top).scale(POINT)
    doc.translate(around.left - box.minX * scale, around.top + box.maxY * scale)
    for (const item of ink(scale)) draw(doc, item)
    doc.restore()
    doc.x = this.left
    doc.y = top + high + 4
  }
}
