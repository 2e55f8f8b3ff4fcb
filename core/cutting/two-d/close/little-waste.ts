import type { Means } from '../../means'
import type { Random } from '../../random'
import { areaOfAll, mostDiffer, roomOf, type Problem } from '../sheets'
import { CloseSheets, type Effort } from './full'

/**
 * A block may waste this part of what it takes, in parts of what a sheet may, and so much besides in the same parts. Of pieces that may be
 * turned there are more blocks of next to no waste: those of a small part of it do then, and small ones that waste more besides.
 */
const IN_BLOCKS = { turning: { share: 0.4, base: 0.05 }, lying: { share: 0.8, base: 0.02 } }

/** How much more a sheet may waste from one time to the next, where too few are found; and less, where there are too many blocks. */
const MORE = 1.25
const LESS = 0.6

/** How far each list goes. */
const EFFORT = { blocks: 40_000, laid: 300_000, looks: 10_000_000, sheets: 2000 }

/** Pieces count as turning where more than this part of them may. */
const TURNING = 0.4

/** Blocks count their pieces in a byte, and more would be too many anyway. */
const TOO_MANY = 255

/** Of fewer pieces for each sheet blocks that waste much tell more. */
const FEWEST = 10

/** Where a sheet may waste this part of a piece on average the likeliest blocks fill sheets sooner. */
const ROOMY = 0.6

/** Whether full sheets can be found so: equal sheets for many pieces each, nearly all of which differ. @param stock the sheets by their kind */
export function isForClose(problem: Problem, stock: readonly number[]): boolean {
  const { length } = problem.pieces
  const isMany = length > FEWEST * stock.length && length <= TOO_MANY
  return isMany && stock.length > 0 && stock.every((s) => s === stock[0]) && mostDiffer(problem)
}

/** Whether so little may be wasted that they are best found so. */
export function isLittle(problem: Problem, stock: readonly number[]): boolean {
  const room = roomOf(problem, stock)
  return ((room - areaOfAll(problem)) / room) * problem.pieces.length <= ROOMY * stock.length
}

/**
 * Where so many blocks go together that in so many tries, each with less waste, no sheet came of as many as may be, it is tried
 * with this part of the pieces; of what is left for this many sheets or fewer nothing more is left out.
 */
const IN_VAIN = 3
const SOME = 0.8
const FEW_SHEETS = 2

/** Full sheets, what one of them may waste, mm², and how many blocks were made in all. */
export interface Little {
  readonly sheets: CloseSheets
  readonly most: number
  readonly built: number
}

/**
 * Full sheets of one kind with little waste, more being allowed by and by until enough are found. Of pieces of which too many go
 * together for any to be found they are made of some, by chance, rather the large ones.
 * @param kind of the sheets
 * @param waste what a sheet may waste at first and at last, mm²
 */
export function littleWaste(
  problem: Problem,
  kind: number,
  [first, last]: readonly [first: number, last: number],
  enough: number,
  { random, over }: Pick<Means, 'random' | 'over'>,
): Little {
  const { area } = problem.sheets[kind]!
  const inBlocks = IN_BLOCKS[mostTurn(problem) ? 'turning' : 'lying']
  let best: Little | null = null
  let [some, inVain, built] = [problem, 0, 0]
  for (let most = first, way = 1; ;) {
    const may = { share: (inBlocks.share * most) / area, base: inBlocks.base * most, most }
    const effort: Effort = { ...EFFORT, over }
    const sheets = new CloseSheets(some, kind, may, effort)
    const all = sheets.find()
    built += sheets.built
    if (!best || sheets.count > best.sheets.count) best = { sheets, most, built }
    if (sheets.count >= enough || over()) break
    if (!all && sheets.count === 0 && ++inVain === IN_VAIN && areaOfAll(some) * SOME > FEW_SHEETS * area) {
      ;[some, inVain, most, way] = [someOf(some, random), 0, first, 1]
      continue
    }
    // too many blocks for larger ones to be made: less waste makes fewer, unless that was too little before
    if (!all && best.most < most) break
    if (!all) way = -1
    else if (way < 0) break
    most *= way > 0 ? MORE : LESS
    if (most > last || most < 1) break
  }
  return { ...best, built }
}

const mostTurn = ({ pieces, shapes }: Problem): boolean =>
  pieces.filter((p) => shapes[p]!.turns).length > TURNING * pieces.length

/** The same with some of the pieces, by chance, the larger the likelier. */
function someOf(problem: Problem, random: Random): Problem {
  const { pieces, shapes } = problem
  const keys = pieces.map((p) => Math.log(random()) / shapes[p]!.area)
  const order = pieces.map((_, i) => i).sort((a, b) => keys[b]! - keys[a]!)
  const kept = order.slice(0, Math.floor(SOME * pieces.length)).sort((a, b) => a - b)
  return { ...problem, pieces: kept.map((i) => pieces[i]!) }
}
