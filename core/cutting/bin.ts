import type { Row } from '../shop/lists'
import { placesText, type Place } from '../shop/places'
import type { Shop } from '../shop/shop'
import { leftoversOf, type Leftover } from './cuts'
import { drawnWidth, lyingSize, type SheetCuts } from './sheets-used'

/** What is left of a piece of stock and large enough to be kept; none of stock that is bought by the length. mm */
export function keptOf(sheet: SheetCuts, { settings }: Pick<Shop, 'settings'>): Leftover[] {
  const { stock, job, offcut, placements } = sheet
  if (offcut === null && job.stock.length === null) return []
  const wide = drawnWidth(sheet)
  const round = job.instance.kind === '1d'
  const lies = lyingSize(sheet)
  const full = placements.map((p) => (p.width ? p : { ...p, width: wide }))
  // by the cuts that are made; what is over at the far end and edge is on it yet, and is not kept
  const left = leftoversOf(lies.length, lies.width, full, job.instance.kerf, job.held).map((l): Leftover => ({ ...l, length: Math.min(l.length, stock.length - l.x), width: Math.min(l.width, wide - l.y) })) // prettier-ignore
  return left.filter((l) => l.length >= settings.leastOffcut && (round || l.width >= settings.leastOffcutWidth))
}

/**
 * A shop when a piece of stock has been cut up: the offcut it was is gone from the bin, and what is left of it is there.
 * @param newId gives ids for new offcuts
 */
export function cutUp(shop: Shop, sheet: SheetCuts, newId: () => string): Shop {
  const { job, offcut, stock } = sheet
  const was = shop.offcuts.find((o) => o.id === offcut)
  const round = job.instance.kind === '1d'
  // a board whose width is not told is as wide as it was
  const openWide = !round && (was ? was.width : job.stock.width) === null
  const rest = keptOf(sheet, shop).map((l): Row<'offcuts'> => ({
    id: newId(),
    name: `Rest of ${was?.name.replace(/^Rest of /, '') ?? job.stock.name}`.slice(0, 120),
    form: job.stock.form,
    material: job.stock.material,
    thickness: was?.thickness ?? job.stock.thickness,
    length: Math.floor(l.length * 10) / 10,
    width: round || openWide ? null : Math.floor(l.width * 10) / 10,
    grain: job.stock.grain,
    noGo: placesText(within(sheet.noGo, l)),
    note: was?.note ?? '',
  }))
  return { ...shop, offcuts: [...shop.offcuts.filter((o) => o.id !== offcut || !stock.isOffcut), ...rest] }
}

/** Of a place less than this is nothing, mm: what a cut along its edge leaves. */
const SLIVER = 0.05

/** The places that lie in what is left of a piece of stock, from its own corner. */
const within = (places: readonly Place[], { x, y, length, width }: Leftover): Place[] =>
  places
    .filter((p) => p.from < x + length && p.to > x && p.low < y + width && p.high > y)
    .map((p) => ({
      from: Math.max(0, p.from - x),
      to: Math.min(length, p.to - x),
      low: Math.max(0, p.low - y),
      high: p.high >= y + width ? (p.low <= y ? Infinity : width) : p.high - y,
    }))
    .filter((p) => p.to - p.from > SLIVER && p.high - p.low > SLIVER)
