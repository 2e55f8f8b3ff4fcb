import { forceUnitFor, formatForce } from '../units/force'
import { formatFine, formatLength, gridStep, type LengthFormat } from '../units/format-length'
import { formatMass, massUnitFor } from '../units/mass'
import { shortNumber } from '../units/short-number'
import { STORED_IN } from '../units/stored-units'
import type { Figure, Quantity } from './figure'
import { fillIn, fixedUnitsIn, namedIn } from './trail'

/** Writes a value of a quantity for reading: lengths on the shop's grid, those of less than a step of it as they are. */
export function writeValue(value: number, quantity: Quantity, format: LengthFormat, print: Figure['print']): string {
  switch (quantity) {
    case 'length':
      return value !== 0 && Math.abs(value) < gridStep(format) ? formatFine(value, format) : formatLength(value, format, print) // prettier-ignore
    case 'mass':
      return formatMass(value, massUnitFor(format.unit))
    case 'force':
      return formatForce(value, forceUnitFor(format.unit))
    case 'volume':
      return format.unit === 'in' ? `${shortNumber(value / 25.4 ** 3)} in³` : `${shortNumber(value / 1000)} cm³`
    case 'angle':
      return `${Number(value.toFixed(1))}°`
    case 'ratio':
    case 'count':
      return shortNumber(value)
    default:
      return `${shortNumber(value)} ${STORED_IN[quantity]}`
  }
}

/** A figure as it is printed. */
export const writeFigure = (figure: Figure, format: LengthFormat): string =>
  writeValue(figure.value, figure.quantity, format, figure.print)

type Find = (id: string) => Figure

/** A figure's formula in words: `web × bore 1 + 2 mm`. @param find gives a figure by its id */
export const formulaInWords = (figure: Figure, find: Find, format: LengthFormat): string =>
  fillIn(
    short(figure.formula),
    (id) => find(id).label.replace(/^\p{Lu}(?=\p{Ll})/u, (first) => first.toLowerCase()),
    (value, unit) => (unit in SIZES ? writeInside(value, SIZES[unit]!, format, false) : `${shortened(value)} ${unit}`),
  )

/** Fixed figures that go with lengths, by their unit. */
const SIZES: Record<string, Quantity> = { mm: 'length', 'mm³': 'volume' }

const METRIC = { unit: 'mm', gridMm: 0.1, gridIn: 16 } as const

/**
 * A figure's formula with numbers in it, which come to what the figure is printed as: mm to a hundredth or inches to a
 * thousandth. Where lengths, weights and forces meet in one formula, it is in mm, kg and N in every shop, and in one that
 * has inches all have their units, and what they come to is said.
 * @param find gives a figure by its id
 */
export function formulaWithNumbers(figure: Figure, find: Find, format: LengthFormat): string {
  const fits = format.unit === 'mm' || isOfOneKind(figure, find)
  const inside = fits ? format : METRIC
  const bare = fits && format.unit === 'mm'
  // (18 mm)², not 18 mm²
  const formula = fits ? short(figure.formula) : short(figure.formula).replace(/(\{[^}]+\})(?=[²³⁴])/g, '($1)')
  const text = fillIn(
    formula,
    (id) => {
      const { value, quantity } = find(id)
      return writeInside(value, quantity, inside, bare)
    },
    (value, unit) => (unit in SIZES ? writeInside(value, SIZES[unit]!, inside, bare) : shortened(value)),
  )
  const [comes, printed] = [METRIC, format].map((f) => writeValue(figure.value, figure.quantity, f, figure.print))
  return fits || comes === printed ? text : `${text} = ${comes}`
}

/** Finer than the shop's grid, so that the sum can be followed. @param bare whether mm go without saying */
function writeInside(value: number, quantity: Quantity, format: LengthFormat, bare: boolean): string {
  const to = (digits: number, shown = value): string => String(Number(shown.toFixed(digits)) + 0)
  switch (quantity) {
    case 'length':
      return format.unit === 'in' ? `${to(3, value / 25.4)}"` : bare ? to(2) : `${to(2)} mm`
    case 'mass':
      return format.unit === 'in' ? formatMass(value, 'lb') : `${to(3)} kg`
    case 'volume':
      return format.unit === 'in' ? `${to(2, value / 25.4 ** 3)} in³` : `${to(0)} mm³`
    case 'ratio':
    case 'count':
      return to(3)
    default:
      return writeValue(value, quantity, format, 'nearest')
  }
}

/** A fixed number to seven digits: what floating point adds behind means nothing. */
const shortened = (value: number): string => String(Number(value.toPrecision(7)))
/** The same for all bare numbers of a formula, not those in ids. */
const short = (formula: string): string =>
  formula.replace(/\d+\.\d{7,}(?![^{]*\})/g, (number) => shortened(Number(number)))

const NEUTRAL: readonly Quantity[] = ['ratio', 'angle', 'count']

/** Whether a figure and all it is reckoned from are lengths and volumes, or weights, or forces: then the sum is right in any unit. */
function isOfOneKind({ quantity, formula }: Figure, find: Find): boolean {
  const kinds = new Set([quantity, ...namedIn(formula).map((id) => find(id).quantity)].filter((q) => !NEUTRAL.includes(q)).map((q) => (q === 'volume' ? 'length' : q))) // prettier-ignore
  const fixed = fixedUnitsIn(formula)
  if (fixed.some((unit) => !(unit in SIZES))) return false
  if (fixed.length > 0) kinds.add('length')
  return kinds.size < 2
}
