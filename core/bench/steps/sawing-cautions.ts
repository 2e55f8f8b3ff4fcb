import type { SheetCuts } from '../../cutting/sheets-used'
import type { SawnCut } from './cut-saws'
import { SHORTEST_CROSS, SHORTEST_RIP } from '../../shop/held-safely'
import type { Row } from '../../shop/lists'
import type { Shop } from '../../shop/shop'

/** A rip narrower than this wants a push block, mm. */
export const NARROW = 80

/** A piece of stock heavier than one person carries: its area, mm². */
const HEAVY_SHEET = 2e6

export const RIPPING =
  'Ripping narrow strips: push block, the offcut on the free side of the blade, never trapped between blade and fence.'

const SHORT_PIECES = 'Short pieces stay in their strip and are parted last; hold them by a clamp, never by fingers.'

/** What a sheet of the usual size weighs, in the shop's unit, and what to do. */
export const fullSheet = ({ unit }: Pick<Shop, 'unit'>): string =>
  `A full sheet weighs ${unit === 'in' ? '55 to 80 lb' : '25 to 37 kg'}: two people, or cut it down first.`

/** A saw that is led along a guide stands on what it cuts. */
const GUIDED = 'Narrow strips: a board as thick beside it carries the guide; clamp both, and stand aside.'

/** What is to be minded where narrow strips are ripped, by the saws they are ripped with; nothing by hand. */
export const narrowRips = (saws: readonly (Row<'saws'> | null)[]): string[] => [
  ...(saws.some((s) => s?.kind === 'table saw' || s?.kind === 'band saw') ? [RIPPING] : []),
  ...(saws.some((s) => s?.kind === 'track saw' || s?.kind === 'circular saw') ? [GUIDED] : []),
]

/** The cautions that apply when a piece of stock is cut up. */
export function sawingCautions(
  { stock, placements }: SheetCuts,
  sawn: readonly SawnCut[],
  shop: Pick<Shop, 'unit'>,
): string[] {
  const narrow = sawn.filter((c) => c.direction === 'rip' && c.cut.fence < NARROW)
  const short = placements.some((p) => Math.max(p.length, p.width) < SHORTEST_RIP || p.length < SHORTEST_CROSS)
  return [
    ...narrowRips(narrow.map((c) => c.saw)),
    ...(stock.length * stock.width > HEAVY_SHEET ? [fullSheet(shop)] : []),
    ...(short ? [SHORT_PIECES] : []),
  ]
}
