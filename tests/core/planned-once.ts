import fc from 'fast-check'
import { design, type Design } from '#core/choose/design'
import type { PlanInput } from '#core/forms/form'

/**
 * Random holders, planned once for all that is looked at in them; what fails says of which.
 * @returns calls a check with each of them
 */
export function plannedOnce(
  holders: fc.Arbitrary<PlanInput>,
  runs: { numRuns: number; seed?: number },
): (check: (d: Design) => void) => void {
  let designs: Design[] | null = null
  return (check) => {
    designs ??= fc.sample(holders, runs).map((input) => design(input))
    designs.forEach((d, i) => {
      try {
        check(d)
      } catch (error) {
        const { holder, tools } = d.input
        throw new Error(`holder ${i}: ${JSON.stringify({ holder, tools: [...tools.values()] })}`, { cause: error })
      }
    })
  }
}
