import type { Row } from './lists'
import { placesOf } from './places'
import type { Shop, Stock } from './shop'
import { soundParts, type SoundPart } from './sound-parts'
import { rippingSaw } from './usual-choice'

/** One piece that parts are cut from: new stock, an offcut, or a sound part of one. mm */
export interface StockPiece {
  length: number
  /** 0 of rods and pipe */
  width: number
  offcut: Row<'offcuts'> | null
  /** where it lies in an offcut of which not all is sound */
  sound: SoundPart | null
}

/** Thicknesses that differ by no more than this may be mixed, mm. */
const SAME_THICKNESS = 0.3

export const isRound = (form: Stock['form']): boolean => form === 'rod' || form === 'pipe'

/** The kerf of the saw that cuts panels; nought where there is no saw. mm */
export const kerfOf = (shop: Shop): number => rippingSaw(shop)?.kerf ?? 0

/** Whether parts may lie across a kind of stock: where it has no grain, or for parts whose grain does not matter. */
export const mayTurn = (stock: Stock, role: string): boolean => stock.grain === 'none' || role === 'panel'

/** What is cut off new stock before it is used, mm: off each end, and off each edge of a sheet. */
export interface Trim {
  ends: number
  edges: number
}

export const NO_TRIM: Trim = { ends: 0, edges: 0 }

/** What a shop cuts off a new piece of a kind of stock. */
export const trimOf = ({ settings }: Pick<Shop, 'settings'>, { form }: Pick<Stock, 'form'>): Trim => ({
  ends: settings.trimEnds,
  edges: form === 'sheet' ? settings.trimEdges : 0,
})

/** Something is left of each piece, mm. */
const LEAST_LEFT = 1

/** What can be used of a new piece of stock, its ends and edges off; width null where it is not told; mm. */
export function newPiece(shop: Pick<Shop, 'settings'>, stock: Stock): { length: number; width: number | null } {
  const { ends, edges } = trimOf(shop, stock)
  const length = stock.length ?? shop.settings.longestBoard
  return {
    length: Math.max(LEAST_LEFT, length - 2 * ends),
    width: stock.width === null ? null : Math.max(LEAST_LEFT, stock.width - 2 * edges),
  }
}

/**
 * The pieces that parts of a kind of stock are cut from: one as it is bought, then the offcuts that do instead of it.
 * @param widest the width of a piece of which none is told, mm
 */
export function piecesOf(shop: Shop, stock: Stock, widest: number): StockPiece[] {
  const round = isRound(stock.form)
  const width = (own: number | null): number => (round ? 0 : (own ?? widest))
  const offcuts = shop.offcuts.filter(
    (o) =>
      o.material === stock.material &&
      Math.abs(o.thickness - stock.thickness) <= SAME_THICKNESS &&
      isRound(o.form) === round,
  )
  const whole = newPiece(shop, stock)
  const bought = { length: whole.length, width: width(whole.width), offcut: null, sound: null }
  return [bought, ...offcuts.flatMap((o) => soundPieces(shop, o, width(o.width)))]
}

/**
 * Whether some piece of a kind of stock, or of what does instead of it, is large enough for a part.
 * @param length of the part along the stock's length, mm
 * @param width across it, mm; 0 for rods and pipe
 * @param turning it may lie across as well
 */
export function isEnough(shop: Shop, stock: Stock, length: number, width: number, turning: boolean): boolean {
  const widest = turning ? Math.max(length, width) : width
  return piecesOf(shop, stock, widest).some((p) => holds(p, length, width) || (turning && holds(p, width, length)))
}

/** Lengths that differ by no more are the same, mm. */
const SAME = 1e-6

const holds = (piece: StockPiece, length: number, width: number): boolean =>
  length <= piece.length + SAME && width <= piece.width + SAME

/** An offcut, or what is sound of it. */
function soundPieces(shop: Shop, offcut: Row<'offcuts'>, width: number): StockPiece[] {
  const places = placesOf(offcut.noGo)
  if (places.length === 0) return [{ length: offcut.length, width, offcut, sound: null }]
  const parts = soundParts(offcut.length, width, places, kerfOf(shop))
  return parts.map((sound) => ({ length: sound.length, width: sound.width, offcut, sound }))
}
