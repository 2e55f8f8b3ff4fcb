import { createRequire } from 'node:module'
import type { LinearSolver } from '#core/cutting/linear-program'
import { solverFrom } from '#core/cutting/highs-solver'

/** The solver of linear programs, loaded once. */
export async function linearSolver(): Promise<LinearSolver> {
  const load = createRequire(import.meta.url)('highs') as () => Promise<Parameters<typeof solverFrom>[0]>
  return solverFrom(await load())
}
