/** Which way a figure goes to the grid: up for an opening that must admit something, down for a part that must go in, nearest for a mark. */
export type Rounding = 'up' | 'down' | 'nearest'

/** A part in a thousand million: what floating point may be out by without a figure being off the grid. */
const SLACK = 1e-9

/**
 * Brings a length to a grid.
 * @param value mm
 * @param grid step in mm, over nought
 * @returns mm on the grid; a value that is on the grid already stays there whichever way is asked
 */
export function toGrid(value: number, grid: number, rounding: Rounding = 'nearest'): number {
  const steps = value / grid
  const nearest = Math.round(steps)
  if (rounding === 'nearest' || Math.abs(steps - nearest) < SLACK * Math.max(1, Math.abs(steps))) return nearest * grid
  return (rounding === 'up' ? Math.ceil(steps) : Math.floor(steps)) * grid
}

/**
 * Running marks as they are printed, each to the nearest grid point by itself, and the steps between them as
 * differences of what is printed, so that the steps add up to the last mark exactly.
 * @param values mm, rising, @param grid step in mm
 */
export function printedMarks(values: readonly number[], grid: number): { marks: number[]; steps: number[] } {
  const counts = values.map((v) => Math.round(toGrid(v, grid) / grid))
  return {
    marks: counts.map((n) => n * grid),
    steps: counts.slice(1).map((n, i) => (n - counts[i]!) * grid),
  }
}
