import type { Problem } from '../sheets'
import { CloseSheets, type Effort } from './full'

/** A block may waste this part of what it takes, in parts of what a sheet may, and so much besides in the same parts. */
const SHARE = 0.8
const BASE = 0.02

/** How much more a sheet may waste from one time to the next, where too few are found; and less, where there are too many blocks. */
const MORE = 1.25
const LESS = 0.6

const EFFORT = { blocks: 40_000, laid: 300_000, sheets: 2000 }

/** Of equal pieces each is told apart, which makes many blocks of one: so many sizes for each piece there have to be. */
const DIFFERENT = 0.7

/** And pieces that are too many to be counted in a byte are too many anyway. */
const TOO_MANY = 255

/** Of fewer pieces for each sheet blocks that waste much tell more; where a sheet may waste so many pieces the likeliest blocks will do. */
const FEWEST = 10
const ROOMY = 0.6

/**
 * Whether full sheets are found so: equal sheets for many pieces, nearly all of which differ, and not much to be wasted.
 * @param stock the sheets that are left, by their kind, @param slack what they may waste in all, mm²
 */
export function isForClose({ pieces, sheets }: Problem, stock: readonly number[], slack: number): boolean {
  const each = pieces.length / stock.length
  const waste = slack / (stock.length * sheets[stock[0]!]!.area)
  if (each <= FEWEST || waste * each > ROOMY || pieces.length > TOO_MANY) return false
  return stock.every((s) => s === stock[0]) && new Set(pieces).size > DIFFERENT * pieces.length
}

/** Full sheets, what one of them may waste, mm², and how many blocks were made in all. */
export interface Little {
  readonly sheets: CloseSheets
  readonly most: number
  readonly built: number
}

/**
 * Full sheets of one kind with little waste, more being allowed by and by until enough are found.
 * @param first what a sheet may waste at first, mm², @param last and at last
 */
export function littleWaste(
  problem: Problem,
  kind: number,
  [first, last]: readonly [first: number, last: number],
  enough: number,
  over: () => boolean,
): Little {
  const { area } = problem.sheets[kind]!
  let best: Little | null = null
  let built = 0
  for (let most = first, way = 1; ;) {
    const may = { share: (SHARE * most) / area, base: BASE * most, most }
    const effort: Effort = { ...EFFORT, over }
    const sheets = new CloseSheets(problem, kind, may, effort)
    const all = sheets.find()
    built += sheets.built
    if (!best || sheets.count > best.sheets.count) best = { sheets, most, built }
    if (sheets.count >= enough || over()) break
    // too many blocks for larger ones to be made: less waste makes fewer, unless that was too little before
    if (!all && best.most < most) break
    if (!all) way = -1
    else if (way < 0) break
    most *= way > 0 ? MORE : LESS
    if (most > last || most < 1) break
  }
  return { ...best, built }
}
