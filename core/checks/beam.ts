/** Second moment of area of a round section, mm⁴. @source beam theory */
export const roundInertia = (diameter: number): number => (Math.PI * diameter ** 4) / 64

/** Second moment of area of a rectangle, mm⁴. @param width, @param height in the direction of the load, mm */
export const flatInertia = (width: number, height: number): number => (width * height ** 3) / 12

/**
 * Sag at the middle of a beam on two supports, evenly loaded.
 * @param load N in all, @param span mm, @param stiffness E in GPa, @param inertia mm⁴
 * @returns mm, at once
 * @source beam theory: 5 w L⁴ / (384 E I)
 */
export const evenSag = (load: number, span: number, stiffness: number, inertia: number): number =>
  (5 * load * span ** 3) / (384 * stiffness * 1000 * inertia)

/**
 * Bending stress of a round rod on two supports, evenly loaded.
 * @param load N in all, @param span mm, @param diameter mm
 * @returns MPa
 * @source beam theory: w L² / (8 Z)
 */
export const evenRodStress = (load: number, span: number, diameter: number): number =>
  (load * span) / 8 / ((Math.PI * diameter ** 3) / 32)

/**
 * Bending stress of a pin where it leaves the wood.
 * @param load N, @param arm from the face to where it hangs, mm, @param diameter mm
 * @returns MPa
 * @source beam theory: 32 F e / (π d³)
 */
export const pinStress = (load: number, arm: number, diameter: number): number =>
  (32 * load * arm) / (Math.PI * diameter ** 3)
