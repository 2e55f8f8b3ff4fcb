/** What one seat asks of the rail along its length: the head's extents to each side and the slot, mm. */
export interface Along {
  left: number
  right: number
  slot: number
}

/** How seats are spread along the rail. Lengths mm. */
export interface Spread {
  gap: number
  margin: number
  /** every place alike, by the greatest neighbour distance */
  even: boolean
  /** outermost heads may reach past the ends: the margin then counts from the outermost slots */
  overhang: boolean
}

/** From seat i to the next: one head's right extent, the gap, the next one's left extent. mm */
export const neighbourDistance = (seat: Along, next: Along, gap: number): number => seat.right + gap + next.left

/** What stands between the first centre (or the last) and the end of the board, the margin left out. */
export const startExtent = (seat: Along, overhang: boolean): number => (overhang ? seat.slot / 2 : seat.left)
export const endExtent = (seat: Along, overhang: boolean): number => (overhang ? seat.slot / 2 : seat.right)

/** The greatest neighbour distance and the seat it starts from; null for fewer than two seats. */
export function widestNeighbours(seats: readonly Along[], gap: number): { index: number; distance: number } | null {
  let widest: { index: number; distance: number } | null = null
  for (let i = 0; i + 1 < seats.length; i++) {
    const distance = neighbourDistance(seats[i]!, seats[i + 1]!, gap)
    if (widest === null || distance > widest.distance) widest = { index: i, distance }
  }
  return widest
}

/**
 * Centres of the seats from the datum end and the rail's length.
 * @param seats in order, at least one
 * @returns mm
 * @source reckoning of the finger rail; docs/rules.md, rail.centre
 */
export function spreadAlong(seats: readonly Along[], spread: Spread): { centres: number[]; length: number } {
  const pitch = spread.even ? widestNeighbours(seats, spread.gap)?.distance : undefined
  const centres: number[] = []
  seats.forEach((seat, i) => {
    if (i === 0) centres.push(spread.margin + startExtent(seat, spread.overhang))
    else centres.push(centres[i - 1]! + (pitch ?? neighbourDistance(seats[i - 1]!, seat, spread.gap)))
  })
  const last = seats.at(-1)!
  return { centres, length: centres.at(-1)! + endExtent(last, spread.overhang) + spread.margin }
}

/**
 * How far forward of the line of centres a rectangular neck comes to rest: its back corners meet the slot's round end.
 * @param along the neck's size along the slot, @param across across it, @param slot its width
 * @param end diameter of its closed end: the width, or less where two bores make it; mm
 * @returns mm, nought when the corners clear
 */
export function restForward(along: number, across: number, slot: number, end = slot): number {
  const beside = Math.max(0, across - (slot - end))
  return Math.max(0, along / 2 - Math.sqrt(Math.max(0, end * end - beside * beside)) / 2)
}

/** Wood under the head beside the slot, on the side where `extent` is what reaches over. mm */
export const bearing = (extent: number, slot: number): number => extent - slot / 2

/**
 * Least distance of the line of centres from the rail's back edge.
 * @param slots widths, @param backs how far each head reaches back, @param front distance from that line to the front edge
 * @param clearance behind the heads, @param standOff from the back edge to what is behind them, @param share back web
 * as part of the depth
 * @returns mm: heads clear what is behind them, and the back web is at least its share of the depth
 */
export function centreLine(
  seats: readonly { slot: number; back: number }[],
  front: number,
  clearance: number,
  standOff: number,
  share: number,
): number {
  return Math.max(
    ...seats.map((s) => s.back + clearance - standOff),
    ...seats.map((s) => (s.slot / 2 + share * front) / (1 - share)),
  )
}

/** Wood between two slots, mm. */
export const webBetween = (x0: number, slot0: number, x1: number, slot1: number): number =>
  x1 - x0 - (slot0 + slot1) / 2
