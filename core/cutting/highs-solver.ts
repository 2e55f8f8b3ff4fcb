import type { LinearSolver } from './linear-program'

/** The part of the package's interface that is used. */
export interface HighsModule {
  solve(
    program: string,
    options: { time_limit: number; mip_max_nodes?: number },
  ): {
    readonly Status: string
    readonly Columns: Readonly<Record<string, { Primal?: number }>>
    readonly Rows: readonly { Name: string; Dual?: number }[]
  }
}

/** Makes a solver of linear programs out of the loaded package `highs`. */
export const solverFrom =
  (highs: HighsModule): LinearSolver =>
  (program, { seconds, nodes }) => {
    const found = highs.solve(program, {
      time_limit: Math.min(1e6, Math.max(0.05, seconds)),
      ...(nodes === undefined ? {} : { mip_max_nodes: nodes }),
    })
    const values = new Map<string, number>()
    for (const [name, column] of Object.entries(found.Columns))
      if (column.Primal !== undefined && Number.isFinite(column.Primal)) values.set(name, column.Primal)
    if (values.size === 0 || found.Status === 'Infeasible') return null
    const duals = new Map(found.Rows.map((r) => [r.Name, r.Dual ?? 0]))
    return { values, duals, best: found.Status === 'Optimal' }
  }
