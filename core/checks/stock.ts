import { formOf } from '../forms/all-forms'
import type { Board, Rod, Seat } from '../model/model'
import { layersLeft, stillCut } from '../model/work'
import { isEnough, isRound, mayTurn, piecesOf, trimOf } from '../shop/pieces-of-stock'
import type { Stock } from '../shop/shop'
import { formatLength } from '../units/format-length'
import { trimRule } from './rules'
import { stockAsked } from './stock-asked'
import { letFollow, limitFrom, offer, remedy, TOLERANCE, type Check, type Subject } from './subject'
import type { Remedy, Verdict } from './verdict'

/** Other stock is proposed so often at most. */
const MOST = 3

/** What is cut from one piece of stock: a board, or each of its layers, or a rod. mm */
interface Part {
  of: Board | Rod
  stock: Stock
  length: number
  /** 0 of a rod */
  width: number
}

/** Whether each part can be cut from the stock it is to be made of, or from what is in the bin; what is cut already is. */
export const checkStock: Check = (subject) => {
  const parts = partsOf(subject)
  if (parts.length === 0) return []
  const wanting = parts.filter((part) => !canBeCut(subject, part))
  if (wanting.length > 0) return wanting.map((part) => tooLarge(subject, part))
  const says = 'Every part can be cut from a piece of its stock, or is cut.'
  return [{ id: 'stock', check: 'stock', title: 'Stock', level: 'pass', says, seats: [], candidates: [] }]
}

function partsOf({ model, input: { shop, cut } }: Subject): Part[] {
  const done = cut && stillCut(model, cut)
  const stock = (id: string): Stock | undefined => shop.stock.find((s) => s.id === id)
  const one = (of: Board | Rod, layers: number, length: number, width: number): Part[] => {
    const from = stock(of.stock)
    return from && layersLeft(of.id, layers, done).length > 0 ? [{ of, stock: from, length, width }] : []
  }
  return [
    ...model.boards.flatMap((b) => one(b, b.layers, b.length, b.width)),
    ...model.rods.flatMap((r) => one(r, 1, r.length, 0)),
  ]
}

function canBeCut({ input: { shop } }: Subject, { of, stock, length, width }: Part): boolean {
  return isEnough(shop, stock, length, width, mayTurn(stock, of.role))
}

function tooLarge(subject: Subject, part: Part): Verdict {
  const { input, trail } = subject
  const { shop } = input
  const { of, stock } = part
  const [piece] = piecesOf(shop, stock, part.width)
  const key = part.width > piece!.width + TOLERANCE ? 'width' : 'length'
  const [value, limit, word] = [part[key], piece![key], key === 'width' ? 'wide' : 'long']
  const limitFigure = `stock:${stock.id}:${key}`
  const origin = stock[key] === null ? ({ kind: 'shop', key: 'longestBoard' } as const) : ({ kind: 'stock', id: stock.id, key } as const) // prettier-ignore
  const label = `${key === 'width' ? 'Width' : 'Length'} of ${stock.name}`
  const { ends, edges } = trimOf(shop, stock)
  const off = key === 'width' ? edges : ends
  if (off === 0) trail.given(limitFigure, label, limit, origin)
  else {
    const trim = key === 'width' ? 'trimEdges' : 'trimEnds'
    trail.given(`${limitFigure}:whole`, label, stock[key] ?? shop.settings.longestBoard, origin)
    limitFrom(subject, trim)
    trail.derive(
      limitFigure,
      `${label}, trimmed`,
      limit,
      trimRule,
      `max([1 mm], {${limitFigure}:whole} − 2 × {${trim}})`,
    )
  }
  const glued = key === 'width' && stock.form === 'board' ? ' One glued up edge to edge would do, once it is in the bin.' : '' // prettier-ignore
  return {
    id: `stock:${of.id}`,
    check: 'stock',
    title: 'Stock',
    level: 'watch',
    says: `${of.name} is ${formatLength(value, shop, 'up')} ${word}; ${stock.name} comes ${formatLength(limit, shop, 'down')} ${word}, and nothing in the bin is large enough.${glued}`, // prettier-ignore
    seats: [],
    ...('width' in of ? { board: of.id } : {}),
    figure: 'width' in of ? of.figures[key] : of.figures.length,
    limitFigure,
    measured: { value, limit, sense: 'at most', quantity: 'length', print: 'up' },
    candidates: [...otherStock(subject, part), ...smaller(subject, part)],
  }
}

/** Stock of the shop that is large enough, and is asked for in the same place: the one of the nearest thickness first. */
function otherStock(subject: Subject, part: Part): Remedy[] {
  const { input } = subject
  const { stock } = part
  const { choices } = formOf(input.holder.form)!
  const key = stockAsked(subject, part.of)
  const choice = choices.find((c) => c.key === key)
  if (choice?.type !== 'stock') return []
  const away = (s: Stock): number => Math.abs(s.thickness - stock.thickness)
  return input.shop.stock
    .filter((s) => s.id !== stock.id && choice.of.includes(s.form) && isRound(s.form) === isRound(stock.form))
    .filter((s) => canBeCut(subject, { ...part, stock: s }))
    .sort((a, b) => away(a) - away(b))
    .slice(0, MOST)
    .map((s) => remedy(`Take ${s.name}`, { kind: 'choice', key: choice.key, value: s.id }))
}

/** Ways to a smaller part: a narrower one, or a shorter one, which a piece in the bin may be long enough for. */
function smaller({ input, model }: Subject, { of }: Part): Remedy[] {
  const { seats } = input.holder
  const on = model.seats.filter((s) => s.board === of.id)
  const deepest = on.reduce<Seat | null>((a, b) => (a && depthOf(a) >= depthOf(b) ? a : b), null)
  const half = seats.slice(Math.ceil(seats.length / 2)).map((s) => s.id)
  return [
    ...letFollow(input, 'Let the depth follow from the tools', 'depth'),
    ...offer(input, 'Pitch by neighbour', 'pitch', 'neighbour'),
    ...offer(input, 'Let the end heads overhang', 'ends', 'overhang'),
    ...(deepest && seats.length > 1 ? [remedy(`Leave ${deepest.name} out`, { kind: 'leave out', seats: [deepest.id] })] : []), // prettier-ignore
    ...(half.length > 0 ? [remedy('Keep the first half here', { kind: 'leave out', seats: half })] : []),
  ]
}

const depthOf = ({ extent }: Seat): number => extent.back + extent.front
