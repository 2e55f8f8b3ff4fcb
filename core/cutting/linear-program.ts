/**
 * Solves a linear or mixed-integer program in CPLEX LP format. Handed in by the caller, so that nothing is loaded here.
 * A limit of nodes, the branches of the search for whole numbers, gives the same result whatever the clock says.
 * @returns values of the variables and duals of the rows by name, or null when no solution was found within the time
 */
export type LinearSolver = (
  program: string,
  limits: { readonly seconds: number; readonly nodes?: number },
) => {
  readonly values: ReadonlyMap<string, number>
  readonly duals: ReadonlyMap<string, number>
  readonly best: boolean
} | null

/** One term of a row or objective. */
export interface Term {
  readonly times: number
  readonly name: string
}

export interface Program {
  readonly minimise: readonly Term[]
  readonly rows: readonly {
    readonly name: string
    readonly terms: readonly Term[]
    readonly is: '>=' | '<='
    readonly than: number
  }[]
  /** Greatest value of a variable; each is at least 0. */
  readonly most: readonly Term[]
  readonly whole: readonly string[]
}

const term = ({ times, name }: Term): string => `${times < 0 ? '-' : '+'} ${Math.abs(times)} ${name}`

/** Terms over several lines: a line of the format has an end. */
const sum = (terms: readonly Term[]): string => {
  const lines: string[] = []
  for (let i = 0; i < terms.length; i += 8)
    lines.push(
      terms
        .slice(i, i + 8)
        .map(term)
        .join(' '),
    )
  return lines.join('\n ')
}

/** The program in CPLEX LP format. */
export const programText = (p: Program): string =>
  [
    'Minimize',
    ` obj: ${sum(p.minimise)}`,
    'Subject To',
    ...p.rows.filter((r) => r.terms.length > 0).map((r) => ` ${r.name}: ${sum(r.terms)} ${r.is} ${r.than}`),
    'Bounds',
    ...p.most.map((m) => ` 0 <= ${m.name} <= ${m.times}`),
    ...(p.whole.length > 0 ? ['General', ...p.whole.map((w) => ` ${w}`)] : []),
    'End',
    '',
  ].join('\n')
