import { moved, rectangle } from '../../geometry/outline'
import type { Board, Joint, Opening, Seat } from '../../model/model'
import { tipBoard, tipSeat } from '../../model/tilt'
import type { Trail } from '../../working/trail'
import type { PlannedModel } from '../form'
import { cosine, sine } from '../tilting'
import type { Rows } from './rows'
import {
  aboveRule,
  backLengthRule,
  cheekHeightRule,
  cheekLengthRule,
  inBoardRule,
  offRule,
  rowBoardRule,
} from './rules'
import type { Socket } from './sockets'

/** How the rows stand: by how many degrees they lean forward, by how much each rises over the one before it (mm), and where the back is. */
interface Stand {
  tilt: number
  rise: number
  behind: boolean
}

/** A row's board across the block, and how far below the top of the back row its own top is; mm, with the texts of its figures. */
interface Row {
  board: Board
  from: number
  to: number
  down: number
  fromText: string
  toText: string
  downText: string
}

/**
 * A level block between two cheeks, leaning forward, its rows on steps, or both. The cheeks are of the back's stock.
 * @param tilt on the trail as `tilt` where it is none of nought, `rise` as `rise`
 */
export function onCheeks(trail: Trail, level: PlannedModel, laid: Rows, stand: Stand): PlannedModel {
  const value = (id: string): number => trail.get(id).value
  const [tb, thick] = [value('thickness:back'), value('blockThickness')]
  const lean = leaning(stand.tilt)
  const [block, back] = level.boards as [Board, Board]
  const rows = stand.rise > 0 ? rowBoards(trail, block, laid, stand.rise) : [wholeBlock(block)]
  const rowOf = (s: Socket): Row => rows[rows.length > 1 ? laid.rows.findIndex((r) => r.includes(s)) : 0]!
  const off = offBack(trail, rows, laid, rowOf, lean)
  const { out, tall } = cheekSize(trail, rows, lean)
  const longBack = trail.derive('backLength', 'Back, length', value('length') + 2 * tb, backLengthRule, '{length} + 2 × {thickness:back}') // prettier-ignore
  const about = { y: tb + off, z: 0 }
  const shift = { x: tb, y: off }

  const standing = rows.map(({ board, from, down }) => {
    const at = { x: tb, y: tb + off + from, z: -down }
    return tipped({ ...board, placement: { lies: 'flat', at } }, -stand.tilt, about)
  })
  const cheek = (id: string, name: string, x: number): Board => ({
    ...back,
    id,
    name,
    role: 'end',
    length: out,
    width: tall,
    outline: rectangle(0, 0, out, tall),
    placement: { lies: 'end', at: { x, y: tb, z: -tall } },
    figures: { length: 'cheekLength', width: 'cheekHeight', thickness: 'thickness:back' },
  })
  const ends = [cheek('left', 'Left cheek', 0), cheek('right', 'Right cheek', tb + block.length)]
  const behind: Board = {
    ...back,
    length: longBack,
    outline: rectangle(0, 0, longBack, back.width),
    placement: { lies: 'upright', at: { x: 0, y: 0, z: stand.behind ? -tall : -back.width } },
    figures: { ...back.figures, length: 'backLength' },
  }
  const sockets = laid.rows.flat()
  return {
    ...level,
    boards: [...standing, behind, ...ends],
    joints: joints(standing, ends),
    reach: { value: tb + out, formula: '{thickness:back} + {cheekLength}' },
    seats: level.seats.map((seat, i) => {
      const s = sockets[i]!
      const row = rowOf(s)
      const at = { x: seat.at.x + shift.x, y: seat.at.y + shift.y, z: seat.at.z - row.down }
      return leaningSeat(trail, { ...seat, at, board: row.board.id }, { s, row, laid, lean, about, thick })
    }),
  }
}

interface Lean {
  tilt: number
  s: number
  c: number
  /** how a length out or down counts in the texts of formulas */
  sin: string
  cos: string
}

const leaning = (tilt: number): Lean => tilt === 0 ? { tilt, s: 0, c: 1, sin: '0 × ', cos: '' } : { tilt, s: sine(tilt), c: cosine(tilt), sin: 'sin({tilt}) × ', cos: 'cos({tilt}) × ' } // prettier-ignore

const tipped = (board: Board, tilt: number, about: { y: number; z: number }): Board =>
  tilt === 0 ? board : tipBoard(board, tilt, about)

const wholeBlock = (board: Board): Row => ({ board, from: 0, to: board.width, down: 0, fromText: '0', toText: '{width}', downText: '0' }) // prettier-ignore

/** The block's rows as boards of their own, each with its own openings. */
function rowBoards(trail: Trail, block: Board, { rows, rowIds, width }: Rows, rise: number): Row[] {
  const at = rowIds.map((id) => trail.get(id).value)
  const edge = (r: number): { value: number; text: string } =>
    r === 0
      ? { value: 0, text: '0' }
      : r === rows.length
        ? { value: width, text: '{width}' }
        : { value: (at[r - 1]! + at[r]!) / 2, text: `({${rowIds[r - 1]}} + {${rowIds[r]}}) / 2` }
  return rows.map((row, r): Row => {
    const [a, b] = [edge(r), edge(r + 1)]
    const n = r + 1
    const from = trail.derive(`rowFrom:${n}`, `Board of row ${n} begins`, a.value, rowBoardRule, a.text)
    const wide = trail.derive(`rowWidth:${n}`, `Board of row ${n}, width`, b.value - from, rowBoardRule, `${b.text} − {rowFrom:${n}}`) // prettier-ignore
    trail.derive(`rowIn:${n}`, `Row ${n} in its board`, at[r]! - from, inBoardRule, `{${rowIds[r]}} − {rowFrom:${n}}`)
    const own = new Set(row.map((s) => s.order.id))
    const openings = block.openings.filter((o) => own.has(o.seat!)).map((o): Opening => ({ ...lower(o, from), figures: { ...o.figures, y: `rowIn:${n}` } })) // prettier-ignore
    const board: Board = { ...block, id: `row-${n}`, name: `Row ${n}`, width: wide, outline: rectangle(0, 0, block.length, wide), openings, figures: { ...block.figures, width: `rowWidth:${n}` } } // prettier-ignore
    return { board, from, to: b.value, down: r * rise, fromText: `{rowFrom:${n}}`, toText: `({rowFrom:${n}} + {rowWidth:${n}})`, downText: r === 0 ? '0' : `${r} × {rise}` } // prettier-ignore
  })
}

/** An opening so much nearer to its board's back edge, mm. */
const lower = (o: Opening, by: number): Opening => ({
  ...o,
  centre: { x: o.centre.x, y: o.centre.y - by },
  outline: moved(o.outline, 0, -by),
  bores: o.bores.map((b) => ({ ...b, centre: { x: b.centre.x, y: b.centre.y - by } })),
  ...(o.steps ? { steps: o.steps.map((b) => ({ ...b, centre: { x: b.centre.x, y: b.centre.y - by } })) } : {}),
})

interface Reach {
  value: number
  text: string
  note: string
}

const furthest = (all: readonly Reach[]): Reach => all.reduce((a, b) => (b.value > a.value ? b : a))

/** How far the block stands off the back: nothing of it, nor of what hangs out below it, leans into the wall. */
function offBack(trail: Trail, rows: readonly Row[], laid: Rows, rowOf: (s: Socket) => Row, lean: Lean): number {
  const { s, c, sin, cos } = lean
  const wood = rows.map(({ board, from, down, fromText, downText }): Reach => ({ value: s * (down + board.thickness) - c * from, text: `${sin}(${downText} + {blockThickness}) − ${cos}${fromText}`, note: board.name })) // prettier-ignore
  const clearance = trail.get('headClearance').value
  const tools = laid.rows.flatMap((row, r) =>
    row.flatMap((k): Reach[] => {
      if (k.rests !== 'shoulder' || lean.tilt === 0) return []
      const { down, downText } = rowOf(k)
      const half = k.ids.neckAcross
      const value = s * (k.below + down) - c * (laid.centres.get(k)!.y - trail.get(half).value / 2) + clearance
      const text = `${sin}({${k.ids.length}}${k.ids.sink ? ` + {${k.ids.sink}}` : ''} + ${downText}) − ${cos}({${laid.rowIds[r]}} − {${half}} / 2) + {headClearance}` // prettier-ignore
      return [{ value, text, note: k.tool.name }]
    }),
  )
  const { value, text, note } = furthest([{ value: 0, text: '0', note: '' }, ...wood, ...tools])
  return trail.derive('tiltOff', 'Block off the back', value, offRule, text, { note })
}

/** How far out and how far down the cheeks reach, mm. */
function cheekSize(trail: Trail, rows: readonly Row[], { s, c, sin, cos }: Lean): { out: number; tall: number } {
  const front = furthest(rows.map(({ board, to, down, toText, downText }) => ({ value: c * to - s * down, text: `${cos}${toText} − ${sin}${downText}`, note: board.name }))) // prettier-ignore
  const out = trail.derive('cheekLength', 'Cheek, length', trail.get('tiltOff').value + front.value, cheekLengthRule, `{tiltOff} + ${front.text}`, { print: 'up' }) // prettier-ignore
  const low = furthest(rows.map(({ board, to, down, toText, downText }) => ({ value: s * to + c * (down + board.thickness), text: `${sin}${toText} + ${cos}(${downText} + {blockThickness})`, note: board.name }))) // prettier-ignore
  const tall = trail.derive('cheekHeight', 'Cheek, height', low.value, cheekHeightRule, low.text, { print: 'up' })
  return { out, tall }
}

interface SeatOn {
  s: Socket
  row: Row
  laid: Rows
  lean: Lean
  about: { y: number; z: number }
  thick: number
}

/** A seat on its row, leaning: its handle reaches out over the front, what hangs out below leans to the wall. */
function leaningSeat(trail: Trail, seat: Seat, { s: k, row, laid, lean, about }: SeatOn): Seat {
  const { s, c, sin, cos } = lean
  const y = laid.centres.get(k)!.y
  const rowId = laid.rowIds[laid.rows.findIndex((r) => r.includes(k))]!
  const aboveId = `above:${k.order.id}`
  const { length, overall, depth, sink } = k.ids
  // sunk into its pocket, or standing on the floor of its bore
  const lift = sink
    ? ` − {${sink}}`
    : k.rests === 'floor'
      ? ` + max(0, {${length}} − {${depth ?? 'blockThickness'}})`
      : ''
  const up = trail.derive(
    aboveId,
    `${k.place} above the block`,
    k.above,
    aboveRule,
    `{${overall}} − {${length}}${lift}`,
  )
  const standing = lean.tilt === 0 ? seat : tipSeat(seat, -lean.tilt, about)
  const from = standing.at.y - about.y
  const half = trail.get(k.ids.neckAcross).value / 2
  return {
    ...standing,
    extent: {
      ...seat.extent,
      front: c * (y + k.front) + s * (up - row.down) - from,
      back:
        from - Math.min(c * (y - k.back) + s * Math.max(0, up - row.down), c * (y - half) - s * (k.below + row.down)),
    },
    reach: `{thickness:back} + {tiltOff} + ${cos}({${rowId}} + {${k.ids.front}}) + ${sin}({${aboveId}} − ${row.downText})`,
    figures: { ...seat.figures, above: aboveId },
  }
}

/** The rows between the cheeks first, then the back onto the cheeks. */
const joints = (rows: readonly Board[], ends: readonly Board[]): Joint[] =>
  [
    ...ends.flatMap((e) => rows.map((r) => ({ parts: [e.id, r.id] as [string, string], fixing: 'Glue, and screws through the cheek into the end, on the line drawn for it' }))), // prettier-ignore
    ...ends.map((e) => ({ parts: ['back', e.id] as [string, string], fixing: 'Glue, and screws from behind through the back into the cheek' })), // prettier-ignore
  ].map((joint, i) => ({ order: i + 1, ...joint, glued: true, by: 'screws' as const }))
