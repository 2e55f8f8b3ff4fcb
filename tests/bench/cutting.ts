// How near the best the plans of cutting come, on instances whose best plan is known: they were cut from whole stock. Plans come
// from the command line, as it is called by those who use it.
import { spawn } from 'node:child_process'
import { json } from 'node:stream/consumers'
import type { CutInstance, CutPlan } from '#core/cutting/instance'
import { meansUntil } from '#core/cutting/means'
import { randomFrom } from '#core/cutting/random'
import { readInstance } from '#core/cutting/read-instance'
import { pose } from '#core/cutting/two-d/problem'
import { firstPlan } from '#core/cutting/two-d/search'
import { cutting } from '#core/cutting/solve'
import { faults } from '../core/cut-checker'
import {
  lengths,
  panels,
  panelsOfManySheets,
  panelsOfSeveralSheets,
  panelsShrunkALittle,
  panelsShrunkFreely,
  type Known,
} from '../core/cut-instances'
import { panelsCutOtherwise } from '../core/cut-otherwise'
import { watchTakenAway } from './taken-away'

const SECONDS = Number(process.argv[2] ?? 10)
/** Plans by first fit, the best of which is told beside. */
const STARTS = 5000
const [FROM, TO] = [Number(process.argv[3] ?? 1001), Number(process.argv[4] ?? 1048)]

interface Result {
  family: string
  best: number
  got: number
  /** What the best of many plans by first fit buys, in pieces of stock; 0 for lengths. */
  fit: number
  first: number
  /** From calling the command to its end, ms. */
  all: number
  wrong: number
}

/** The plan that the command line prints, given so many seconds. @throws when it prints none */
async function planned(instance: Known['instance']): Promise<Pick<CutPlan, 'placements' | 'unplaced' | 'bought'>> {
  const args = ['run', '-s', 'cli', '--', 'cut', '-', '--seconds', String(SECONDS), '--seed', '1']
  const { stdin, stdout } = spawn('npm', args, { stdio: ['pipe', 'pipe', 'inherit'] })
  stdin.end(JSON.stringify(instance))
  return (await json(stdout)) as CutPlan
}

async function measure({ family, instance, best }: Known): Promise<Result> {
  const read = readInstance(JSON.stringify(instance))
  if (!read.ok) throw new Error(instance.id)
  const now = (): number => performance.now()
  let start = now()
  cutting(read.instance, meansUntil(randomFrom(1), 1, null, now, Infinity)).next()
  const first = now() - start
  start = now()
  const plan = await planned(instance)
  const all = now() - start
  const [stock] = instance.stock
  const size = instance.kind === '1d' ? stock!.length : stock!.length * stock!.width!
  const wrong = faults(instance, plan).length + plan.unplaced.length
  const fit = instance.kind === '1d' ? 0 : firstFit(read.instance, best * size) / size
  return { family, best, got: plan.bought / size, fit, first, all, wrong }
}

/** What the best of some plans buys in which each piece, in an order by chance, lies where it wastes least; same measure. */
function firstFit(instance: CutInstance, best: number): number {
  const { problem } = pose(instance)
  const random = randomFrom(1)
  let least = Infinity
  for (let i = 0; i < STARTS && least > best + 1; i++) {
    const { left, cost } = firstPlan(problem, random)
    if (left.length === 0) least = Math.min(least, cost)
  }
  return least
}

async function table(title: string, known: (seed: number) => Known, seeds: number[]): Promise<void> {
  const takenAway = watchTakenAway()
  const results = await all(known, seeds)
  const part = takenAway()
  const lost = part === null ? '' : `; the host took ${(100 * part).toFixed(0)} % of the processors’ time for others`
  console.log(`\n${title}, at most ${SECONDS} s each${lost}`)
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
        ...(sum((r) => r.fit) > 0 ? [`first fit ${sum((r) => r.fit).toFixed(0)}`] : []),
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
    if (result.got > result.best + 1e-6) console.log(`${result.family} ${seed}: ${result.got} for ${result.best}`)
  }
  return results
}

const seeds = Array.from({ length: TO - FROM + 1 }, (_, i) => FROM + i)
await table('Lengths', lengths, seeds.slice(0, 40))
await table('Panels', panels, seeds)
await table('Panels that shrank freely', panelsShrunkFreely, seeds)
await table('Panels of many sheets', panelsOfManySheets, seeds)
await table('Panels of several sheets', panelsOfSeveralSheets, seeds)
await table('Panels that shrank a little', panelsShrunkALittle, seeds.slice(0, 24))
await table('Panels cut otherwise', panelsCutOtherwise, seeds.slice(0, 40))
