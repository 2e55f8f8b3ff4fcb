import { formatLength } from '../units/format-length'
import { reachOutRule } from './rules'
import {
  answerTo,
  letFollow,
  limitFrom,
  numbersFor,
  offer,
  remedy,
  TOLERANCE,
  type Check,
  type Subject,
} from './subject'
import type { Remedy } from './verdict'

/** How far the holder sticks out from the wall, with the tools in it. */
export const checkReach: Check = (subject) => {
  const { input, model, trail } = subject
  const limit = limitFrom(subject, 'sticksOut')
  const { value: wood, formula: woodFormula } = model.reach
  const furthest = model.seats.reduce((a, b) => (b.at.y + b.extent.front > a.at.y + a.extent.front ? b : a))
  const tools = furthest.at.y + furthest.extent.front
  const note = tools > wood ? furthest.name : 'the holder itself'
  const value = trail.derive('sticksOutBy', 'Sticks out', Math.max(wood, tools), reachOutRule, tools > wood ? furthest.reach : woodFormula, { print: 'up', note }) // prettier-ignore
  const level = value > limit + TOLERANCE ? 'watch' : 'pass'
  const [has, may] = [formatLength(value, input.shop, 'up'), formatLength(limit, input.shop)]
  return [
    {
      id: 'sticks out',
      check: 'reach',
      title: 'Sticks out',
      level,
      says: level === 'pass' ? `Sticks out ${has} from the wall; up to ${may} is settled on.` : `Sticks out ${has} from the wall, ${note}: more than the ${may} you have settled on.`, // prettier-ignore
      seats: tools > wood ? [furthest.id] : [],
      figure: 'sticksOutBy',
      limitFigure: 'sticksOut',
      measured: { value, limit, sense: 'at most', quantity: 'length', print: 'up' },
      candidates:
        level === 'pass'
          ? []
          : [
              remedy(`Turn ${furthest.name} a quarter`, { kind: 'turn', seat: furthest.id, turn: furthest.turn % 2 === 1 ? 0 : 1 }), // prettier-ignore
              ...letFollow(input, 'Let the depth follow from the tools', 'depth'),
              ...steeper(input),
              remedy(`Leave ${furthest.name} out`, { kind: 'leave out', seats: [furthest.id] }),
            ],
    },
  ]
}

/** A deck that leans more sticks out less: the next steeper ones that the form has. */
function steeper(input: Subject['input']): Remedy[] {
  const now = Number(answerTo(input, 'angle') ?? NaN)
  return numbersFor(input, 'angle').filter((angle) => angle > now).flatMap((angle) => offer(input, `Lean it at ${angle}°`, 'angle', String(angle))) // prettier-ignore
}
