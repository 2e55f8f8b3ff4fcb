/** One place at which a finder sounded on its way along a wall: where it began and where it ended, mm. */
export interface Hit {
  from: number
  to: number
}

/** What several passes say of one place. */
export interface Found {
  /** middle, mm from the left corner */
  at: number
  /** by how much the middle may be out, mm: twice the standard error of the passes */
  within: number
  /** mean width of the hits, mm */
  width: number
  /** in so many of the passes */
  passes: number
  /** a stud, by its width; else something narrower or wider, a pipe or a doubled stud */
  stud: boolean
  /** why it wants a nail to be sure, in the shop's words; empty where nothing is odd */
  check: string
}

/** Hits of different passes belong together when their middles are this near, mm. */
const TOGETHER = 35

/** Studs are about this wide as a finder sounds, mm. */
const STUD = { least: 28, most: 70 } as const

/** A middle that may be out by more than this is checked, mm. */
const SURE = 6

/** Off the common spacing by more than this is odd, mm. */
const OFF = 25

const mean = (all: readonly number[]): number => all.reduce((sum, v) => sum + v, 0) / all.length

/** Hits that overlap or nearly touch within one pass are one: a finder sounds twice at the two edges of a stud. */
function merged(pass: readonly Hit[]): Hit[] {
  const sorted = pass.map((h) => ({ from: Math.min(h.from, h.to), to: Math.max(h.from, h.to) })).sort((a, b) => a.from - b.from) // prettier-ignore
  const found: Hit[] = []
  for (const h of sorted) {
    const last = found.at(-1)
    if (last && h.from - last.to < STUD.least / 2 && h.to - last.from <= STUD.most) last.to = Math.max(last.to, h.to)
    else found.push({ ...h })
  }
  return found
}

/** The spacing that most neighbours have, mm; null for fewer than three. */
function commonSpacing(centres: readonly number[]): number | null {
  const gaps = centres.slice(1).map((c, i) => c - centres[i]!).sort((a, b) => a - b) // prettier-ignore
  return gaps.length < 2 ? null : gaps[Math.floor(gaps.length / 2)]!
}

/**
 * Studs from several passes of a finder: hits that come again are put together, their middle is the mean. What came in
 * less than half of the passes is left out; what is narrow, uncertain or off the spacing of the others is to be checked
 * with a nail.
 * @param passes the hits of each pass, mm from the left corner
 */
export function studsFrom(passes: readonly (readonly Hit[])[]): Found[] {
  const groups: { pass: number; hit: Hit }[][] = []
  const all = passes.flatMap((pass, n) => merged(pass).map((hit) => ({ pass: n, hit, at: (hit.from + hit.to) / 2 })))
  for (const one of all.sort((a, b) => a.at - b.at)) {
    const group = groups.at(-1)
    const middle = group && mean(group.map(({ hit }) => (hit.from + hit.to) / 2))
    if (group && one.at - middle! <= TOGETHER) group.push(one)
    else groups.push([one])
  }
  const found = groups.flatMap((group): Found[] => {
    const seen = new Set(group.map((g) => g.pass)).size
    if (seen * 2 < passes.length) return []
    const centres = group.map(({ hit }) => (hit.from + hit.to) / 2)
    const at = mean(centres)
    const width = mean(group.map(({ hit }) => hit.to - hit.from))
    const spread = centres.length > 1 ? Math.sqrt(centres.reduce((sum, c) => sum + (c - at) ** 2, 0) / (centres.length - 1)) : SURE // prettier-ignore
    const within = (2 * spread) / Math.sqrt(centres.length)
    const stud = width >= STUD.least && width <= STUD.most
    return [{ at, within, width, passes: seen, stud, check: '' }]
  })
  const studs = found.filter((f) => f.stud)
  const spacing = commonSpacing(studs.map((f) => f.at))
  const regular = (f: Found): boolean => {
    if (spacing === null) return true
    const others = studs.filter((o) => o !== f)
    // how far it lies off the nearest whole number of spacings from each other one, at the median
    const off = others.map((o) => Math.abs((f.at - o.at) / spacing - Math.round((f.at - o.at) / spacing)) * spacing).sort((a, b) => a - b) // prettier-ignore
    return off[Math.floor(off.length / 2)]! <= OFF
  }
  return found.map((f) => {
    const why = !f.stud
      ? f.width < STUD.least
        ? 'too narrow for a stud: perhaps a pipe or a cable. Don’t screw here'
        : 'wider than a stud: perhaps two side by side'
      : f.within > SURE
        ? 'the passes don’t agree'
        : f.passes < passes.length
          ? 'not in every pass'
          : !regular(f)
            ? 'off the spacing of the others'
            : ''
    return { ...f, check: why }
  })
}
