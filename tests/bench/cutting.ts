// How near the best the plans of cutting come, on instances whose best plan is known: they were cut from whole stock.
import { linearSolver } from '../../cli/highs'
import { meansUntil } from '#core/cutting/means'
import { randomFrom } from '#core/cutting/random'
import { readInstance } from '#core/cutting/read-instance'
import { cutting } from '#core/cutting/solve'
import { faults } from '../core/cut-checker'
import { lengths, panels, type Known } from '../core/cut-instances'

const SECONDS = Number(process.argv[2] ?? 10)
const solver = await linearSolver()

interface Result {
  family: string
  best: number
  got: number
  first: number
  all: number
  wrong: number
}

function measure({ family, instance, best }: Known): Result {
  const read = readInstance(JSON.stringify(instance))
  if (!read.ok) throw new Error(instance.id)
  const start = performance.now()
  const end = start + SECONDS * 1000
  const search = cutting(
    read.instance,
    meansUntil(randomFrom(1), 1e9, solver, () => performance.now(), end),
  )
  let first = 0
  for (;;) {
    const { value, done } = search.next()
    first ||= performance.now() - start
    if (!done) continue
    const size =
      instance.kind === '1d' ? instance.stock[0]!.length : instance.stock[0]!.length * instance.stock[0]!.width!
    const wrong = faults(instance, value).length + value.unplaced.length
    return { family, best, got: value.bought / size, first, all: performance.now() - start, wrong }
  }
}

function table(title: string, results: Result[]): void {
  console.log(`\n${title}, at most ${SECONDS} s each`)
  const families = [...new Set(results.map((r) => r.family))]
  for (const family of [...families, 'all']) {
    const rows = results.filter((r) => family === 'all' || r.family === family)
    const sum = (of: (r: Result) => number): number => rows.reduce((s, r) => s + of(r), 0)
    const worst = Math.max(0, ...rows.filter((r) => r.best >= 4).map((r) => r.got / r.best))
    console.log(
      [
        `  ${family.padEnd(10)} ${String(rows.length).padStart(3)} instances`,
        `best in ${rows.filter((r) => r.got <= r.best + 1e-6).length}`,
        `sum ${sum((r) => r.got).toFixed(0)} against ${sum((r) => r.best)}`,
        `worst of 4 and more ${worst.toFixed(2)}`,
        `first plan ${Math.max(...rows.map((r) => r.first)).toFixed(0)} ms`,
        `longest ${(Math.max(...rows.map((r) => r.all)) / 1000).toFixed(1)} s`,
        `faults ${sum((r) => r.wrong)}`,
      ].join(', '),
    )
  }
}

const seeds = (n: number): number[] => Array.from({ length: n }, (_, i) => i + 1001)
table(
  'Lengths',
  seeds(40).map((s) => measure(lengths(s))),
)
table(
  'Panels',
  seeds(48).map((s) => measure(panels(s))),
)
