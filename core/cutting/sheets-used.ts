import { placesOf, type Place } from '../shop/places'
import { NO_TRIM, type Trim } from '../shop/pieces-of-stock'
import type { Shop } from '../shop/shop'
import { cutsOf, type Cut } from './cuts'
import { offcutStock, type CuttingJob } from './from-holders'
import type { CutPlacement, CutPlan, CutStock } from './instance'

/** One piece of stock that a plan uses: what lies in it, and the cuts in their order. */
export interface SheetCuts {
  job: CuttingJob
  stock: CutStock
  /** `birch-ply-18 0`: the stock and which piece of it */
  key: string
  /** as one would call it: the offcut by its name, a bought one by its number */
  name: string
  /** id of the offcut it is, or null for one that is bought */
  offcut: string | null
  placements: CutPlacement[]
  /** what is cut off it before, mm; places and cuts count from the end and edge that are left */
  trim: Trim
  /** where nothing is cut from it */
  noGo: Place[]
  cuts: Cut[]
}

/** Width of a piece of stock as it is drawn and cut: rods and lengths by their thickness; mm. */
export const drawnWidth = ({ job, stock }: Pick<SheetCuts, 'job' | 'stock'>): number =>
  stock.width || job.stock.thickness

type Sized = Pick<SheetCuts, 'job' | 'stock' | 'trim'>

/** A piece of stock once its first end and edge are trimmed: what is over at the others is on it yet; mm. */
export const lyingSize = (sheet: Sized): { length: number; width: number } => ({
  length: sheet.stock.length + sheet.trim.ends,
  width: drawnWidth(sheet) + sheet.trim.edges,
})

/** A piece of stock as it comes, mm. */
export const wholeSize = (sheet: Sized): { length: number; width: number } => ({
  length: sheet.stock.length + 2 * sheet.trim.ends,
  width: drawnWidth(sheet) + 2 * sheet.trim.edges,
})

/** The pieces of stock that a plan uses, in the order in which the plan takes them up. */
export function sheetsUsed(job: CuttingJob, plan: CutPlan, shop: Pick<Shop, 'offcuts'>): SheetCuts[] {
  const sheets = new Map<string, SheetCuts>()
  for (const placed of plan.placements) {
    const part = job.sound[placed.stockId]
    const p = part ? { ...placed, stockId: offcutStock(part.offcut), x: placed.x + part.at.x, y: placed.y + part.at.y } : placed // prettier-ignore
    const key = `${p.stockId} ${p.stockIndex}`
    const offcut = shop.offcuts.find((o) => offcutStock(o.id) === p.stockId)
    const drawn = job.instance.stock.find((s) => s.id === placed.stockId)!
    // of a piece with no width of its own the search took the widest there is
    const stock = part && offcut ? { ...drawn, id: p.stockId, length: offcut.length, width: drawn.width && (offcut.width ?? part.at.width) } : drawn // prettier-ignore
    const sheet = sheets.get(key) ?? {
      job,
      stock,
      key,
      name: offcut?.name ?? `${job.stock.name}, ${p.stockIndex + 1}`,
      offcut: offcut?.id ?? null,
      placements: [],
      trim: offcut ? NO_TRIM : job.trim,
      noGo: placesOf(offcut?.noGo ?? ''),
      cuts: [],
    }
    sheet.placements.push(p)
    sheets.set(key, sheet)
  }
  return [...sheets.values()].map((sheet) => {
    const wide = drawnWidth(sheet)
    const lies = lyingSize(sheet)
    const full = sheet.placements.map((p) => (p.width ? p : { ...p, width: wide }))
    return { ...sheet, cuts: cutsOf(lies.length, lies.width, full, job.instance.kerf, job.held) }
  })
}
