/** Chords of the numerical integration: the result is good to a part in a million. */
const CHORDS = 2000

/**
 * The integral from 0 to infinity of J1(q)² e^(-a q) / q: J1² as a mean over an angle (Neumann) makes it one of
 * elementary functions over half a turn.
 * @param a at least 0
 */
function discIntegral(a: number): number {
  const step = Math.PI / CHORDS
  let sum = 0
  for (let i = 0; i < CHORDS; i++) {
    const angle = (i + 0.5) * step
    sum -= Math.cos(angle) * Math.log(a + Math.sqrt(a * a + 4 * Math.sin(angle / 2) ** 2))
  }
  return (sum * step) / Math.PI
}

/**
 * Pull of a disc magnet on thick flat steel through a gap.
 * @param diameter, @param thickness of the disc, @param gap between it and the steel (wood, paint, air); mm
 * @param br remanence of its material, T
 * @returns N
 * @source two coaxial uniformly magnetised discs, the steel as a mirror; docs/rules.md, fit.magnet
 */
export function discPull(diameter: number, thickness: number, gap: number, br: number): number {
  const radius = diameter / 2
  const at = (s: number): number => discIntegral(s / radius)
  const shape = at(2 * gap) - 2 * at(2 * gap + thickness) + at(2 * gap + 2 * thickness)
  // pi R² Br² / mu0, R in mm
  return 2.5 * radius ** 2 * br ** 2 * shape
}
