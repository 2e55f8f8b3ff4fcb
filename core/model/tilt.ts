import type { Board, Place, Rod, Seat } from './model'

/**
 * A place turned about a line along the wall: above nought, what is in front of the line rises.
 * @param tilt degrees, @param about a place on the line
 */
export function tipped(place: Place, tilt: number, about: Pick<Place, 'y' | 'z'>): Place {
  if (tilt === 0) return place
  const angle = (tilt * Math.PI) / 180
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  const [y, z] = [place.y - about.y, place.z - about.z]
  return { x: place.x, y: about.y + c * y - s * z, z: about.z + s * y + c * z }
}

const ORIGIN = { y: 0, z: 0 }

/** A direction turned likewise. */
export const tippedWay = (toward: Place, tilt: number): Place => tipped(toward, tilt, ORIGIN)

/** Parts that stand square, tipped together about a line along the wall. @param tilt degrees */
export const tipBoard = (board: Board, tilt: number, about: Pick<Place, 'y' | 'z'>): Board => ({
  ...board,
  placement: { ...board.placement, at: tipped(board.placement.at, tilt, about), tilt },
})

export const tipRod = (rod: Rod, tilt: number, about: Pick<Place, 'y' | 'z'>): Rod => ({
  ...rod,
  at: tipped(rod.at, tilt, about),
  toward: tippedWay(rod.toward, tilt),
})

export const tipSeat = (seat: Seat, tilt: number, about: Pick<Place, 'y' | 'z'>): Seat => ({
  ...seat,
  at: tipped(seat.at, tilt, about),
  tilt,
})
