import { pipePair } from '../fit/pipe'
import type { Board, HolderModel, Rod } from '../model/model'
import { layersLeft } from '../model/work'
import { heldSafely, type HeldSafely } from '../shop/held-safely'
import type { Shop, Stock } from '../shop/shop'
import { isRound, kerfOf, mayTurn, newPiece, piecesOf, trimOf, type Trim } from '../shop/pieces-of-stock'
import { rippingSaw } from '../shop/usual-choice'
import type { SoundPart } from '../shop/sound-parts'
import { NOT_HELD } from './rest-first'
import { SAME } from './instance'
import type { CutInstance, CutPart, CutStock } from './instance'

/** What is to be cut from one kind of stock for some holders. */
export interface CuttingJob {
  stock: Stock
  instance: CutInstance
  /** what each part of the instance is: its holder and its board, by the part's id */
  names: Record<string, { holder: string; part: string }>
  /** offcuts of which only parts are sound: the offcut, and where the part lies in it, by the id of the part’s stock */
  sound: Record<string, { offcut: string; at: SoundPart }>
  /** what is cut off a new piece before, mm */
  trim: Trim
  /** how long what is ripped has to stay */
  held: HeldSafely
}

/** A kind of stock and the offcuts that do instead of it, as a search takes them. `widest` fills in a width left open. */
function stockFor(shop: Shop, stock: Stock, widest: number): { stock: CutStock[]; sound: CuttingJob['sound'] } {
  const sound: CuttingJob['sound'] = {}
  const parts = new Map<string, number>()
  const pieces = piecesOf(shop, stock, widest).map(({ length, width, offcut, sound: at }): CutStock => {
    if (!offcut) return { id: stock.id, length, width, count: Infinity, isOffcut: false }
    let id = offcutStock(offcut.id)
    if (at) {
      const number = (parts.get(id) ?? 0) + 1
      parts.set(id, number)
      id = `${id}${PART_OF_OFFCUT}${number}`
      sound[id] = { offcut: offcut.id, at }
    }
    return { id, length, width, count: 1, isOffcut: true }
  })
  return { stock: pieces, sound }
}

/** What an offcut is called as stock. */
export const offcutStock = (id: string): string => `offcut ${id}`

/** A holder whose pieces are cut, and which of them are cut already: `cut:rail#1` is the first layer of its rail. */
export interface ToCut {
  id: string
  model: HolderModel
  cut?: ReadonlySet<string>
}

/** Between the id of an offcut as stock and the number of its sound part. */
export const PART_OF_OFFCUT = ' part '

/** Between the ids of two strips, or of two pipes, that are cut from one piece. */
export const PAIR = ' + '

/** Strips are ripped in pairs only where the shorter is at least this part of the longer. */
const ALIKE = 0.8

/**
 * Bevelled strips in pairs out of a wider piece, by one bevelled rip: half of what two square ones would waste. What has
 * no mate stays by itself, and so do those that new stock is too narrow for together.
 */
function inPairs(
  parts: readonly CutPart[],
  holders: readonly ToCut[],
  names: CuttingJob['names'],
  shop: Shop,
  widest: number,
): CutPart[] {
  const boards: ReadonlyMap<string, Board> = new Map(
    holders.flatMap(({ id, model }) => model.boards.map((b) => [`${id}/${b.id}`, b] as const)),
  )
  const strips = parts.filter((p) => boards.get(p.id)?.bevel).sort((a, b) => b.length - a.length)
  const paired: CutPart[] = []
  const gone = new Set<CutPart>()
  for (const one of strips) {
    if (gone.has(one)) continue
    const { bevel, thickness } = boards.get(one.id)!
    const mate = strips.find((p) => p !== one && !gone.has(p) && Math.abs(p.width - one.width) < 0.01 && p.length >= ALIKE * one.length && boards.get(p.id)!.bevel!.tilt === bevel!.tilt) // prettier-ignore
    if (!mate) continue
    const lean = (bevel!.tilt * Math.PI) / 180
    // the saw that tilts so far need not be the one that cuts panels
    const kerf = rippingSaw(shop, bevel!.tilt)?.kerf ?? 0
    const width = 2 * one.width - thickness * Math.tan(lean) + kerf / Math.cos(lean)
    if (width > widest + SAME) continue
    gone.add(one).add(mate)
    const id = `${one.id}${PAIR}${mate.id}`
    names[id] = { holder: [...new Set([names[one.id]!.holder, names[mate.id]!.holder])].join(' and '), part: 'Two strips, ripped apart at their bevel' } // prettier-ignore
    paired.push({ ...one, id, width })
  }
  return [...parts.filter((p) => !gone.has(p)), ...paired]
}

/** Alike pipes in pairs out of a longer piece, by one slanted cut that makes both mouths; one over stays by itself. @param longest piece of stock, mm */
function pipesInPairs(
  parts: readonly CutPart[],
  holders: readonly ToCut[],
  names: CuttingJob['names'],
  kerf: number,
  longest: number,
): CutPart[] {
  const rods: ReadonlyMap<string, Rod> = new Map(
    holders.flatMap(({ id, model }) => model.rods.map((r) => [`${id}/${r.id}`, r] as const)),
  )
  const left: CutPart[] = []
  const waiting = new Map<string, CutPart>()
  for (const part of parts) {
    const { length: long, diameter, pipe } = rods.get(part.id)!
    const slant = pipe?.slant ?? 0
    const length = pipePair(long, diameter, slant, kerf)
    if (slant === 0 || length > longest + SAME) {
      left.push(part)
      continue
    }
    const look = `${part.length.toFixed(3)} ${slant}`
    const mate = waiting.get(look)
    if (!mate) {
      waiting.set(look, part)
      continue
    }
    waiting.delete(look)
    const id = `${mate.id}${PAIR}${part.id}`
    names[id] = { holder: [...new Set([names[mate.id]!.holder, names[part.id]!.holder])].join(' and '), part: 'Two pipes, parted by one slanted cut' } // prettier-ignore
    left.push({ ...mate, id, length })
  }
  return [...left, ...waiting.values()]
}

/**
 * The pieces of some holders by the stock they are cut from: boards as panels, each layer for itself, rods as lengths.
 * @returns one job for each kind of stock, in the shop's order
 */
export function jobsOf(shop: Shop, holders: readonly ToCut[]): CuttingJob[] {
  return shop.stock.flatMap((stock): CuttingJob[] => {
    const round = isRound(stock.form)
    const names: CuttingJob['names'] = {}
    const parts = holders.flatMap(({ id, model, cut }): CutPart[] => {
      const name = (part: { id: string; name: string }): string => {
        const key = `${id}/${part.id}`
        names[key] = { holder: model.name, part: part.name }
        return key
      }
      const boards = model.boards
        .filter((b) => b.stock === stock.id && layersLeft(b.id, b.layers, cut).length > 0)
        .map((b) => ({ id: name(b), length: b.length, width: b.width, count: layersLeft(b.id, b.layers, cut).length, canRotate: mayTurn(stock, b.role) })) // prettier-ignore
      const rods = model.rods
        .filter((r) => r.stock === stock.id && layersLeft(r.id, 1, cut).length > 0)
        .map((r) => ({ id: name(r), length: r.length, width: 0, count: 1, canRotate: false }))
      return [...boards, ...rods]
    })
    if (parts.length === 0) return []
    const all = round
      ? pipesInPairs(
          parts,
          holders,
          names,
          kerfOf(shop),
          stock.length === null ? Infinity : newPiece(shop, stock).length,
        )
      : inPairs(parts, holders, names, shop, newPiece(shop, stock).width ?? Infinity)
    const widest = Math.max(...all.map((p) => p.width))
    const kind = round ? '1d' : '2d'
    const from = stockFor(shop, stock, widest)
    const instance: CutInstance = { id: stock.id, kind, kerf: kerfOf(shop), stock: from.stock, parts: all }
    return [
      {
        stock,
        instance,
        names,
        sound: from.sound,
        trim: trimOf(shop, stock),
        held: round ? NOT_HELD : heldSafely(shop),
      },
    ]
  })
}
