import type { Measured } from '../footprint/kind'
import { kindOf } from '../footprint/kinds'
import { measuredFigure } from '../forms/measured-figure'
import type { Seat } from '../model/model'
import { formatLength } from '../units/format-length'
import { neckRoomRule, neckStraightRule } from './rules'
import { limitFrom, offer, remedy, TOLERANCE, type Check, type Subject } from './subject'
import type { Verdict } from './verdict'

/** Whether what carries a tool by its neck goes in between what it hangs by and what is wider again below, such as a battery. */
export const checkNeckRoom: Check = (subject) => subject.model.seats.flatMap((seat) => roomAt(subject, seat))

/** What goes in under a head: how high it is, mm, the figure of that, and what it is called. */
interface Carrier {
  high: number
  figure: string
  name: string
}

function carrierOf({ model }: Subject, seat: Seat): Carrier | null {
  const board = model.boards.find((b) => b.id === seat.board)
  const rod = model.rods.find((r) => r.seats.includes(seat.id))
  switch (seat.rests) {
    case 'shoulder':
      return board ? { high: board.thickness, figure: board.figures.thickness, name: board.name } : null
    case 'arms':
      return board ? { high: board.width, figure: board.figures.width, name: 'arms' } : null
    case 'rods':
    case 'pin':
      return rod ? { high: rod.diameter, figure: rod.figures.diameter, name: rod.role === 'pin' ? 'pin' : 'rods' } : null // prettier-ignore
    default:
      return null
  }
}

/** How much room a tool's neck leaves; null for one that is no wider below. */
function neckRoom({ input }: Subject, seat: Seat): Measured | null {
  const tool = input.tools.get(seat.tool)
  const neck = tool && kindOf(tool.kind)?.neck?.(tool, seat.turn)
  return neck && 'room' in neck ? (neck.room ?? null) : null
}

function roomAt(subject: Subject, seat: Seat): Verdict[] {
  const { trail, input } = subject
  const [room, carrier] = [neckRoom(subject, seat), carrierOf(subject, seat)]
  if (!room || !carrier) return []
  const tool = input.tools.get(seat.tool)!
  const order = input.holder.seats.find((k) => k.id === seat.id)!
  const figure = measuredFigure(trail, order, tool, 'room', `Straight neck of ${seat.place}`, room, neckStraightRule)
  const play = limitFrom(subject, 'fitSliding')
  const id = `neckRoom:${seat.id}`
  const limit = trail.derive(id, `Wanted below the head of ${seat.place}`, carrier.high + play, neckRoomRule, `{${carrier.figure}} + {fitSliding}`, { print: 'up' }) // prettier-ignore
  const level = room.value < limit - TOLERANCE ? 'stop' : 'pass'
  const [has, wants] = [formatLength(room.value, input.shop, 'down'), formatLength(limit, input.shop, 'up')]
  const found = `Below what it hangs by the neck of ${seat.name} is straight for ${has}`
  return [
    {
      id,
      check: 'neck room',
      title: `Below the head ${seat.place}`,
      level,
      says: level === 'pass' ? `${found}; the ${carrier.name.toLowerCase()} wants ${wants}.` : `${found}: the ${carrier.name.toLowerCase()} wants ${wants} and doesn’t go in.`, // prettier-ignore
      seats: level === 'pass' ? [] : [seat.id],
      figure,
      limitFigure: id,
      measured: { value: room.value, limit, sense: 'at least', quantity: 'length', print: 'down' },
      candidates:
        level === 'pass'
          ? []
          : [
              ...offer(input, 'One layer', 'layers', '1'),
              remedy(`Leave ${seat.name} out`, { kind: 'leave out', seats: [seat.id] }),
            ],
    },
  ]
}
