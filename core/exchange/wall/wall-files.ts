import { DxfWriter, point3d, Units } from '@tarikjabiri/dxf'
import type { Design } from '../../choose/design'
import { flipped, moved } from '../../geometry/outline'
import { coordinate, svgPath } from '../../geometry/svg-path'
import type { Shop } from '../../shop/shop'
import { formatLength } from '../../units/format-length'
import { drawnWall, locating, WALL_LAYERS, type DrawnWall, type WallLayer } from '../../wall/drawn-wall'
import { hangsBy, postName } from '../../wall/holding'
import type { Wall } from '../../wall/wall'
import { csvText } from '../csv-text'
import { drawOutline } from '../dxf-outline'
import { PAPERS, type Ink, type Page, type Paper, type Pen } from '../pdf/page'
import { xmlText } from '../svg'

/** Files of a wall with what hangs on it, besides those of its sheets and strips. */
export const WALL_FILES = ['wall.svg', 'wall.dxf', 'locating.pdf', 'positions.csv'] as const
export type WallFile = (typeof WALL_FILES)[number]

const COLOURS: Record<WallLayer, number> = { wall: 7, stud: 8, thing: 1, backing: 3, holder: 5, tool: 9, screw: 6 }
const INKS: Record<WallLayer, string> = { wall: '#000', stud: '#888', thing: '#a33', backing: '#575', holder: '#06c', tool: '#999', screw: '#a0a' } // prettier-ignore

/** A wall as SVG: mm units, y down, a group for each layer. */
export function wallSvg(wall: Wall, designs: ReadonlyMap<string, Design>, shop: Shop): string {
  const d = drawnWall(wall, designs, shop)
  const n = coordinate
  const y = (v: number): string => n(wall.height - v)
  const groups = WALL_LAYERS.map((layer) => {
    const own = [
      ...d.outlines.filter((o) => o.layer === layer).map((o) => `    <path d="${svgPath(moved(o.outline, 0, -wall.height))}"/>`), // prettier-ignore
      ...d.lines.filter((l) => l.layer === layer).map((l) => `    <path d="M${n(l.from.x)} ${y(l.from.y)}L${n(l.to.x)} ${y(l.to.y)}"/>`), // prettier-ignore
      ...d.dots.filter((p) => p.layer === layer).map((p) => `    <circle cx="${n(p.at.x)}" cy="${y(p.at.y)}" r="4"/>`),
      ...d.texts.filter((t) => t.layer === layer).map((t) => `    <text x="${n(t.at.x)}" y="${y(t.at.y)}" font-size="28" stroke="none" fill="${INKS[layer]}">${xmlText(t.text)}</text>`), // prettier-ignore
    ]
    return `  <g id="${layer}" fill="none" stroke="${INKS[layer]}" stroke-width="2">\n${own.join('\n')}\n  </g>`
  })
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${n(wall.width)}mm" height="${n(wall.height)}mm" viewBox="0 0 ${n(wall.width)} ${n(wall.height)}">
  <title>${xmlText(wall.name)}</title>
${groups.join('\n')}
</svg>
`
}

/** A wall as DXF: mm, x from its left corner, y from the floor, a layer for each kind of thing. */
export function wallDxf(wall: Wall, designs: ReadonlyMap<string, Design>, shop: Shop): string {
  const d = drawnWall(wall, designs, shop)
  const dxf = new DxfWriter()
  dxf.setUnits(Units.Millimeters)
  dxf.setVariable('$LASTSAVEDBY', { 1: 'Fingerling' })
  for (const layer of WALL_LAYERS) dxf.addLayer(layer, COLOURS[layer], 'CONTINUOUS')
  const on = (layer: WallLayer): void => dxf.setCurrentLayerName(layer)
  for (const o of d.outlines) {
    on(o.layer)
    drawOutline(dxf, o.outline)
  }
  for (const l of d.lines) {
    on(l.layer)
    dxf.addLine(point3d(l.from.x, l.from.y), point3d(l.to.x, l.to.y))
  }
  for (const p of d.dots) {
    on(p.layer)
    dxf.addCircle(point3d(p.at.x, p.at.y), 4)
  }
  for (const t of d.texts) {
    on(t.layer)
    dxf.addText(point3d(t.at.x, t.at.y), 28, t.text)
  }
  return dxf.stringify()
}

/** Where everything hangs as a table: mm from the left corner and the floor. */
export const positionsCsv = (wall: Wall, designs: ReadonlyMap<string, Design>, shop: Shop): string =>
  csvText(
    locating(wall, designs, shop).map((l) => ({ holder: l.name, 'left mm': l.left, 'right mm': l.right, 'lower edge mm': l.bottom, 'upper edge mm': l.top, strip: l.strip ?? '', 'studs mm': l.studs.join(' ') })), // prettier-ignore
    ['holder', 'left mm', 'right mm', 'lower edge mm', 'upper edge mm', 'strip', 'studs mm'],
  )

const EDGE = 12
const PENS: Record<WallLayer, Pen> = {
  wall: { width: 0.4 },
  stud: { width: 0.12, grey: 0.6, dash: 1.5 },
  thing: { width: 0.25, grey: 0.3 },
  backing: { width: 0.15, grey: 0.5 },
  holder: { width: 0.3 },
  tool: { width: 0.12, grey: 0.65 },
  screw: { width: 0.1, grey: 0.5 },
}

/** The drawing of a wall scaled into a box on paper. */
function inkOf(wall: Wall, d: DrawnWall, scale: number): Ink[] {
  const p = (q: { x: number; y: number }) => ({ x: q.x, y: wall.height - q.y })
  // pens are scaled with what is inside the window
  const pen = (layer: WallLayer): Pen => {
    const { width, grey, dash } = PENS[layer]
    return { width: width / scale, ...(grey === undefined ? {} : { grey }), ...(dash === undefined ? {} : { dash: dash / scale }) } // prettier-ignore
  }
  return [
    ...d.outlines.map((o): Ink => ({ kind: 'outline', outline: moved(flipped(o.outline), 0, wall.height), pen: pen(o.layer) })), // prettier-ignore
    ...d.lines.map((l): Ink => ({ kind: 'line', from: p(l.from), to: p(l.to), pen: pen(l.layer) })),
    ...d.dots.map((q): Ink => ({ kind: 'circle', centre: p(q.at), radius: 6, pen: pen(q.layer) })),
  ]
}

/** Rows of the table on one page. */
const ROWS = 28

/** Where everything hangs on paper: the wall to scale, then each holder by its upper edge and its left end. */
export function locatingPages(wall: Wall, designs: ReadonlyMap<string, Design>, shop: Shop, paper: Paper): Page[] {
  const { width: height, height: width } = PAPERS[paper]
  const scale = Math.min((width - 2 * EDGE) / wall.width, (height - 2 * EDGE - 14) / wall.height)
  const d = drawnWall(wall, designs, shop)
  const l = (v: number): string => formatLength(v, shop)
  const located = locating(wall, designs, shop)
  const box = { x: EDGE, y: EDGE + 10, width: wall.width * scale + 1, height: wall.height * scale + 1 }
  const text = (x: number, y: number, what: string, size = 3.4, bold = false): Ink => ({ kind: 'text', at: { x, y }, text: what, size, bold }) // prettier-ignore
  const labels = located.map((h, i): Ink => text(EDGE + h.left * scale + 1, EDGE + 10 + (wall.height - h.top) * scale - 1, String(i + 1), 4, true)) // prettier-ignore
  const drawing: Page = { width, height, ink: [text(EDGE, EDGE + 4, `${wall.name}, ${l(wall.width)} × ${l(wall.height)}, 1 : ${Math.round(1 / scale)}`, 5, true), { kind: 'window', box, at: { x: EDGE, y: EDGE + 10 }, scale, ink: inkOf(wall, d, scale) }, ...labels] } // prettier-ignore
  const columns = [EDGE, EDGE + 10, EDGE + 95, EDGE + 135, EDGE + 175, EDGE + 215]
  const head = [
    '',
    'Holder',
    'Left end',
    'Right end',
    'Upper edge',
    hangsBy(wall) === 'strips' ? 'Strip, from below' : `In ${postName(wall)}s at`,
  ]
  const tables = Array.from({ length: Math.ceil(located.length / ROWS) }, (_, page): Page => ({
    width,
    height,
    ink: [
      text(EDGE, EDGE + 4, 'Where each hangs: left end from the left corner, upper edge from the floor', 4.4, true),
      ...head.map((h, c) => text(columns[c]!, EDGE + 13, h, 3.2, true)),
      ...located.slice(page * ROWS, (page + 1) * ROWS).flatMap((h, i): Ink[] => {
        const y = EDGE + 20 + i * 6
        const where = hangsBy(wall) === 'strips' ? String(h.strip ?? '–') : h.studs.map(l).join(', ') || '–'
        const cells = [String(page * ROWS + i + 1), h.name.slice(0, 44), l(h.left), l(h.right), l(h.top), where]
        return cells.map((c, k) => text(columns[k]!, y, c))
      }),
    ],
  }))
  return [drawing, ...tables]
}
