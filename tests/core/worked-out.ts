import { discPull } from '#core/fit/magnet'
import { yieldLoad } from '#core/fit/screw'
import { fillIn } from '#core/working/trail'

const ofDegrees = (of: (radians: number) => number) => (degrees: number) => of((degrees * Math.PI) / 180)

/** Works a formula's text out by itself, the way a reader with a calculator would. */
export function workedOut(formula: string, value: (id: string) => number): number {
  const [left] = formula.split('≥')
  const js = fillIn(left!, (id) => `(${value(id)})`)
    .replaceAll('²', '**2')
    .replaceAll('³', '**3')
    .replaceAll('⁴', '**4')
    .replaceAll('π', 'Math.PI')
    .replace(/cos\(/g, 'cosine(')
    .replace(/tan\(/g, 'tangent(')
    .replace(/sin\(/g, 'sine(')
    .replaceAll('×', '*')
    .replaceAll('−', '-')
    .replaceAll('√(', 'Math.sqrt(')
    .replace(/√(\d+)/g, 'Math.sqrt($1)')
    .replaceAll('max(', 'Math.max(')
    .replaceAll('min(', 'Math.min(')
  return new Function('cosine', 'tangent', 'sine', 'discPull', 'screwShear', `return ${js}`)(
    ofDegrees(Math.cos),
    ofDegrees(Math.tan),
    ofDegrees(Math.sin),
    discPull,
    yieldLoad,
  ) as number
}
