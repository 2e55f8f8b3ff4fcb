import { flipped, reversed, type Outline } from '../geometry/outline'
import { coordinate, svgPath } from '../geometry/svg-path'
import { drilled, type Board, type HolderModel } from '../model/model'
import { bitName } from '../shop/bit-name'
import type { LengthFormat } from '../units/format-length'

/** Text made safe inside XML; characters that XML can't carry are left out. */
export const xmlText = (text: string): string =>
  text
    // eslint-disable-next-line no-control-regex -- these are just what XML 1.0 forbids
    .replace(/[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]/g, '')
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;')

/** A board's outline with its open slots taken out of it, as one closed path. */
export function cutOutline(board: Board): Outline {
  // a shape of its own has no slots in its front edge
  if (board.openings.every((o) => o.opensTo === null)) return board.outline
  const along = (edge: 'front' | 'back') => board.openings.filter((o) => o.opensTo === edge).sort((a, b) => a.centre.x - b.centre.x) // prettier-ignore
  const corner = (x: number, y: number) => ({ kind: 'line' as const, to: { x, y } })
  const front = board.width
  return {
    start: { x: 0, y: 0 },
    segments: [
      // each slot of the back edge from left to right
      ...along('back').flatMap(({ outline }) => [corner(outline.start.x, 0), ...outline.segments.slice(0, -1)]),
      corner(board.length, 0),
      corner(board.length, front),
      // each slot from right to left: in along the right saw line, round its end, out along the left one
      ...along('front')
        .reverse()
        .flatMap((slot) => reversed(slot.outline).segments),
      corner(0, front),
      corner(0, 0),
    ],
  }
}

/**
 * One board at true size as SVG: mm units, y down, the datum end on the left, the back edge at the top; groups `cut`
 * and `bore`; saw-open slots with true arcs.
 */
export function boardSvg(model: HolderModel, board: Board, format: LengthFormat): string {
  const n = coordinate
  const place = (outline: Outline) => svgPath(flipped(outline))
  const bores = board.openings
    .flatMap((o) => {
      const seat = model.seats.find((s) => s.id === o.seat)
      return drilled(o).map(({ centre: { x, y }, diameter, bit }) => {
        const title = xmlText(`${seat?.place ?? ''} ${seat?.name ?? ''}: ${bitName(bit, format)}`.trim())
        return [
          `    <circle cx="${n(x)}" cy="${n(y)}" r="${n(diameter / 2)}"><title>${title}</title></circle>`,
          `    <path d="M${n(x - 4)} ${n(y)}H${n(x + 4)}M${n(x)} ${n(y - 4)}V${n(y + 4)}"/>`,
        ].join('\n')
      })
    })
    .join('\n')
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${n(board.length)}mm" height="${n(board.width)}mm" viewBox="0 0 ${n(board.length)} ${n(board.width)}">
  <title>${xmlText(`${model.name}: ${board.name}`)}</title>
  <g id="cut" fill="none" stroke="#000" stroke-width="0.2">
    <path d="${place(cutOutline(board))}"/>
  </g>
  <g id="bore" fill="none" stroke="#06c" stroke-width="0.1">
${bores}
  </g>
</svg>
`
}
