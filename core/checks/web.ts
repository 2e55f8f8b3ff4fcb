import { formOf } from '../forms/all-forms'
import { greatestLength } from '../forms/choice-value'
import { formatLength, gridStep } from '../units/format-length'
import { toGrid } from '../units/grid'
import { discWebRule, endWebRule, rowWebRule, webLimitRule, webRule } from './rules'
import { gridOn, limitFrom, offer, remedy, TOLERANCE, type Check, type Subject } from './subject'
import type { Remedy, Verdict } from './verdict'
import { openingNames } from '../model/opening-name'
import { openingKey, openingRows, seatedBoards, type Board, type Opening } from '../model/model'

/** The two openings of two rows with the least wood between them, mm. */
function nearest(behind: readonly Opening[], before: readonly Opening[]): { a: Opening; b: Opening; wood: number } {
  let least: { a: Opening; b: Opening; wood: number } | null = null
  for (const a of behind) {
    for (const b of before) {
      const apart = Math.hypot(b.centre.x - a.centre.x, b.centre.y - a.centre.y)
      const wood = apart - (a.width + b.width) / 2
      if (!least || wood < least.wood) least = { a, b, wood }
    }
  }
  return least!
}

/** Webs between neighbouring openings of every board that has them, and from the outermost openings to its ends. */
export const checkWebs: Check = (subject) => seatedBoards(subject.model).flatMap((board) => boardWebs(subject, board))

/** The seats that some openings are for. */
const seatsOf = (...openings: Opening[]): string[] => openings.flatMap((o) => o.seat ?? [])

/** The least wood between two openings of a board, mm. */
function leastWeb(subject: Subject, board: Board): number {
  const { trail, model, input } = subject
  const isFilled = model.seats.some((s) => s.board === board.id && s.rests === 'magnet')
  if (isFilled) return trail.derive('webLimit', 'Least web', limitFrom(subject, 'discGap') / 2, discWebRule, '{discGap} / 2', { print: 'up' }) // prettier-ignore
  limitFrom(subject, 'web')
  limitFrom(subject, 'webPerThickness')
  const { web, webPerThickness } = input.shop.settings
  const value = Math.max(web, (webPerThickness * board.thickness) / board.layers)
  const layer = board.figures.layer ?? board.figures.thickness
  return trail.derive('webLimit', 'Least web', value, webLimitRule, `max({web}, {webPerThickness} × {${layer}})`, { print: 'up' }) // prettier-ignore
}

function boardWebs(subject: Subject, board: Board): Verdict[] {
  const rows = openingRows(board)
  if (rows.length === 0) return []
  const { trail } = subject
  const limit = leastWeb(subject, board)
  const verdicts: Verdict[] = []
  const judge = (
    id: string,
    title: string,
    value: number,
    seats: string[],
    candidates: (short: number) => Remedy[],
  ) => {
    const worst = value - gridOn(subject) / 2
    const short = limit - worst
    const { shop } = subject.input
    const level = short > TOLERANCE ? 'stop' : 'pass'
    const about = `about ${formatLength(value, shop, 'down')}`
    verdicts.push({
      id,
      check: 'web',
      title,
      level,
      seats,
      board: board.id,
      figure: id,
      limitFigure: 'webLimit',
      says:
        level === 'pass'
          ? `${title}: ${about}, at least ${formatLength(limit, shop, 'up')} wanted.`
          : value < limit - TOLERANCE
            ? `${title} is ${about}; less than ${formatLength(limit, shop, 'up')} breaks out.`
            : `${title} is ${about}, and less than the ${formatLength(limit, shop, 'up')} wanted where its marks are half a step of ${formatLength(gridStep(shop), shop)} out.`, // prettier-ignore
      measured: { value, limit, sense: 'at least', quantity: 'length', print: 'down' },
      candidates: level === 'pass' ? [] : candidates(short),
    })
  }
  const names = openingNames(board)
  const name = (o: Opening) => subject.model.seats.find((s) => s.id === o.seat)?.place ?? names.get(o.id) ?? o.id
  rows.forEach((openings, r) => {
    const of = rows.length > 1 ? `, row ${r + 1}` : ''
    openings.slice(1).forEach((b, i) => {
      const a = openings[i]!
      const id = `web:${openingKey(board, a)}`
      const title = `Web ${name(a)}–${name(b)}`
      const value = b.centre.x - a.centre.x - (a.width + b.width) / 2
      const formula = `{${b.figures.x}} − {${a.figures.x}} − ({${a.figures.width}} + {${b.figures.width}}) / 2`
      trail.derive(id, title, value, webRule, formula, { print: 'down', note: 'about' })
      judge(id, title, value, seatsOf(a, b), (short) => [
        ...wider(subject, 'gap', 'Gap', short),
        ...others(subject, seatsOf(b)),
      ])
    })
    const [first, last] = [openings[0]!, openings.at(-1)!]
    const [startId, endId] = r === 0 ? ['web:start', 'web:end'] : [`web:start:${r + 1}`, `web:end:${r + 1}`]
    const start = first.centre.x - first.width / 2
    trail.derive(
      startId!,
      `Web at the datum end${of}`,
      start,
      endWebRule,
      `{${first.figures.x}} − {${first.figures.width}} / 2`,
      { print: 'down', note: 'about' },
    )
    judge(startId!, `Web at the datum end${of}`, start, seatsOf(first), (short) =>
      wider(subject, 'margin', 'Margin', short),
    )
    const end = board.length - last.centre.x - last.width / 2
    trail.derive(
      endId!,
      `Web at the far end${of}`,
      end,
      endWebRule,
      `{${board.figures.length}} − {${last.figures.x}} − {${last.figures.width}} / 2`,
      { print: 'down', note: 'about' },
    )
    judge(endId!, `Web at the far end${of}`, end, seatsOf(last), (short) => wider(subject, 'margin', 'Margin', short))
  })
  rows.slice(1).forEach((row, i) => {
    const id = `web:rows:${i + 1}`
    const { a, b, wood } = nearest(rows[i]!, row)
    const title = `Web ${name(a)}–${name(b)}`
    const formula = `√(({${b.figures.x}} − {${a.figures.x}})² + ({${b.figures.y}} − {${a.figures.y}})²) − ({${a.figures.width}} + {${b.figures.width}}) / 2`
    trail.derive(id, title, wood, rowWebRule, formula, {
      print: 'down',
      note: `about; the nearest of rows ${i + 1} and ${i + 2}`,
    })
    judge(id, title, wood, seatsOf(a, b), (short) => [
      ...wider(subject, 'gap', 'Gap', short),
      ...others(subject, seatsOf(b)),
    ])
  })
  return verdicts
}

/** A wider gap or margin by what is short, mm, on the grid; none where the form's length can't be so wide. */
export function wider({ input, trail }: Subject, key: 'gap' | 'margin', label: string, short: number): Remedy[] {
  if (!trail.has(key)) return []
  const value = toGrid(trail.get(key).value + short, gridStep(input.shop), 'up')
  if (value > greatestLength(formOf(input.holder.form)?.choices ?? [], key)) return []
  return [remedy(`${label} ${formatLength(value, input.shop)}`, { kind: 'choice', key, value })]
}

const others = ({ input }: Subject, seats: string[]): Remedy[] => [
  ...offer(input, 'Snug fit', 'fit', 'snug'),
  remedy('Leave one out', { kind: 'leave out', seats }),
]
