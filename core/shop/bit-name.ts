import { lengthParts, type LengthFormat } from '../units/format-length'
import { toGrid } from '../units/grid'

const near = (a: number, b: number) => Math.abs(a - b) < 1e-6

/**
 * The unit a bit of this diameter is stamped in: metric sizes come in halves, imperial ones in 64ths.
 * @param own the shop's unit, in which what is both is taken to be: 63.5 mm is 2 1/2"
 */
export function stampedUnit(diameter: number, own: 'mm' | 'in' = 'mm'): 'mm' | 'in' {
  const [metric, imperial] = [0.5, 25.4 / 64].map((step) => near(diameter, toGrid(diameter, step)))
  return imperial && (own === 'in' || !metric) ? 'in' : 'mm'
}

/**
 * A bit by the size stamped on it, with the size in the shop's own unit behind it where that is another: `32 mm`,
 * `1 1/4" (31.8 mm)`, `32 mm (1 17/64")`.
 * @param diameter mm
 */
export function bitName(diameter: number, format: LengthFormat): string {
  const fine = (unit: 'mm' | 'in') => {
    const p = lengthParts(diameter, { unit, gridMm: 0.1, gridIn: 64 })
    const figure = [p.whole, p.fraction ? `${p.fraction.top}/${p.fraction.bottom}` : ''].filter(Boolean).join(' ')
    return p.unit === '"' ? `${figure}"` : `${figure} mm`
  }
  const stamped = stampedUnit(diameter, format.unit)
  return stamped === format.unit ? fine(stamped) : `${fine(stamped)} (${fine(format.unit)})`
}
