import { PAIR } from '../../cutting/from-holders'
import { wholeSize, type SheetCuts } from '../../cutting/sheets-used'
import type { HolderModel } from '../../model/model'
import { SHORTEST_RIP, shortestRip } from '../../shop/held-safely'
import { isEnough, mayTurn } from '../../shop/pieces-of-stock'
import { formatPlaces } from '../../shop/places'
import type { Shop } from '../../shop/shop'
import { formatExact, formatLength } from '../../units/format-length'
import { cutWords, thenText, trimWords } from '../cut-words'
import { cutOf } from './features'
import { sawnCuts } from './cut-saws'
import { guideOf, sawFor } from './machines'
import { NARROW, narrowRips, sawingCautions } from './sawing-cautions'
import { step, type Bench, type Step } from './step'
import { MINUTES } from './times'
import { fewNames, listed, lower, pieceNames } from './words'

export const NO_SAW = 'No saw in the shop makes this cut: have it cut, or add one under the shop’s saws.'

/**
 * Features of the pieces of one holder in the order in which they lie on the sheets, such as `cut:rail#1`; what is cut
 * already is passed over.
 */
export function pieceFeatures(
  cuts: readonly SheetCuts[],
  holder: string,
  cut?: ReadonlySet<string>,
): Map<SheetCuts, string[]> {
  const count = new Map<string, number>()
  return new Map(
    cuts.map((sheet) => [
      sheet,
      // two strips of a pair are one piece
      sheet.placements
        .flatMap((p) => p.partId.split(PAIR))
        .flatMap((partId) => {
          if (!partId.startsWith(`${holder}/`)) return []
          const part = partId.slice(holder.length + 1)
          let n = (count.get(part) ?? 0) + 1
          while (cut?.has(cutOf(part, n))) n++
          count.set(part, n)
          return [cutOf(part, n)]
        }),
    ]),
  )
}

/** Every layer of every board and every rod, by what it is cut from. */
function wanted(model: Pick<HolderModel, 'boards' | 'rods'>) {
  return [
    ...model.boards.flatMap((b) =>
      Array.from({ length: b.layers }, (_, n) => ({
        feature: cutOf(b.id, n + 1),
        part: b.id,
        name: b.name,
        stock: b.stock,
        length: b.length,
        width: b.width,
        role: b.role,
      })),
    ),
    ...model.rods.map((r) => ({ feature: cutOf(r.id, 1), part: r.id, name: r.name, stock: r.stock, length: r.length, width: 0, role: r.role })), // prettier-ignore
  ]
}

/**
 * Cutting the parts to size: a step for each piece of stock where the cutting is planned, else one for each kind of stock
 * with the sizes.
 * @param holder id of the holder, by which its parts are named in a plan of cutting
 */
export function cuttingSteps({ model, shop, cuts, cut }: Bench, holder: string): Step[] {
  const all = wanted(model)
  const already = all.filter((p) => cut?.has(p.feature))
  const planned = [...pieceFeatures(cuts, holder, cut)].filter(([, features]) => features.length > 0)
  const done = new Set(planned.flatMap(([, features]) => features))
  const rest = all.filter((p) => !done.has(p.feature) && !already.includes(p))
  const stocks = [...new Set(rest.map((p) => p.stock))]
  return [
    ...(already.length > 0 ? [alreadyCut(already)] : []),
    ...alikeSheets(planned, shop).map((alike) => fromSheets(shop, alike, holder)),
    ...stocks.map((id) => bySize(shop, id, rest.filter((p) => p.stock === id))), // prettier-ignore
  ]
}

/** Id of the card that only says what is cut already. */
export const CUT_ALREADY = 'cut already'

const alreadyCut = (pieces: ReturnType<typeof wanted>): Step =>
  step({
    id: CUT_ALREADY,
    kind: 'cut',
    title: 'Cut already',
    parts: [...new Set(pieces.map((p) => p.part))],
    says: [`${fewNames([...new Set(pieces.map((p) => lower(p.name)))])}.`.replace(/^./, (c) => c.toUpperCase())],
    makes: pieces.map((p) => p.feature),
    minutes: 0,
  })

/** A piece of stock, and the features of a holder that come out of it. */
type Planned = [sheet: SheetCuts, features: string[]]

/** Pieces of stock that the same cuts cut up, one set-up for all of them; each offcut is one by itself. */
function alikeSheets(planned: readonly Planned[], shop: Shop): Planned[][] {
  const groups = new Map<string, Planned[]>()
  for (const [sheet, features] of planned) {
    const cuts = cutWords(sheet, shop).map(({ set, at, waits }) => `${set} ${at} ${waits}`)
    const sizes = sheet.placements.map((p) => [p.x, p.y, p.length, p.width].map((mm) => mm.toFixed(2)).join(' '))
    const look = sheet.offcut ?? JSON.stringify([sheet.job.stock.id, cuts, sizes])
    groups.set(look, [...(groups.get(look) ?? []), [sheet, features]])
  }
  return [...groups.values()]
}

function fromSheets(shop: Shop, alike: readonly Planned[], holder: string): Step {
  const sheets = alike.map(([sheet]) => sheet)
  const sheet = sheets[0]!
  const { job, cuts, stock } = sheet
  const count = sheets.length
  const sawn = sawnCuts(sheet, shop)
  const short = sawn.filter((c) => c.isShort).map((c) => String(c.cut.number))
  const saws = [...new Set(sawn.map((c) => c.direction))].map((direction) => ({
    label: direction === 'rip' ? 'Rips' : 'Cross-cuts',
    value: [...new Set(sawn.filter((c) => c.direction === direction).map((c) => c.saw?.name ?? NO_SAW))].join(' · '),
  }))
  const words = sheets.map((s) => cutWords(s, shop))
  const says = words[0]!.map((cut, i) => `${cut.number}. ${cut.set} ${cut.at}${thenText({ ...cut, gives: words.flatMap((w) => w[i]!.gives) })}`) // prettier-ignore
  const comes = wholeSize(sheet)
  const size = `${formatLength(comes.length, shop)}${stock.width ? ` × ${formatLength(comes.width, shop)}` : ''}`
  const trimmed = trimWords(sheet, shop)
  const name = count > 1 ? `${count} × ${job.stock.name}` : sheet.offcut === null ? sheet.name : `‘${sheet.name}’`
  const keep = `Keep clear of ${formatPlaces(sheet.noGo, (mm) => formatLength(mm, shop))} from its datum end and lower edge: mark it first; nails out or away from the blade.`
  return step({
    id: `cut:${sheet.key}`,
    kind: 'cut',
    title: cuts.length > 0 ? `Cut up ${name}` : `Take ${name} as ${count > 1 ? 'they come' : 'it comes'}`,
    parts: [...new Set(alike.flatMap(([, features]) => features).map((f) => f.slice(4, f.lastIndexOf('#'))))],
    settings: [
      { label: stock.isOffcut ? 'From the bin' : count > 1 ? 'Each' : 'Piece of stock', value: size },
      ...saws,
      ...(cuts.length > 0 ? [{ label: 'Kerf reckoned with', value: formatExact(job.instance.kerf, shop) }] : []),
    ],
    says: [
      ...(sheet.noGo.length > 0 ? [keep] : []),
      ...(trimmed ? [trimmed] : []),
      ...(cuts.length > 0 && count > 1
        ? [`${count > 2 ? `All ${count}` : 'Both'} alike: each setting for all of them before the next.`]
        : []),
      ...(cuts.length === 0 ? ['Nothing is sawn here: measure it, and try its corners with a square.'] : []),
      ...says,
      comesOut(sheets, holder, shop),
    ],
    cautions: [...(short.length > 0 ? [tooShort(short, shop)] : []), ...sawingCautions(sheet, sawn, shop)],
    makes: alike.flatMap(([, features]) => features),
    minutes: (cuts.length > 0 ? MINUTES.setUp : MINUTES.cut) + MINUTES.cut * cuts.length * count,
    show: { look: 'sheet', boards: sheets.map((s) => s.key) },
  })
}

const tooShort = (cuts: readonly string[], shop: Shop): string => `Nothing shorter than ${formatLength(shortestRip(shop), shop)} is held safely at the saws there are: make ${cuts.length > 1 ? 'cuts' : 'cut'} ${listed(cuts)} along a longer piece, before it is cut to length, or by hand.` // prettier-ignore

/** The pieces of one holder that pieces of stock give, equal ones together. */
function comesOut(sheets: readonly SheetCuts[], holder: string, shop: Shop): string {
  const found = new Map<string, string[]>()
  for (const { job, placements } of sheets)
    for (const p of placements) {
      if (!p.partId.split(PAIR).some((id) => id.startsWith(`${holder}/`))) continue
      const size = `${formatLength(p.length, shop)}${p.width ? ` × ${formatLength(p.width, shop)}` : ''}`
      found.set(size, [...(found.get(size) ?? []), lower(job.names[p.partId]!.part)])
    }
  const pieces = [...found].map(([size, names]) => `${pieceNames(names)} ${size}`)
  return `Out of ${sheets.length > 1 ? 'them' : 'it'} come: ${pieces.join('; ')}. Write its name on each as it comes off the saw.`
}

/** Sizes nearer than this are the same, mm. */
const SAME = 0.05

const near = (a: number | null | undefined, b: number): boolean => a != null && Math.abs(a - b) < SAME

function bySize(shop: Shop, stockId: string, pieces: ReturnType<typeof wanted>): Step {
  const stock = shop.stock.find((s) => s.id === stockId)
  const same = new Map<string, { text: string; count: number; names: string[]; whole: boolean }>()
  const isWhole = ({ length, width }: (typeof pieces)[number]): boolean => stock?.form === 'sheet' && [[stock.length, stock.width], [stock.width, stock.length]].some(([l, w]) => near(l, length) && near(w, width)) // prettier-ignore
  for (const p of pieces) {
    const text = `${formatLength(p.length, shop)}${p.width ? ` × ${formatLength(p.width, shop)}` : ''}`
    const found = same.get(text) ?? { text, count: 0, names: [], whole: isWhole(p) }
    found.count++
    if (!found.names.includes(p.name)) found.names.push(p.name)
    same.set(text, found)
  }
  const thickness = stock?.thickness ?? 0
  const widest = Math.max(...pieces.map((p) => p.width))
  const tooLarge = stock ? pieces.filter((p) => !isEnough(shop, stock, p.length, p.width, mayTurn(stock, p.role))) : []
  const rip = widest > 0 ? sawFor(shop, 'rip', { long: Math.max(SHORTEST_RIP, ...pieces.map((p) => p.length)), fence: widest, thickness, tilt: 0 }) : null // prettier-ignore
  const cross = sawFor(shop, 'cross', { long: widest, fence: 0, thickness, tilt: 0 })
  return step({
    id: `cut:${stockId}`,
    kind: 'cut',
    title: `Cut from ${stock?.name ?? stockId}`,
    parts: [...new Set(pieces.map((p) => p.part))],
    settings: [
      ...(widest > 0 ? [{ label: 'Rips', value: rip?.name ?? NO_SAW }] : []),
      { label: 'Cross-cuts', value: cross?.name ?? NO_SAW },
    ],
    says: [
      ...(tooLarge.length > 0 ? [`No ${stock!.name} there is is large enough for ${fewNames([...new Set(tooLarge.map((p) => lower(p.name)))])}: get a larger one${stock!.form === 'board' ? ', or glue boards up edge to edge,' : ''} before anything is cut.`] : []), // prettier-ignore
      ...[...same.values()].map(({ text, count, names, whole }) => `${count} of ${text}: ${names.join(', ').toLowerCase()}${whole ? '; whole, as it comes' : count > 1 && guideOf(cross, 'cross') === 'stop' ? '; one stop for all of them' : ''}`), // prettier-ignore
    ],
    cautions: pieces.some((p) => p.width > 0 && p.width < NARROW) ? narrowRips([rip]) : [],
    makes: pieces.map((p) => p.feature),
    minutes: MINUTES.setUp + MINUTES.cut * pieces.length,
  })
}
