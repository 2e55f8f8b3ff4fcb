import { formatLength, type LengthFormat } from '../units/format-length'
import { formatMass, massUnitFor } from '../units/mass'
import type { Figure, Quantity } from './figure'
import { fillIn } from './trail'

/** Decimals of a figure inside a formula: finer than the shop's grid, so that the sum can be followed. */
const fineMm = (value: number) => String(Number(value.toFixed(2)) + 0)
const fine = (value: number) => String(Number(value.toFixed(3)))
const fineIn = (value: number) => `${Number((value / 25.4).toFixed(3)) + 0}"`

/** A force, a stress or a ratio: about four figures, whatever is finer means nothing. */
const plain = (value: number) =>
  String(Number(value.toFixed(Math.abs(value) >= 100 ? 1 : Math.abs(value) >= 10 ? 2 : 3)))

/** Writes a value of a quantity for reading, lengths on the shop's grid. */
export function writeValue(value: number, quantity: Quantity, format: LengthFormat, print: Figure['print']): string {
  switch (quantity) {
    case 'length':
      return formatLength(value, format, print)
    case 'mass':
      return formatMass(value, massUnitFor(format.unit))
    case 'angle':
      return `${Number(value.toFixed(1))}°`
    case 'ratio':
    case 'count':
      return plain(value)
  }
}

/** A figure as it is printed. */
export const writeFigure = (figure: Figure, format: LengthFormat): string =>
  writeValue(figure.value, figure.quantity, format, figure.print)

/**
 * A figure's formula with numbers in it: mm to a hundredth or inches to a thousandth.
 * @param find gives a figure by its id
 */
export function formulaWithNumbers(figure: Figure, find: (id: string) => Figure, format: LengthFormat): string {
  return fillIn(figure.formula, (id) => {
    const { value, quantity } = find(id)
    if (quantity === 'ratio' || quantity === 'count') return fine(value)
    if (quantity !== 'length') return writeValue(value, quantity, format, 'nearest')
    return format.unit === 'in' ? fineIn(value) : fineMm(value)
  })
}
