/** One thing that differs between two versions of a record, in words. */
export interface Difference {
  what: string
  mine: string
  theirs: string
}

const isPlain = (v: unknown): v is Record<string, unknown> => typeof v === 'object' && v !== null && !Array.isArray(v)
const inWords = (key: string) => key.replace(/([A-Z])/g, ' $1').toLowerCase()
/** Figures that are no lengths, by the last word of where they stand. */
const PLAIN = /(count|openTime|clampTime|gauge|remanence|stiffness|strength|density|price|gridIn|gridMm)$/i

/**
 * What differs between two versions, down to single figures.
 * @param toolName names a tool by its id, @param length writes mm
 */
export function differences(
  mine: unknown,
  theirs: unknown,
  toolName: (id: string) => string,
  length: (mm: number) => string,
  what = '',
): Difference[] {
  if (JSON.stringify(mine) === JSON.stringify(theirs)) return []
  if (isPlain(mine) && isPlain(theirs)) {
    return [...new Set([...Object.keys(mine), ...Object.keys(theirs)])].flatMap((key) =>
      differences(mine[key], theirs[key], toolName, length, [what, inWords(key)].filter(Boolean).join(': ')),
    )
  }
  const say = (value: unknown): string => {
    if (value === undefined || value === null) return '–'
    if (Array.isArray(value)) {
      return value
        .map((item) =>
          isPlain(item) ? ('tool' in item ? toolName(String(item.tool)) : say(item.diameter ?? item.name)) : say(item),
        )
        .join(', ')
    }
    if (typeof value === 'number')
      return /mass/.test(what) ? `${value} kg` : PLAIN.test(what.replaceAll(' ', '')) ? String(value) : length(value)
    return String(value)
  }
  return [{ what: what || 'it', mine: say(mine), theirs: say(theirs) }]
}
