import type { Level, Verdict } from '#core/checks/verdict'
import type { Point } from '#core/geometry/outline'
import { boardOf, type HolderModel } from '#core/model/model'

/** From one seat's number to the next on a crowded rail, px. */
const ROOM = 22
/** How far behind its slot a seat's number stands, px. */
const OFF = 14

/** A seat's number on the drawing from above, in the shape of the gravest verdict about it. px */
export interface SeatMark extends Point {
  id: string
  place: number
  level: Level | undefined
}

/** The gravest verdict about each seat that has one. */
function levels(verdicts: readonly Verdict[]): Map<string, Level> {
  const found = new Map<string, Level>()
  for (const v of verdicts) {
    if (v.level === 'pass') continue
    for (const seat of v.seats) if (found.get(seat) !== 'stop') found.set(seat, v.level)
  }
  return found
}

/**
 * The numbers of the seats, each in the back web behind its slot, so that neither the bore nor the neck is hidden. On a
 * crowded rail only those stand that have room, and those that something is said of.
 * @param onScreen where a point of the holder (x along the wall, y out from it, mm) stands, px
 */
export function seatMarks(
  model: HolderModel,
  verdicts: readonly Verdict[],
  onScreen: (x: number, y: number) => Point,
): SeatMark[] {
  const told = levels(verdicts)
  let free = -Infinity
  return model.seats.flatMap((seat): SeatMark[] => {
    const board = boardOf(model, seat.board)
    const opening = board.openings.find((o) => o.id === seat.opening)
    const flat = board.placement.lies === 'flat' && opening
    const behind = flat ? board.placement.at.y + opening.centre.y - opening.radius : seat.at.y - seat.extent.back
    // what lies or stands on a board need not have its origin in its middle
    const middle = seat.rests === 'shelf' ? (seat.extent.right - seat.extent.left) / 2 : 0
    const { x, y } = onScreen(seat.at.x + middle, behind)
    const level = told.get(seat.id)
    if (!level && x < free) return []
    free = x + ROOM
    return [{ id: seat.id, place: seat.place, level, x, y: y - OFF }]
  })
}
