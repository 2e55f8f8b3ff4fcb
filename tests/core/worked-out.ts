import { discPull } from '#core/fit/magnet'
import { yieldLoad } from '#core/fit/screw'
import type { Figure, Working } from '#core/working/figure'
import { formulaWithNumbers } from '#core/working/text'
import { fillIn } from '#core/working/trail'
import type { LengthFormat } from '#core/units/format-length'

const ofDegrees = (of: (radians: number) => number) => (degrees: number) => of((degrees * Math.PI) / 180)

/** Works a sum out as it is written, the way a reader with a calculator would; units are left out. */
function calculated(sum: string): number {
  const js = sum
    .split('≥')[0]!
    .replace(/(\d)(?:"|°| (?:kg\/m³|mm³|in³|mm|kg|lb|N|MPa|GPa)(?![a-z]))/g, '$1')
    .replaceAll('²', '**2')
    .replaceAll('³', '**3')
    .replaceAll('⁴', '**4')
    .replaceAll('π', 'Math.PI')
    .replace(/atan\(/g, 'arc(')
    .replace(/cos\(/g, 'cosine(')
    .replace(/tan\(/g, 'tangent(')
    .replace(/sin\(/g, 'sine(')
    .replaceAll('×', '*')
    .replaceAll('−', '-')
    .replaceAll('√(', 'Math.sqrt(')
    .replace(/√(\d+)/g, 'Math.sqrt($1)')
    .replaceAll('max(', 'Math.max(')
    .replaceAll('min(', 'Math.min(')
  return new Function('cosine', 'tangent', 'sine', 'arc', 'discPull', 'screwShear', `return ${js}`)(
    ofDegrees(Math.cos),
    ofDegrees(Math.tan),
    ofDegrees(Math.sin),
    (times: number) => (Math.atan(times) * 180) / Math.PI,
    discPull,
    yieldLoad,
  ) as number
}

/** Figures that are no numbers, or that their own working doesn't come to, each as its formula; empty where all is well. */
export function wrongIn(working: Working): string[] {
  const values = new Map(working.map((f) => [f.id, f.value]))
  return working.flatMap(({ id, formula, value }) => {
    const filled = fillIn(
      formula,
      (of) => `(${values.get(of)!})`,
      (fixed) => `(${fixed})`,
    )
    const comes = formula ? calculated(filled) : value
    const isIt = Number.isFinite(value) && Math.abs(comes - value) < 5e-7 * Math.max(1, Math.abs(value))
    return isIt ? [] : [`${id} = ${formula} comes to ${comes}, not ${value}`]
  })
}

const IN_SHOP = {
  mm: { length: 1, mass: 1, force: 1, volume: 1 },
  in: { volume: 25.4 ** 3, length: 25.4, mass: 0.45359237, force: 4.4482216152605 },
}

/**
 * Figures whose working, as it is shown, does not come to what they are printed as in the shop's unit; each with both.
 * What the shown figures are rounded by is let go: a part in fifty.
 */
export function unfollowableIn(working: Working, format: LengthFormat): string[] {
  const all = new Map(working.map((f) => [f.id, f]))
  return working.flatMap((figure) => {
    if (!figure.formula) return []
    const [sum, said] = formulaWithNumbers(figure, (id) => all.get(id)!, format).split(' = ')
    const one = said === undefined ? unitOf(figure, format) : 1
    const [comes, value] = [calculated(sum!), figure.value / one]
    const slack = 0.02 * Math.abs(value) + (figure.quantity === 'length' ? 0.05 / one : 0.02)
    const asSaid = said === undefined || Math.abs(metric(said) - figure.value) <= slack + 0.1
    const asShort = !/\.\d{8}/.test(sum!)
    return Math.abs(comes - value) <= slack && asSaid && asShort
      ? []
      : [`${figure.id} = ${sum} comes to ${comes}, not ${value}`]
  })
}

/** What a printed figure with a unit of the metric system is, in what figures are kept in. */
const metric = (said: string): number =>
  parseFloat(said.replace('−', '-')) * (said.endsWith(' g') ? 0.001 : said.endsWith(' cm³') ? 1000 : 1)

const unitOf = ({ quantity }: Figure, { unit }: LengthFormat): number =>
  quantity in IN_SHOP[unit] ? IN_SHOP[unit][quantity as keyof (typeof IN_SHOP)['mm']] : 1
