import { discPull } from '#core/fit/magnet'
import { yieldLoad } from '#core/fit/screw'
import type { Working } from '#core/working/figure'
import { fillIn } from '#core/working/trail'

const ofDegrees = (of: (radians: number) => number) => (degrees: number) => of((degrees * Math.PI) / 180)

/** Works a formula's text out by itself, the way a reader with a calculator would. */
function workedOut(formula: string, value: (id: string) => number): number {
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

/** Figures that are no numbers, or that their own working doesn't come to, each as its formula; empty where all is well. */
export function wrongIn(working: Working): string[] {
  const values = new Map(working.map((f) => [f.id, f.value]))
  return working.flatMap(({ id, formula, value }) => {
    const comes = formula ? workedOut(formula, (of) => values.get(of)!) : value
    const isIt = Number.isFinite(value) && Math.abs(comes - value) < 5e-7 * Math.max(1, Math.abs(value))
    return isIt ? [] : [`${id} = ${formula} comes to ${comes}, not ${value}`]
  })
}
