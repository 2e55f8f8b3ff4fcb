import { toGrid, type Rounding } from './grid'
import type { LengthUnit } from './length'

export const MM_GRIDS = [0.1, 0.5, 1] as const
export const INCH_GRIDS = [8, 16, 32, 64] as const

/** How a shop wants its lengths written. */
export interface LengthFormat {
  unit: LengthUnit
  /** step in mm of a metric figure */
  gridMm: (typeof MM_GRIDS)[number]
  /** parts of an inch of an imperial figure: 16 means sixteenths */
  gridIn: (typeof INCH_GRIDS)[number]
}

/** A length taken apart for setting in type: a sign, a whole number, perhaps a reduced fraction, and its unit. */
export interface LengthParts {
  sign: '' | '−'
  whole: string
  fraction: { top: number; bottom: number } | null
  unit: 'mm' | '"'
}

/** The grid's step in mm. */
export const gridStep = (format: LengthFormat): number => (format.unit === 'in' ? 25.4 / format.gridIn : format.gridMm)

/**
 * A length brought to the shop's grid and taken apart.
 * @param value mm
 */
export function lengthParts(value: number, format: LengthFormat, rounding: Rounding = 'nearest'): LengthParts {
  const steps = Math.round(toGrid(value, gridStep(format), rounding) / gridStep(format))
  const sign = steps < 0 ? '−' : ''
  const count = Math.abs(steps)
  if (format.unit === 'mm') {
    const decimals = format.gridMm < 1 ? 1 : 0
    const text = (count * format.gridMm).toFixed(decimals).replace(/\.0$/, '')
    return { sign, whole: text, fraction: null, unit: 'mm' }
  }
  const whole = Math.floor(count / format.gridIn)
  let top = count % format.gridIn
  let bottom: number = format.gridIn
  while (top > 0 && top % 2 === 0) {
    top /= 2
    bottom /= 2
  }
  const fraction = top > 0 ? { top, bottom } : null
  return { sign, whole: whole === 0 && fraction ? '' : String(whole), fraction, unit: '"' }
}

/**
 * Writes a length on the shop's grid: `304 mm`, `12.5 mm`, `11 31/32"`. Reading it again gives the same grid point.
 * @param value mm
 * @param unitShown false leaves `mm` off (the inch mark always stays, being part of the figure)
 */
export function formatLength(
  value: number,
  format: LengthFormat,
  rounding: Rounding = 'nearest',
  unitShown = true,
): string {
  const { sign, whole, fraction, unit } = lengthParts(value, format, rounding)
  const figure = [whole, fraction ? `${fraction.top}/${fraction.bottom}` : ''].filter(Boolean).join(' ')
  if (unit === '"') return `${sign}${figure}"`
  return unitShown ? `${sign}${figure} mm` : `${sign}${figure}`
}

/** What two figures may differ by and still count as the same when they are shown for changing, mm. */
const SAME_FIGURE = 0.005

/**
 * Writes a length as it was measured or set, not rounded to the shop's grid: to a thousandth of a mm, or in inches as a
 * fraction where it is one (down to 64ths), else to a thousandth. Reading it again gives the same within 0.0127 mm.
 * @param value mm
 */
export function formatExact(value: number, format: LengthFormat, unitShown = true): string {
  if (format.unit === 'mm') return `${Number(value.toFixed(3)) + 0}${unitShown ? ' mm' : ''}`
  for (const gridIn of [format.gridIn, 64] as const) {
    if (Math.abs(toGrid(value, 25.4 / gridIn) - value) < SAME_FIGURE) return formatLength(value, { ...format, gridIn })
  }
  return `${Number((value / 25.4).toFixed(3)) + 0}"`
}

/**
 * Writes what is too little for the shop's grid, such as how far a rod sags: to a hundredth of a mm or a thousandth of an inch.
 * @param value mm
 */
export const formatFine = (value: number, { unit }: Pick<LengthFormat, 'unit'>): string =>
  unit === 'in' ? `${(value / 25.4).toFixed(3)}"` : `${value.toFixed(2)} mm`
