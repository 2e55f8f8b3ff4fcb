import { rectangle } from '../../geometry/outline'
import type { Board, Joint, Seat } from '../../model/model'
import { tipBoard, tipSeat } from '../../model/tilt'
import type { Trail } from '../../working/trail'
import type { PlannedModel } from '../form'
import { cosine, sine } from '../tilting'
import type { LedgeRow } from './rows'
import { backLengthRule, cheekHeightRule, cheekLengthRule, offRule } from './rules'

/** How a ledge leans back. */
interface Leaning {
  /** degrees, above nought; on the trail as `tilt` */
  tilt: number
  /** the figure of how far its back is behind the face that tools lie on */
  face: string
  /** what is done to it before it is fixed */
  first: string
}

/** An upright ledge leaning back between two cheeks of the back's stock, about its lower back edge. */
export function leanBack(
  trail: Trail,
  level: PlannedModel,
  rows: readonly LedgeRow[],
  { tilt, face, first }: Leaning,
): PlannedModel {
  const [s, c] = [sine(tilt), cosine(tilt)]
  const value = (id: string): number => trail.get(id).value
  const [tb, tl, height, line] = [value('thickness:back'), value('thickness:ledge'), value('height'), value('line')]
  const deep = value(face)
  const held = rows.flatMap((r) => r.held)
  const lowest = rows.at(-1)!.down
  const highest = held.reduce((a, b) => (b.up > a.up ? b : a))
  const off = trail.derive('tiltOff', 'Ledge off the back', s * Math.max(height, highest.up + line), offRule, `sin({tilt}) × max({height}, {${highest.ids.up}} + {line})`, { note: highest.tool.name }) // prettier-ignore
  const out = trail.derive('cheekLength', 'Cheek, length', off + c * tl, cheekLengthRule, '{tiltOff} + cos({tilt}) × {thickness:ledge}', { print: 'up' }) // prettier-ignore
  const tall = trail.derive('cheekHeight', 'Cheek, height', c * height + s * tl + lowest, cheekHeightRule, `cos({tilt}) × {height} + sin({tilt}) × {thickness:ledge}${rows.length > 1 ? ` + ${rows.length - 1} × {rowPitch}` : ''}`, { print: 'up' }) // prettier-ignore
  const back = level.boards.at(-1)!
  const long = trail.derive('backLength', 'Back, length', back.length + 2 * tb, backLengthRule, `{${back.figures.length}} + 2 × {thickness:back}`) // prettier-ignore
  // each ledge leans about its own lower back edge
  const edge = (down: number) => ({ y: tb + off, z: -line - down })
  const lean = (board: Board, down: number): Board => {
    const about = edge(down)
    const { x, y, z } = board.placement.at
    return tipBoard({ ...board, placement: { lies: 'upright', at: { x: x + tb, y: y + off, z } } }, tilt, about)
  }
  const leaning = level.boards.slice(0, -1).map((ledge, i) => lean(ledge, rows[i]!.down))
  // so many on each ledge, from the uppermost
  const bought = level.bought?.map((part) => ({ ...part, ...(part.bodies ? { bodies: part.bodies.map((b, i) => lean(b, rows[Math.floor((i * rows.length) / part.bodies!.length)]!.down)) } : {}) })) // prettier-ignore
  const wood = trail.has('barThickness') ? out + c * (deep - tl) : out
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
    ...(bought ? { bought } : {}),
    joints: joints(leaning, ends, first),
    reach: { value: tb + wood, formula: `{thickness:back} + {cheekLength}${wood > out ? ' + cos({tilt}) × {barThickness}' : ''}` }, // prettier-ignore
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
          front: c * (deep + h.thick) - s * (line - h.down) - from,
          back: from - (c * deep - s * (line + h.up)),
        },
        reach: `{thickness:back} + {tiltOff} + cos({tilt}) × ({${face}} + {${h.ids.thick}}) − sin({tilt}) × ({line} − {${h.ids.down}})`,
      }
    }),
  }
}

/** The magnets first; then the ledge between the cheeks, and the back onto them. */
const joints = (ledges: readonly Board[], ends: readonly Board[], first: string): Joint[] =>
  [
    ...ends.flatMap((e) => ledges.map((l) => ({ parts: [e.id, l.id] as [string, string], fixing: `${first}; glue, and screws through the cheek into the ledge’s end, on the line drawn at its tilt` }))), // prettier-ignore
    ...ends.map((e) => ({ parts: ['back', e.id] as [string, string], fixing: 'Glue, and screws from behind through the back into the cheek' })), // prettier-ignore
  ].map((joint, i) => ({ order: i + 1, ...joint, glued: true, by: 'screws' as const }))
