import { rectangle } from '../../geometry/outline'
import type { Board, Joint, Seat } from '../../model/model'
import { tipBoard, tipSeat } from '../../model/tilt'
import type { Trail } from '../../working/trail'
import type { PlannedModel } from '../form'
import { cosine, sine } from '../tilting'
import type { Held } from './held'
import { backLengthRule, cheekHeightRule, cheekLengthRule, offRule } from './rules'

/**
 * An upright ledge leaning back between two cheeks of the back's stock, about its lower back edge.
 * @param tilt degrees, above nought; on the trail as `tilt`
 */
export function leanBack(trail: Trail, level: PlannedModel, held: readonly Held[], tilt: number): PlannedModel {
  const [s, c] = [sine(tilt), cosine(tilt)]
  const value = (id: string): number => trail.get(id).value
  const [tb, tl, height, line] = [value('thickness:back'), value('thickness:ledge'), value('height'), value('line')]
  const highest = held.reduce((a, b) => (b.up > a.up ? b : a))
  const off = trail.derive('tiltOff', 'Ledge off the back', s * Math.max(height, highest.up + line), offRule, `sin({tilt}) × max({height}, {${highest.ids.up}} + {line})`, { note: highest.tool.name }) // prettier-ignore
  const out = trail.derive('cheekLength', 'Cheek, length', off + c * tl, cheekLengthRule, '{tiltOff} + cos({tilt}) × {thickness:ledge}', { print: 'up' }) // prettier-ignore
  const tall = trail.derive('cheekHeight', 'Cheek, height', c * height + s * tl, cheekHeightRule, 'cos({tilt}) × {height} + sin({tilt}) × {thickness:ledge}', { print: 'up' }) // prettier-ignore
  const long = trail.derive('backLength', 'Back, length', value('length') + 2 * tb, backLengthRule, '{length} + 2 × {thickness:back}') // prettier-ignore
  const about = { y: tb + off, z: -line }
  const [ledge, back] = level.boards as [Board, Board]
  const at = { x: tb, y: tb + off, z: -line }
  const leaning = tipBoard({ ...ledge, placement: { lies: 'upright', at } }, tilt, about)
  const cheek = (id: string, name: string, x: number): Board => ({
    ...back,
    id,
    name,
    role: 'end',
    length: out,
    width: tall,
    outline: rectangle(0, 0, out, tall),
    placement: { lies: 'end', at: { x, y: tb, z: -line } },
    figures: { length: 'cheekLength', width: 'cheekHeight', thickness: 'thickness:back' },
  })
  const ends = [cheek('left', 'Left cheek', 0), cheek('right', 'Right cheek', tb + ledge.length)]
  const behind: Board = { ...back, length: long, outline: rectangle(0, 0, long, back.width), figures: { ...back.figures, length: 'backLength' } } // prettier-ignore
  return {
    ...level,
    boards: [leaning, behind, ...ends],
    joints: joints(ends),
    reach: { value: tb + out, formula: '{thickness:back} + {cheekLength}' },
    seats: level.seats.map((seat, i): Seat => {
      const h = held[i]!
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
const joints = (ends: readonly Board[]): Joint[] =>
  [
    ...ends.map((e) => ({ parts: [e.id, 'ledge'] as [string, string], fixing: 'The discs in their holes first, all the same way up, with a drop of epoxy; glue, and screws through the cheek into the ledge’s end, on the line drawn at its tilt' })), // prettier-ignore
    ...ends.map((e) => ({ parts: ['back', e.id] as [string, string], fixing: 'Glue, and screws from behind through the back into the cheek' })), // prettier-ignore
  ].map((joint, i) => ({ order: i + 1, ...joint, glued: true, by: 'screws' as const }))
