/** About what a letter of a name takes, and how high a line of it is, mm on the wall. */
const LETTER = { wide: 27, high: 58 }

/** From the middle of a line of letters to its foot, mm. */
const TO_FOOT = 18

/** Whether a name has room in what is so wide, mm. */
export const hasRoom = (name: string, width: number): boolean => name.length * LETTER.wide < width

/**
 * How far above the floor the foot of a thing's name stands, mm: in its middle, or below it where the thing is too narrow, or
 * above it where there is no room below.
 * @param thing its lower edge and its size, mm
 */
export function nameHeight(name: string, { z, width, height }: { z: number; width: number; height: number }): number {
  if (hasRoom(name, width)) return z + height / 2 - TO_FOOT
  return z > LETTER.high ? z - LETTER.high : z + height + TO_FOOT
}
