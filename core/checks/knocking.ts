import { centreOfGravity } from '../footprint/balance'
import { kindOf } from '../footprint/kinds'
import { heavier } from '../footprint/tool'
import { formOf } from '../forms/all-forms'
import { greatestLength } from '../forms/choice-value'
import type { Seat } from '../model/model'
import { QUARTERS } from '../solid/mass'
import { formatAngle } from '../units/angle'
import { formatLength, gridStep } from '../units/format-length'
import { toGrid } from '../units/grid'
import { knockRule } from './rules'
import { limitFrom, remedy, TOLERANCE, type Check, type Subject } from './subject'
import type { Remedy } from './verdict'

/** Something on a shelf with where its weight is centred: behind its own front, and over the shelf; mm. */
interface Standing {
  seat: Seat
  behind: number
  over: number
}

/** Whether what stands on a shelf stays behind its lip when the wall is knocked: what tips soonest is told. */
export const checkKnocking: Check = (subject) => {
  const { model, trail, input } = subject
  if (!trail.has('lip') || !model.boards.some((b) => b.role === 'lip')) return []
  const lip = trail.get('lip').value
  const raised = trail.has('tilt') ? trail.get('tilt').value : 0
  const all = model.seats.flatMap((seat) => standingAt(subject, seat))
  if (all.length === 0) return []
  const angleOf = ({ behind, over }: Standing): number => over > lip ? (Math.atan2(behind, over - lip) * 180) / Math.PI + raised : 90 // prettier-ignore
  const worst = all.reduce((a, b) => (angleOf(b) < angleOf(a) ? b : a))
  const { seat, behind, over } = worst
  const shape = { kind: 'shape', tool: seat.tool } as const
  trail.given('knockBehind', `Weight of ${seat.place} behind its front`, behind, shape, { note: seat.name })
  trail.given('knockOver', `Weight of ${seat.place} over the shelf`, over, shape, { note: seat.name })
  const formula = over > lip ? `atan({knockBehind} / ({knockOver} − {lip}))${raised ? ' + {tilt}' : ''}` : '90'
  const value = trail.derive('knock', `${seat.place} tips over the lip at`, angleOf(worst), knockRule, formula, { quantity: 'angle', print: 'down', note: seat.name }) // prettier-ignore
  const limit = limitFrom(subject, 'tipSpare')
  const level = value < limit - TOLERANCE ? 'watch' : 'pass'
  const found = `${seat.name} would tip over the lip at ${formatAngle(value)}`
  const high = formatLength(lip, input.shop)
  return [
    {
      id: 'knock',
      check: 'knock',
      title: 'Knocks',
      level,
      says: level === 'pass' ? (over > lip ? `${found}, soonest of all: a lip of ${high} keeps it.` : `A lip of ${high} reaches over where the weight of each thing is centred.`) : `${found}: a knock on the wall throws it out over a lip of ${high}. ${formatAngle(limit)} are wanted.`, // prettier-ignore
      seats: level === 'pass' ? [] : [seat.id],
      figure: 'knock',
      limitFigure: 'tipSpare',
      measured: { value, limit, sense: 'at least', quantity: 'angle', print: 'down' },
      candidates: level === 'pass' ? [] : waysOut(subject, worst, limit - raised),
    },
  ]
}

/** What stands on a shelf by itself; what leans on a deck has a check of its own. */
function standingAt({ model, trail, input }: Subject, seat: Seat): Standing[] {
  const tool = input.tools.get(seat.tool)
  const kind = tool && kindOf(tool.kind)
  const board = model.boards.find((b) => b.id === seat.board)
  if (!tool || !kind || seat.rests !== 'shelf' || board?.role !== 'shelf' || trail.has(`tipSpare:${seat.id}:bare`)) return [] // prettier-ignore
  const cog = centreOfGravity(tool, heavier(tool)?.as === 'massWithBattery' ? 'battery' : 'bare')!
  const [c, s] = QUARTERS[seat.turn]
  const out = (x: number, y: number): number => s * x + c * y
  const { top, face } = kind.envelope(tool)
  const front = Math.max(...[top.minX, top.maxX].flatMap((x) => [top.minY, top.maxY].map((y) => out(x, y))))
  return [{ seat, behind: front - out(cog.x, cog.y), over: cog.z - face.minY }]
}

/** A lip so high that it keeps it, on the grid, or the thing left out. @param angle to stay at, degrees */
function waysOut({ input }: Subject, { seat, behind, over }: Standing, angle: number): Remedy[] {
  const wanted = angle > 0 ? over - behind / Math.tan((angle * Math.PI) / 180) : 0
  const lip = toGrid(wanted, gridStep(input.shop), 'up')
  const most = greatestLength(formOf(input.holder.form)?.choices ?? [], 'lip')
  return [
    ...(lip <= most
      ? [remedy(`A lip of ${formatLength(lip, input.shop)}`, { kind: 'choice', key: 'lip', value: lip })]
      : []),
    remedy(`Leave ${seat.name} out`, { kind: 'leave out', seats: [seat.id] }),
  ]
}
