import type { Means } from '../means'
import { below } from '../random'
import { AllWays, FEW_FOR_TWO } from './all-ways'
import { CloseTwo } from './close/last-two'
import { isForClose } from './close/little-waste'
import { LastOne } from './last-one'
import type { Layout } from './layout'
import { together, without } from './rest'
import { areaOfAll, costOf, roomOf, stockWithin, type Problem } from './sheets'
import { cooled, lastByTrees } from './slicing/cooled'
import type { Course } from './slicing/search'
import { SnugSheets } from './snug/sheets'
import { ofSnug, thriftyFirst } from './snug/thrifty'

/** Where two sheets may waste more than this part of their area, trees fill both at once sooner than one after the other. */
const ROOMY = 0.075

/** Where it is less, but more than this part, they do so in one of so many times all the same. */
const HOPELESS = 0.05
const SELDOM = 8

/** Where two sheets of few pieces may waste less than this part of their area nothing was seen to do better than all ways. */
const LOOSE = 0.15

/** Where more than two sheets may waste less than this part of their area nothing fills them all at once. */
const HOPELESS_OF_MANY = 0.03

/** How trees are cooled down for all sheets at once. */
const LONG: Course = { heat: 0.09, steps: 15_000 }

/**
 * With so many full sheets, those that waste least with the fewest pieces, what they leave is tried: most of such tries take a
 * few ms, and to find the full sheets takes half a second. In all of them together all ways are gone through of so many rests.
 */
const TRIES = 100
const WAYS = 200

/** When so many full sheets are found no more waste is allowed. */
const ENOUGH = 16

/**
 * Of what both may waste one does this part at first, give or take a third, and more if too few are found, up to a last
 * part: one of the two wastes no more than half, so a little above that is enough.
 */
const LITTLE = 0.25
const MORE = 1.4
const MOST = 0.6

/** A small block may waste so many times the share that its sheet does, but for this share at most. */
const IN_BLOCKS = 3
const MOST_IN_BLOCKS = 0.15

/** How far full sheets are looked for; how many rows there are, and what each may waste, in times the share of its sheet. */
const REACH = { blocks: 1000, rests: 3000, sheets: 1000 }
const ROWS = 1000
const IN_ROWS = 1.5

/** For more pieces than these, nearly all of which differ, close blocks do. */
const CLOSE_FEWEST = 20

/**
 * Fills the last two sheets, two equal ones with few pieces by all ways. Else one is filled by blocks with little waste, so that
 * most of what may be wasted is left for the other one: that is filled by trees that are cooled down quickly, or by blocks and
 * all ways; then the same with other pieces. Trees fill a sheet of pieces by chance in one of two to four tries where it may
 * waste eight hundredths, below four hardly ever. Where there is room enough, or sheets are one or more than two, trees fill all
 * at once.
 * @param limit what the sheets may cost, mm²
 * @returns what goes in this time; null where there is too much for the sheets, where more than two may waste next to nothing, or
 *   where nothing came of it
 */
export function fillLastTwo(problem: Problem, limit: number, means: Means): Layout | null {
  const stock = stockWithin(problem, limit)
  const room = roomOf(problem, stock)
  const slack = room - areaOfAll(problem)
  if (slack < 0) return null
  // where the time is up trees tell at once how far they come
  if (stock.length > 2 && slack < HOPELESS_OF_MANY * room && !means.over()) return null
  const [kind] = stock
  if (stock.length === 2 && stock[1] === kind && problem.pieces.length <= FEW_FOR_TWO) {
    const plan = byAllWays(problem, kind!, means)
    if (plan || (slack < LOOSE * room && !means.over())) return plan
  }
  const atOnce = slack > ROOMY * room || (slack > HOPELESS * room && below(means.random, SELDOM) === 0)
  if (stock.length !== 2 || atOnce) return cooled(problem, limit, means, LONG)
  const sheets = problem.sheets.map((s, i) => ({ ...s, count: stock.filter((at) => at === i).length }))
  const isClose = isForClose(problem, stock) && problem.pieces.length > CLOSE_FEWEST
  const plan = isClose
    ? new CloseTwo({ ...problem, sheets }, kind!, limit, means).fill()
    : oneThenTheOther({ ...problem, sheets }, limit, slack, means)
  // the time is up before anything was tried: as far as trees come at once
  return plan ?? (means.over() ? cooled(problem, limit, means, LONG) : null)
}

/** Fills two equal sheets with few pieces. */
function byAllWays(problem: Problem, kind: number, { over }: Means): Layout | null {
  const sheet = problem.sheets[kind]!
  const found = new AllWays(undefined, FEW_FOR_TWO).fillTwo(problem, sheet, over)
  return found && { laid: found.map((lying) => ({ sheet: kind, lying })), left: [], cost: 2 * sheet.cost }
}

function oneThenTheOther(problem: Problem, limit: number, slack: number, means: Means): Layout | null {
  const snug = littleWaste(problem, slack, means)
  const lastOne = new LastOne(WAYS)
  let best: Layout | null = null
  for (const one of thriftyFirst(ofSnug(snug), problem, slack).slice(0, TRIES)) {
    if (means.over() || lastOne.ways === 0) break
    const full = [one.sheet()]
    const parts = without(problem, full)
    const other = theOther(parts.rest, limit - costOf(problem, full), lastOne, means)
    if (other && (!best || other.left.length < best.left.length)) best = together(problem, full, parts, other)
    if (best?.left.length === 0) break
  }
  return best
}

/** Fills the sheet that is left: where it may waste enough by trees, which are quick; else by blocks and all ways. */
function theOther(problem: Problem, limit: number, lastOne: LastOne, means: Means): Layout | null {
  const kind = stockWithin(problem, limit)[0]!
  const plan = lastByTrees(problem, kind, limit, means)
  return plan?.left.length === 0 ? plan : (lastOne.fill(problem, kind, means) ?? plan)
}

/** Full sheets with little waste, more being allowed by and by. */
function littleWaste(problem: Problem, slack: number, { random, over }: Means): SnugSheets {
  const largest = Math.max(...problem.sheets.map((s) => (s.count > 0 ? s.area : 0)))
  for (let most = slack * LITTLE * (0.7 + 0.6 * random()); ; most *= MORE) {
    const share = Math.min(MOST_IN_BLOCKS, (IN_BLOCKS * most) / largest)
    const rows = { most: ROWS, share: (IN_ROWS * most) / largest }
    const snug = new SnugSheets(problem, { share, most, evenly: true }, { ...REACH, rows })
    snug.find(over)
    if (snug.found.length >= ENOUGH || most * MORE >= slack * MOST || over()) return snug
  }
}
