import { below, randomFrom, type Random } from '#core/cutting/random'

/** An instance in the form that the command line reads, with the least that has to be bought. */
export interface Known {
  readonly family: string
  readonly instance: {
    id: string
    kind: '1d' | '2d'
    kerf: number
    stock: { id: string; length: number; width?: number; count?: number; isOffcut: boolean }[]
    parts: { id: string; length: number; width?: number; count?: number; canRotate?: boolean }[]
  }
  /** Pieces of stock bought in the best plan. */
  readonly best: number
}

export interface Rect {
  length: number
  width: number
}

/** Cuts a sheet edge to edge at random into pieces; kerf is lost at each cut. Whole multiples of `grid` where it can. */
export function dissect(
  random: Random,
  sheet: Rect,
  pieces: number,
  kerf: number,
  grid: number,
  least: number,
): Rect[] {
  const done: Rect[] = [sheet]
  let tries = 0
  while (done.length < pieces && tries++ < 400) {
    // The larger, the likelier
    const total = done.reduce((s, r) => s + r.length * r.width, 0)
    let at = random() * total
    let i = 0
    while (i < done.length - 1 && at > done[i]!.length * done[i]!.width) at -= done[i]!.length * done[i++]!.width
    const r = done[i]!
    const along = random() < r.length / (r.length + r.width)
    const size = along ? r.length : r.width
    const room = size - kerf - 2 * least
    if (room < 0) continue
    const first = Math.round((least + random() * room) / grid) * grid
    const second = size - kerf - first
    if (first < least || second < least) continue
    done.splice(i, 1, ...inTwo(r, along, first, kerf))
  }
  return done
}

/** The two parts of what is cut across its length or along it, the first of so much, mm. */
export function inTwo({ length, width }: Rect, across: boolean, first: number, kerf: number): [Rect, Rect] {
  const second = (across ? length : width) - kerf - first
  const part = (size: number): Rect => (across ? { length: size, width } : { length, width: size })
  return [part(first), part(second)]
}

/** How many sheets some pieces come to by their areas, each with the kerf beside it: no plan does with fewer. */
export const sheetsByArea = (rects: readonly Rect[], sheet: Rect, kerf: number): number =>
  rects.reduce((sum, r) => sum + (r.length + kerf) * (r.width + kerf), 0) /
  ((sheet.length + kerf) * (sheet.width + kerf))

/** Random numbers that differ from the first one on for seeds that lie together. */
export function mixed(seed: number): Random {
  const random = randomFrom(Math.imul(seed, 0x9e3779b1))
  for (let i = 0; i < 16; i++) random()
  return random
}

export const SHEETS: Rect[] = [
  { length: 2440, width: 1220 },
  { length: 1220, width: 610 },
  { length: 2500, width: 1250 },
  { length: 1525, width: 1525 },
]

export function shuffled<T>(random: Random, list: readonly T[]): T[] {
  const copy = [...list]
  for (let i = copy.length - 1; i > 0; i--) {
    const j = below(random, i + 1)
    ;[copy[i], copy[j]] = [copy[j]!, copy[i]!]
  }
  return copy
}

export const named = (rects: readonly Rect[], canRotate: (i: number) => boolean): Known['instance']['parts'] =>
  rects.map((r, i) => {
    const rotate = canRotate(i)
    return { id: `p${i + 1}`, ...r, count: 1, ...(rotate ? { canRotate: true } : {}) }
  })

/** Into how many pieces how many sheets are cut, and with which kerfs. */
interface Cutting {
  readonly kerfs: readonly number[]
  readonly sheets: readonly [least: number, choice: number]
  readonly each: readonly [least: number, choice: number]
}

const FEW: Cutting = { kerfs: [0, 2, 2.4, 3, 3.2], sheets: [1, 8], each: [5, 26] }

/** More sheets, less out of each. */
const MANY: Cutting = { kerfs: [2, 2.4, 3, 3.2, 4], sheets: [4, 15], each: [3, 12] }

/** As many as make the best of five thousand plans by first fit come to 1.13 times the best. */
const SEVERAL: Cutting = { kerfs: FEW.kerfs, sheets: [4, 7], each: [5, 16] }

/** Panels whose best plan is known, for they were sheets. Of those that shrink some do so, by some millimetres. */
export const panels = (seed: number): Known => panelsThatWereSheets(seed, FEW, false)

/** The same, but of those that shrink all do so, each by up to some hundredths of its size. */
export const panelsShrunkFreely = (seed: number): Known => panelsThatWereSheets(seed, FEW, true)

/** Panels of four to eighteen sheets, cut with a kerf; of those that shrink all do so. */
export const panelsOfManySheets = (seed: number): Known => panelsThatWereSheets(seed, MANY, true)

/** Panels of four to ten sheets, each cut into five to twenty. */
export const panelsOfSeveralSheets = (seed: number): Known => panelsThatWereSheets(seed, SEVERAL, false)

function panelsThatWereSheets(seed: number, cut: Cutting, freely: boolean): Known {
  const random = mixed(seed)
  const kerf = cut.kerfs[below(random, cut.kerfs.length)]!
  const sheet = SHEETS[below(random, SHEETS.length)]!
  const family = ['tight', 'dropped', 'shrunk', 'repeated', 'offcuts', 'mixed'][seed % 6]!
  const grid = [1, 1, 5, 10][below(random, 4)]!
  const n = cut.sheets[0] + below(random, cut.sheets[1])
  const each = Math.min(cut.each[0] + below(random, cut.each[1]), Math.floor(150 / n))
  const least = 40 + below(random, 60)
  const turning = below(random, 3)
  const canRotate = (): boolean => (turning === 0 ? false : turning === 1 ? true : random() < 0.5)
  const area = sheet.length * sheet.width
  const stock: Known['instance']['stock'] = [{ id: 'sheet', ...sheet, isOffcut: false }]
  const sheets = (): Rect[][] => Array.from({ length: n }, () => dissect(random, sheet, each, kerf, grid, least))
  const instance = (rects: Rect[]): Known['instance'] => ({
    id: `${family}-${seed}`,
    kind: '2d',
    kerf,
    stock,
    parts: named(shuffled(random, rects), canRotate),
  })
  // The area bound has to stay above n - 1 sheets
  const bound = (rects: Rect[]): number => sheetsByArea(rects, sheet, kerf)
  if (family === 'tight') return { family, instance: instance(sheets().flat()), best: n }
  if (family === 'dropped') {
    let rects = shuffled(random, sheets().flat())
    const share = random() * 0.9
    while (bound(rects.slice(1)) > n - share - 0.05 && bound(rects.slice(1)) > n - 1 + 1e-3) rects = rects.slice(1)
    return { family, instance: instance(rects), best: n }
  }
  if (family === 'shrunk') {
    const rects = sheets().flat()
    const by = 1 + below(random, 20)
    const share = 0.1 + random() * 0.9
    const less = (size: number): number =>
      Math.max(10, freely ? Math.round(size * (1 - (random() * by) / 200)) : size - below(random, by + 1))
    const shrunk = rects.map((r) => (freely || random() < share ? { length: less(r.length), width: less(r.width) } : r))
    const good = bound(shrunk) > n - 1 + 1e-3 ? shrunk : rects
    return { family, instance: instance(good), best: n }
  }
  if (family === 'repeated') {
    // Each sheet in strips of equal width, each strip in equal lengths, from few sizes
    const rects: Rect[] = []
    for (let i = 0; i < n; i++) {
      let rest = sheet.width
      while (rest > least * 2 && rects.length < 150) {
        const rows = 1 + below(random, 6)
        const width = Math.floor((Math.min(rest, 150 + below(random, 500)) + kerf) / rows - kerf)
        if (width < 40) break
        const columns = 1 + below(random, 6)
        const length = Math.floor((sheet.length + kerf) / columns - kerf)
        for (let k = 0; k < rows * columns && rects.length < 150; k++) rects.push({ length, width })
        rest -= rows * (width + kerf)
      }
    }
    // Only where the area tells that no fewer sheets do
    return bound(rects) > n - 1 + 1e-6
      ? { family, instance: instance(rects), best: n }
      : { family, instance: instance(sheets().flat()), best: n }
  }
  const offcuts = Array.from({ length: 1 + below(random, 4) }, (_, i) => ({
    id: `off${i + 1}`,
    length: 300 + below(random, 900),
    width: 200 + below(random, 500),
    isOffcut: true,
  }))
  const fromOffcuts = offcuts.flatMap((o) => dissect(random, o, 2 + below(random, 7), kerf, grid, 40))
  stock.push(...offcuts)
  if (family === 'offcuts') {
    const kept = fromOffcuts.filter(() => random() < 0.93)
    return { family, instance: instance(kept.length ? kept : fromOffcuts), best: 0 }
  }
  const m = 1 + below(random, 4)
  const rects = Array.from({ length: m }, () => dissect(random, sheet, Math.min(each, 25), kerf, grid, least)).flat()
  const kept = [...rects, ...fromOffcuts]
  const big = area * (m - 1)
  // The offcuts can't take what m sheets are needed for
  const need = kept.reduce((s, r) => s + r.length * r.width, 0) - offcuts.reduce((s, o) => s + o.length * o.width, 0)
  return { family, instance: instance(kept), best: need > big ? m : Math.max(0, Math.ceil(need / area)) }
}

/** Panels of four to six sheets, some of which shrank by a few millimetres: next to nothing may be wasted. */
export function panelsShrunkALittle(seed: number): Known {
  const random = mixed(seed)
  const sheet = SHEETS[0]!
  const n = 4 + below(random, 3)
  const kerf = [0, 2, 3, 3.2][below(random, 4)]!
  const each = Math.min(8 + below(random, 20), Math.floor(150 / n))
  const by = 1 + below(random, 6)
  const share = 0.1 + 0.9 * random()
  const grid = [1, 1, 5, 10][below(random, 4)]!
  const canRotate = random() < 0.5
  const rects = Array.from({ length: n }, () => dissect(random, sheet, each, kerf, grid, 60))
    .flat()
    .map((r) =>
      random() < share ? { length: r.length - below(random, by + 1), width: r.width - below(random, by + 1) } : r,
    )
  const family = `${each < 13 ? 'to 12' : each < 19 ? 'to 18' : 'more'} each`
  const stock = [{ id: 'sheet', ...sheet, isOffcut: false }]
  const parts = named(shuffled(random, rects), () => canRotate)
  return { family, instance: { id: `little-${seed}`, kind: '2d', kerf, stock, parts }, best: n }
}

/** Lengths whose best plan is known, for they were bars. */
export function lengths(seed: number): Known {
  const random = mixed(seed)
  const kerf = [0, 2, 2.4, 3.2][below(random, 4)]!
  const family = ['tight', 'loose', 'repeated', 'offcuts', 'two sizes'][seed % 5]!
  const bar = [2400, 2440, 3000, 3600][below(random, 4)]!
  const grid = [1, 0.5, 5, 25.4][below(random, 4)]!
  const n = 1 + below(random, 14)
  const cut = (length: number, pieces: number): number[] =>
    dissect(random, { length, width: 1 }, pieces, kerf, grid, 40).map((r) => r.length)
  const stock: Known['instance']['stock'] = [{ id: 'bar', length: bar, isOffcut: false }]
  const instance = (sizes: number[]): Known['instance'] => ({
    id: `${family}-${seed}`,
    kind: '1d',
    kerf,
    stock,
    parts: shuffled(random, sizes).map((length, i) => ({ id: `p${i + 1}`, length })),
  })
  const each = 2 + below(random, Math.max(1, Math.floor(140 / n / 2)))
  const bars = (): number[] => Array.from({ length: n }, () => cut(bar, Math.min(each, 12))).flat()
  const bound = (sizes: number[]): number => sizes.reduce((s, l) => s + l + kerf, 0) / (bar + kerf)
  if (family === 'tight') return { family, instance: instance(bars()), best: n }
  if (family === 'loose') {
    let sizes = shuffled(random, bars())
    while (bound(sizes.slice(1)) > n - 0.7) sizes = sizes.slice(1)
    return { family, instance: instance(sizes), best: n }
  }
  if (family === 'repeated') {
    const few = Array.from({ length: 2 + below(random, 5) }, () => 200 + 5 * below(random, 200))
    const patterns = Array.from({ length: n }, () => {
      const sizes: number[] = []
      for (let rest = bar + kerf; ;) {
        const fit = few.filter((l) => l + kerf <= rest)
        if (fit.length === 0) return sizes
        const l = fit[below(random, fit.length)]!
        sizes.push(l)
        rest -= l + kerf
      }
    })
    const sizes = patterns.flat()
    return bound(sizes) > n - 1 + 1e-9
      ? { family, instance: instance(sizes), best: n }
      : { family, instance: instance(bars()), best: n }
  }
  const offcuts = Array.from({ length: 1 + below(random, 5) }, (_, i) => ({
    id: `off${i + 1}`,
    length: 300 + 10 * below(random, 90),
    isOffcut: true,
  }))
  const small = offcuts.flatMap((o) => cut(o.length, 1 + below(random, 4)))
  stock.push(...offcuts)
  if (family === 'offcuts') return { family, instance: instance(small), best: 0 }
  return { family, instance: instance([...bars(), ...small]), best: n }
}
