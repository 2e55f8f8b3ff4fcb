// How near the best the plans of cutting come, on instances whose best plan is known: they were cut from whole stock.
import { bestPlan } from '../../cli/search'
import { meansUntil } from '#core/cutting/means'
import { randomFrom } from '#core/cutting/random'
import { readInstance } from '#core/cutting/read-instance'
import { cutting } from '#core/cutting/solve'
import { faults } from '../core/cut-checker'
import { lengths, panels, type Known } from '../core/cut-instances'

const SECONDS = Number(process.argv[2] ?? 10)
const [FROM, TO] = [Number(process.argv[3] ?? 1001), Number(process.argv[4] ?? 1048)]

interface Result {
  family: string
  best: number
  got: number
  first: number
  all: number
  wrong: number
}

async function measure({ family, instance, best }: Known): Promise<Result> {
  const read = readInstance(JSON.stringify(instance))
  if (!read.ok) throw new Error(instance.id)
  const now = (): number => performance.now()
  let start = now()
  cutting(read.instance, meansUntil(randomFrom(1), 1, null, now, Infinity)).next()
  const first = now() - start
  start = now()
  const plan = await bestPlan(read.instance, 1, start + SECONDS * 1000)
  const [stock] = instance.stock
  const size = instance.kind === '1d' ? stock!.length : stock!.length * stock!.width!
  const wrong = faults(instance, plan).length + plan.unplaced.length
  return { family, best, got: plan.bought / size, first, all: now() - start, wrong }
}

function table(title: string, results: Result[]): void {
  console.log(`\n${title}, at most ${SECONDS} s each`)
  const families = [...new Set(results.map((r) => r.family))]
  for (const family of [...families, 'all']) {
    const rows = results.filter((r) => family === 'all' || r.family === family)
    const sum = (of: (r: Result) => number): number => rows.reduce((s, r) => s + of(r), 0)
    const many = rows.filter((r) => r.best >= 4)
    const worst = Math.max(0, ...many.map((r) => r.got / r.best))
    console.log(
      [
        `  ${family.padEnd(10)} ${String(rows.length).padStart(3)} instances`,
        `best in ${rows.filter((r) => r.got <= r.best + 1e-6).length}`,
        `sum ${sum((r) => r.got).toFixed(0)} against ${sum((r) => r.best)}`,
        `worst of 4 and more ${worst.toFixed(2)}`,
        `above 1.10 ${many.filter((r) => r.got > r.best * 1.1).length} of ${many.length}`,
        `first plan ${Math.max(...rows.map((r) => r.first)).toFixed(0)} ms`,
        `longest ${(Math.max(...rows.map((r) => r.all)) / 1000).toFixed(1)} s`,
        `faults ${sum((r) => r.wrong)}`,
      ].join(', '),
    )
  }
}

async function all(known: (seed: number) => Known, seeds: number[]): Promise<Result[]> {
  const results: Result[] = []
  for (const seed of seeds) {
    const result = await measure(known(seed))
    results.push(result)
    if (result.got > result.best + 1e-6) console.log(`${known.name} ${seed}: ${result.got} for ${result.best}`)
  }
  return results
}

const seeds = Array.from({ length: TO - FROM + 1 }, (_, i) => FROM + i)
table('Lengths', await all(lengths, seeds.slice(0, 40)))
table('Panels', await all(panels, seeds))
