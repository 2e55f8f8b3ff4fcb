import { LARGEST_SIZE, parseLength, type LengthUnit } from '../units/length'
import { quoted } from '../units/result'

/** A place of a board that nothing may be cut from: a knot, a split, a nail. From its datum end and lower edge, mm. */
export interface Place {
  from: number
  to: number
  low: number
  /** Infinity: over the whole width. */
  high: number
}

/** The most places one piece of stock has. */
export const MOST_PLACES = 8

const EXAMPLE: Record<LengthUnit, string> = {
  mm: '310 to 350; 500 to 540 × 0 to 60',
  in: '12 to 13 1/2; 20 to 21 × 0 to 2 1/2',
}

/** From one length to another, the lower first; a message when it can't be read. */
function span(text: string, unit: LengthUnit): [number, number] | string {
  const ends = text.split(/\bto\b|–|\.\./)
  const parts = ends.length === 1 && unit === 'mm' ? text.split('-') : ends
  if (parts.length !== 2) return `${quoted(text.trim())} goes from where to where?`
  const read = parts.map((p) => parseLength(p.trim(), unit))
  const [a, b] = read.map((r) => (r.ok ? r.value : NaN))
  const wrong = read.find((r) => !r.ok)
  if (wrong) return `Can’t read ${quoted(text.trim())}.`
  if (a! < 0 || b! > LARGEST_SIZE || !(b! > a!)) return `${quoted(text.trim())}: the second figure is the larger one.`
  return [a!, b!]
}

/**
 * Reads where a board must be kept clear: along its length, and where it is not over the whole width across it.
 * @param text such as `310 to 350; 500 to 540 × 0 to 60`
 * @param unit what a bare number is taken as
 * @returns the places, mm, or a message in the shop's words
 */
export function parsePlaces(text: string, unit: LengthUnit): Place[] | string {
  const entries = text.split(';').filter((t) => t.trim() !== '')
  if (entries.length > MOST_PLACES) return `at most ${MOST_PLACES} places.`
  const places: Place[] = []
  for (const entry of entries) {
    const sides = entry.split(/[×x*]/i)
    if (sides.length > 2) return `Can’t read ${quoted(entry.trim())}. Write it like ${EXAMPLE[unit]}.`
    const along = span(sides[0]!, unit)
    const across = sides[1] === undefined ? ([0, Infinity] as [number, number]) : span(sides[1], unit)
    for (const s of [along, across]) if (typeof s === 'string') return `${s} Write it like ${EXAMPLE[unit]}.`
    places.push({
      from: along[0] as number,
      to: along[1] as number,
      low: across[0] as number,
      high: across[1] as number,
    })
  }
  return places
}

const told = (places: readonly Place[], length: (mm: number) => string): string =>
  places
    .map(
      (p) =>
        `${length(p.from)} to ${length(p.to)}${p.high === Infinity ? '' : ` × ${length(p.low)} to ${length(p.high)}`}`,
    ) // prettier-ignore
    .join('; ')

/** Places as they are kept: mm, to a hundredth of a millimetre. */
export const placesText = (places: readonly Place[]): string => told(places, (mm) => String(Number(mm.toFixed(2))))

/** Places as a shop writes them. @param length writes one, without its unit */
export const formatPlaces = (places: readonly Place[], length: (mm: number) => string): string => told(places, length)

/** The places of a row of the shop's lists, as it is kept; none where it can't be read. */
export function placesOf(kept: string): Place[] {
  const read = parsePlaces(kept, 'mm')
  return typeof read === 'string' ? [] : read
}
