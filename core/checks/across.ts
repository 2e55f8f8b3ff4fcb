import { formatLength } from '../units/format-length'
import { backWebLimitRule, backWebRule, clearanceRule, keepRule } from './rules'
import { letFollow, limitFrom, offer, TOLERANCE, answerTo, type Check, type Subject } from './subject'
import type { Remedy, Verdict } from './verdict'
import { seatedBoards, type Board, type Seat } from '../model/model'

const letDepthFollow = ({ input }: Subject): Remedy[] =>
  letFollow(input, 'Let the depth follow from the tools', 'depth')

/** Wood behind the openings, heads clear of the wall, and necks behind the front edge. */
export const checkAcross: Check = (subject) =>
  seatedBoards(subject.model)
    .filter((b) => b.placement.lies === 'flat' && b.openings.some((o) => o.opensTo === 'front'))
    .flatMap((board) => {
      const seats = subject.model.seats.filter((s) => s.board === board.id)
      return [backWeb(subject, board), ...headClearance(subject, board, seats), ...keeps(subject, board, seats)]
    })

function backWeb(subject: Subject, board: Board): Verdict {
  const { trail, input } = subject
  const deepest = board.openings.reduce((a, b) => (b.radius > a.radius ? b : a))
  const share = limitFrom(subject, 'backWeb')
  const id = 'backWebLeft'
  const round = deepest.radius > 0 ? ` − {${deepest.figures.end}} / 2` : ''
  const formula = `{${deepest.figures.y}}${round}`
  const value = trail.derive(id, 'Back web', deepest.centre.y - deepest.radius, backWebRule, formula, {
    print: 'down',
    note: 'about',
  })
  const limit = trail.derive(
    'backWebLimit',
    'Least back web',
    share * board.width,
    backWebLimitRule,
    `{backWeb} × {${board.figures.width}}`,
    { print: 'up' },
  )
  const level = value < limit - TOLERANCE ? 'stop' : 'pass'
  const says = `Back web about ${formatLength(value, input.shop, 'down')}, ${Math.round((100 * value) / board.width)} % of the depth; at least ${Math.round(share * 100)} % ${level === 'stop' ? 'is wanted, or the rail breaks along the slots' : 'wanted'}.`
  return {
    id: 'backWeb',
    check: 'back web',
    title: 'Back web',
    level,
    says,
    seats: [],
    board: board.id,
    figure: id,
    limitFigure: 'backWebLimit',
    measured: { value, limit, sense: 'at least', quantity: 'length', print: 'down' },
    candidates: level === 'stop' ? [...letDepthFollow(subject), ...offer(input, 'Snug fit', 'fit', 'snug')] : [],
  }
}

function headClearance(subject: Subject, board: Board, seats: readonly Seat[]): Verdict[] {
  const { trail, input } = subject
  if (seats.length === 0 || !trail.has('standOff')) return []
  const deepest = seats.reduce((a, b) => (b.extent.back > a.extent.back ? b : a))
  const limit = limitFrom(subject, 'headClearance')
  const line = board.openings[0]!
  const id = 'clearance'
  const reached = line.centre.y + trail.get('standOff').value - deepest.extent.back
  const value = trail.derive(
    id,
    'Head clear of what is behind',
    reached,
    clearanceRule,
    `{${line.figures.y}} + {standOff} − {${deepest.figures.back}}`,
    { print: 'down' },
  )
  const level = value < limit - TOLERANCE ? 'stop' : 'pass'
  const behind = answerTo(input, 'back') === 'behind' ? 'the back board' : 'the wall'
  const says =
    value <= 0
      ? `${deepest.name} would reach ${formatLength(-value, input.shop, 'up')} into ${behind}.`
      : `${deepest.name} stays ${formatLength(value, input.shop, 'down')} clear of ${behind}; at least ${formatLength(limit, input.shop)} wanted.`
  return [
    {
      id: 'clearance',
      check: 'clearance',
      title: 'Head clear of the wall',
      level,
      says,
      seats: [deepest.id],
      board: board.id,
      figure: id,
      limitFigure: 'headClearance',
      measured: { value, limit, sense: 'at least', quantity: 'length', print: 'down' },
      candidates:
        level === 'stop'
          ? [...letDepthFollow(subject), ...offer(input, 'Back board below the rail', 'back', 'below')]
          : [],
    },
  ]
}

function keeps(subject: Subject, board: Board, seats: readonly Seat[]): Verdict[] {
  const { trail, input } = subject
  const limit = limitFrom(subject, 'frontKeep')
  let least: { seat: Seat; value: number; formula: string } | null = null
  for (const seat of seats) {
    if (!seat.figures.neckAlong) continue
    const rest = `rest:${seat.id}`
    const forward = trail.has(rest) ? trail.get(rest).value : 0
    const value = trail.get('front').value - forward - trail.get(seat.figures.neckAlong).value / 2
    if (least && value >= least.value) continue
    least = {
      seat,
      value,
      formula: `{front}${trail.has(rest) ? ` − {${rest}}` : ''} − {${seat.figures.neckAlong}} / 2`,
    }
  }
  if (!least) return []
  trail.derive('keep', 'Neck behind the front edge', least.value, keepRule, least.formula, {
    print: 'down',
    note: least.seat.name,
  })
  const level = least.value < limit - TOLERANCE ? 'stop' : 'pass'
  return [
    {
      id: 'keep',
      check: 'keep',
      title: 'Kept in against knocks',
      level,
      seats: [least.seat.id],
      board: board.id,
      says: `${least.seat.name} stands ${formatLength(least.value, input.shop, 'down')} behind the front edge, the least of all; at least ${formatLength(limit, input.shop)} wanted.`,
      figure: 'keep',
      limitFigure: 'frontKeep',
      measured: { value: least.value, limit, sense: 'at least', quantity: 'length', print: 'down' },
      candidates: level === 'stop' ? letDepthFollow(subject) : [],
    },
  ]
}
