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
