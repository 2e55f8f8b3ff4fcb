/** A fixed piece of arithmetic, to compare machines and hours of the day by. @returns a number, so that it isn't left out */
export function calibrate(steps = 200_000): number {
  let sum = 0
  for (let i = 1; i <= steps; i++) sum += Math.sqrt(i) / (i % 7 === 0 ? 3 : 2)
  return sum
}
