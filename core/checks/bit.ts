import { bitToBuy, boredBy, looseFrom } from '../fit/bore'
import { bitName } from '../shop/bit-name'
import { looseRule, playRule } from '../fit/rules'
import { FIT_SETTING, type Fit } from '../shop/shop'
import { formatLength } from '../units/format-length'
import { buyBit } from './buy-bit'
import { answerTo, limitFrom, offer, tighterFits, TOLERANCE, type Check, type Subject } from './subject'
import type { Remedy, Verdict } from './verdict'
import type { Opening, Seat } from '../model/model'

/** Whether a bit is there for each bored opening, and whether its hole leaves the tool loose. */
export const checkBits: Check = (subject) =>
  subject.model.boards.flatMap((board) =>
    board.openings.flatMap((opening) => {
      const seat = subject.model.seats.find((s) => s.opening === opening.id)
      return seat ? [openingBit(subject, opening, seat, board.id)] : []
    }),
  )

function openingBit(subject: Subject, opening: Opening, seat: Seat, board: string): Verdict {
  const { input, trail } = subject
  const { shop } = input
  const verdict = (level: Verdict['level'], says: string, candidates: Remedy[] = []): Verdict => ({
    id: `bit:${seat.id}`,
    check: 'bit',
    title: `Bit for ${seat.place}`,
    level,
    says,
    seats: [seat.id],
    board,
    figure: seat.figures.slot,
    candidates,
  })
  const needed = trail.get(trail.has('neededAll') ? 'neededAll' : seat.figures.needed!).value
  const [first, second] = opening.bores
  // of a stepped one what goes in is as wide as its last bore
  const bore = opening.steps?.at(-1) ?? first
  if (!bore) {
    if (opening.cut === 'sawn') return verdict('pass', `Slot ${seat.place} is sawn to the line: no bit needed.`)
    const buy = bitToBuy(needed, shop.unit)
    const wide = formatLength(needed, shop, 'up')
    const says =
      buy === null
        ? `No bit bores ${wide} for ${seat.name}: an opening so wide is sawn.`
        : `No bit you own bores ${wide} for ${seat.name}; a ${bitName(buy, shop)} one would.`
    return verdict('stop', says, [...buyBit(input, needed), ...tighterFits(input), ...otherWays(input)])
  }
  const bit = shop.bits.find((b) => b.diameter === bore.bit)!
  const name = bitName(bit.diameter, shop)
  const toBuy = `The ${name} bit for ${seat.name} is still to be bought.`
  if (second) return bit.toBuy ? verdict('watch', toBuy) : verdict('pass', `${seat.name}: two bores, ${name} bit.`)
  // one bore for all is meant to be too wide for most of them
  if (answerTo(input, 'bores') === 'one')
    return verdict(bit.toBuy ? 'watch' : 'pass', bit.toBuy ? toBuy : `${seat.name}: ${name} bit, one for all.`)
  const measured = playLeft(subject, seat, boredBy(bit))
  const { value: play, limit } = measured
  if (play > limit + TOLERANCE) {
    const says = `Loose: the ${name} bit leaves ${seat.name} ${formatLength(play, shop)} of play; nothing nearer is owned.`
    const loose = verdict('watch', says, [...otherWays(input), ...buyBit(input, needed)])
    return { ...loose, measured, figure: `play:${seat.id}`, limitFigure: 'looseFrom' }
  }
  return { ...(bit.toBuy ? verdict('watch', toBuy) : verdict('pass', `${seat.name}: ${name} bit.`)), measured }
}

/** What a bore leaves beyond the neck, and from where on that is loose, on the trail. */
function playLeft(subject: Subject, seat: Seat, bore: number): NonNullable<Verdict['measured']> {
  const { input, trail } = subject
  const fit = FIT_SETTING[(answerTo(input, 'fit') ?? 'sliding') as Fit]
  const neck = seat.figures.neckAcross!
  const value = trail.derive(
    `play:${seat.id}`,
    `Play of ${seat.place}`,
    bore - trail.get(neck).value,
    playRule,
    `{${seat.figures.slot}} − {${neck}}`,
  )
  const [times, plus] = [limitFrom(subject, 'looseTimes'), limitFrom(subject, 'loosePlus')]
  const limit = looseFrom(limitFrom(subject, fit), times, plus)
  if (!trail.has('looseFrom'))
    trail.derive('looseFrom', 'Loose from', limit, looseRule, `{looseTimes} × {${fit}} + {loosePlus}`)
  return { value, limit, sense: 'at most', quantity: 'length', print: 'nearest' }
}

const otherWays = (input: Subject['input']): Remedy[] => [
  ...offer(input, 'Two bores and a file', 'slots', 'filed'),
  ...offer(input, 'Cut the slots with a jigsaw', 'slots', 'jigsawn'),
]
