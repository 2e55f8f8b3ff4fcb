import { rectangle } from '../../geometry/outline'
import type { Board, Joint, Seat } from '../../model/model'
import { tipBoard, tipSeat } from '../../model/tilt'
import type { Trail } from '../../working/trail'
import type { PlannedModel } from '../form'
import { cosine, sine } from '../tilting'
import type { LedgeRow } from './rows'
import { backLengthRule, cheekHeightRule, cheekLengthRule, offRule } from './rules'

/**
 * An upright ledge leaning back between two cheeks of the back's stock, about its lower back edge.
 * @param tilt degrees, above nought; on the trail as `tilt`
 */
export function leanBack(trail: Trail, level: PlannedModel, rows: readonly LedgeRow[], tilt: number): PlannedModel {
  const [s, c] = [sine(tilt), cosine(tilt)]
  const value = (id: string): number => trail.get(id).value
  const [tb, tl, height, line] = [value('thickness:back'), value('thickness:ledge'), value('height'), value('line')]
  const held = rows.flatMap((r) => r.held)
  const lowest = rows.at(-1)!.down
  const highest = held.reduce((a, b) => (b.up > a.up ? b : a))
  const off = trail.derive('tiltOff', 'Ledge off the back', s * Math.max(height, highest.up + line), offRule, `sin({tilt}) × max({height}, {${highest.ids.up}} + {line})`, { note: highest.tool.name }) // prettier-ignore
  const out = trail.derive('cheekLength', 'Cheek, length', off + c * tl, cheekLengthRule, '{tiltOff} + cos({tilt}) × {thickness:ledge}', { print: 'up' }) // prettier-ignore
  const tall = trail.derive('cheekHeight', 'Cheek, height', c * height + s * tl + lowest, cheekHeightRule, `cos({tilt}) × {height} + sin({tilt}) × {thickness:ledge}${rows.length > 1 ? ` + ${rows.length - 1} × {rowPitch}` : ''}`, { print: 'up' }) // prettier-ignore
  const long = trail.derive('backLength', 'Back, length', value('length') + 2 * tb, backLengthRule, '{length} + 2 × {thickness:back}') // prettier-ignore
  const back = level.boards.at(-1)!
  // each ledge leans about its own lower back edge
  const edge = (down: number) => ({ y: tb + off, z: -line - down })
  const leaning = level.boards.slice(0, -1).map((ledge, i) => {
    const about = edge(rows[i]!.down)
    return tipBoard({ ...ledge, placement: { lies: 'upright', at: { x: tb, ...about } } }, tilt, about)
  })
  const cheek = (id: string, name: string, x: number): Board => ({
    ...back,
    id,
    name,
    role: 'end',
    length: out,
    width: tall,
    outline: rectangle(0, 0, out, tall),
    placement: { lies: 'end', at: { x, y: tb, z: -line - lowest } },
    figures: { length: 'cheekLength', width: 'cheekHeight', thickness: 'thickness:back' },
  })
  const ends = [cheek('left', 'Left cheek', 0), cheek('right', 'Right cheek', tb + leaning[0]!.length)]
  const behind: Board = { ...back, length: long, outline: rectangle(0, 0, long, back.width), figures: { ...back.figures, length: 'backLength' } } // prettier-ignore
  return {
    ...level,
    boards: [...leaning, behind, ...ends],
    joints: joints(leaning, ends),
    reach: { value: tb + out, formula: '{thickness:back} + {cheekLength}' },
    seats: level.seats.map((seat, i): Seat => {
      const h = held[i]!
      const about = edge(rows.find((r) => r.held.includes(h))!.down)
      const placed = { ...seat, at: { x: seat.at.x + tb, y: seat.at.y + off, z: seat.at.z } }
      const tipped = tipSeat(placed, tilt, about)
      const from = tipped.at.y - about.y
      return {
        ...tipped,
        // what reaches down leans out, what reaches up leans to the wall
        extent: {
          ...seat.extent,
          front: c * (tl + h.thick) - s * (line - h.down) - from,
          back: from - (c * tl - s * (line + h.up)),
        },
        reach: `{thickness:back} + {tiltOff} + cos({tilt}) × ({thickness:ledge} + {${h.ids.thick}}) − sin({tilt}) × ({line} − {${h.ids.down}})`,
      }
    }),
  }
}

/** The discs first; then the ledge between the cheeks, and the back onto them. */
const joints = (ledges: readonly Board[], ends: readonly Board[]): Joint[] =>
  [
    ...ends.flatMap((e) => ledges.map((l) => ({ parts: [e.id, l.id] as [string, string], fixing: 'The discs in their holes first, all the same way up, with a drop of epoxy; glue, and screws through the cheek into the ledge’s end, on the line drawn at its tilt' }))), // prettier-ignore
    ...ends.map((e) => ({ parts: ['back', e.id] as [string, string], fixing: 'Glue, and screws from behind through the back into the cheek' })), // prettier-ignore
  ].map((joint, i) => ({ order: i + 1, ...joint, glued: true, by: 'screws' as const }))
