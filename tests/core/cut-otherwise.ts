import { below, type Random } from '#core/cutting/random'
import { inTwo, mixed, named, sheetsByArea, SHEETS, shuffled, type Known, type Rect } from './cut-instances'

/** No side is cut shorter, mm, and no cut lies nearer to an edge than this part of the side. */
const LEAST = 60
const FROM_EDGE = 0.2

/** The largest rest is cut next in so many of a hundred times, else any. */
const LARGEST = 70

/** What becomes of a panel that was cut: null where it is dropped. */
type Loosen = (rect: Rect, random: Random) => Rect | null

const lessBy = (rect: Rect, along: number, across: number): Rect => ({
  length: rect.length - along,
  width: rect.width - across,
})

/** In whole tenths of a mm. */
const inTenths = ({ length, width }: Rect): Rect => ({ length: tenths(length), width: tenths(width) })
const tenths = (size: number): number => Math.floor(size * 10 + 1e-6) / 10

/** The ways to leave more room than there was, by the names of their families. */
const WAYS: Readonly<Record<string, Loosen>> = {
  whole: (rect) => rect,
  dropped: (rect, random) => (random() < 0.06 ? null : rect),
  'by a part': (rect, random) =>
    random() < 0.5 ? lessBy(rect, 0.03 * random() * rect.length, 0.03 * random() * rect.width) : rect,
  'by mm': (rect, random) => (random() < 0.5 ? lessBy(rect, 8 * random(), 8 * random()) : rect),
  'one of ten': (rect, random) => (random() < 0.1 ? lessBy(rect, 0.1 * rect.length, 0.05 * rect.width) : rect),
}

/**
 * Panels of four to eight sheets, 8 to 25 out of each, as somebody else would cut them and make room: every cut of a rest lies
 * in its middle three fifths, rather of the largest, and sizes are whole tenths of a mm. What shrinks leaves little room and many
 * sides that agree no more.
 */
export function panelsCutOtherwise(seed: number): Known {
  const random = mixed(seed)
  const family = Object.keys(WAYS)[seed % Object.keys(WAYS).length]!
  const n = 4 + below(random, 5)
  const each = Math.min(8 + below(random, 18), Math.floor(150 / n))
  const kerf = [0, 2.4, 3, 3.2][below(random, 4)]!
  const sheet = SHEETS[below(random, SHEETS.length)]!
  const canRotate = random() < 0.5
  const whole = Array.from({ length: n }, () => halved(random, sheet, each, kerf)).flat()
  const loose = whole
    .map((rect) => WAYS[family]!(rect, random))
    .filter((rect) => rect !== null)
    .map(inTenths)
  // no fewer sheets may do
  const rects = sheetsByArea(loose, sheet, kerf) > n - 1 + 1e-3 ? loose : whole
  const stock = [{ id: 'sheet', ...sheet, isOffcut: false }]
  const parts = named(shuffled(random, rects), () => canRotate)
  return { family, instance: { id: `otherwise-${seed}`, kind: '2d', kerf, stock, parts }, best: n }
}

/** A sheet cut in two, and each part again. */
function halved(random: Random, sheet: Rect, pieces: number, kerf: number): Rect[] {
  const done: Rect[] = [sheet]
  for (let tries = 0; done.length < pieces && tries < 1000; tries++) {
    done.sort((a, b) => b.length * b.width - a.length * a.width)
    const i = random() * 100 < LARGEST ? 0 : below(random, done.length)
    const { length, width } = done[i]!
    const along = random() < length / (length + width)
    const size = along ? length : width
    const first = Math.round(size * (FROM_EDGE + (1 - 2 * FROM_EDGE) * random()))
    const second = size - kerf - first
    if (first < LEAST || second < LEAST) continue
    done.splice(i, 1, ...inTwo(done[i]!, along, first, kerf))
  }
  return done
}
