import type { CutInstance, CutPart, CutStock } from './instance'

export type InstanceRead =
  | { readonly ok: true; readonly instance: CutInstance }
  | { readonly ok: false; readonly problems: readonly { readonly path: string; readonly message: string }[] }

/** Nothing in a shop is longer than this, mm. */
const LONGEST = 20_000

/** Pieces in one instance at most. */
const MOST_PIECES = 2000

/** So many are as good as any number: far more than there are pieces. */
const UNLIMITED = 100_000

type Row = Record<string, unknown>

/** Gathers what is wrong while an instance is read. */
class Reader {
  readonly problems: { path: string; message: string }[] = []

  say(path: string, message: string): void {
    this.problems.push({ path, message })
  }

  size(row: Row, path: string, field: string, least = 0): number {
    const value = row[field]
    if (typeof value === 'number' && value > least && value <= LONGEST) return value
    this.say(`${path}.${field}`, `${shown(value)} is no size: a number of millimetres above 0 and up to 20 000.`)
    return 0
  }

  /** A size that may be left out. */
  optional(row: Row, path: string, field: string): number {
    return row[field] === undefined || row[field] === null ? 0 : this.size(row, path, field)
  }

  count(row: Row, path: string, absent: number): number {
    const value = row.count
    if (value === undefined || value === null) return absent
    if (typeof value === 'number' && Number.isInteger(value) && value >= 0) return Math.min(value, UNLIMITED)
    this.say(`${path}.count`, `${shown(value)} is no number of pieces: a whole number from 0.`)
    return 0
  }

  yesNo(row: Row, path: string, field: string): boolean {
    const value = row[field]
    if (value === undefined || value === null) return false
    if (typeof value !== 'boolean') this.say(`${path}.${field}`, `${shown(value)} is neither true nor false.`)
    return value === true
  }

  id(row: Row, path: string, seen: Set<string>): string {
    const id = typeof row.id === 'number' ? String(row.id) : row.id
    if (typeof id !== 'string' || id === '') this.say(`${path}.id`, 'Give it an id, a text.')
    else if (seen.has(id)) this.say(`${path}.id`, `The id ${id} stands there twice.`)
    else seen.add(id)
    return String(id)
  }

  rows(value: unknown, path: string): Row[] {
    if (Array.isArray(value) && value.every((r) => typeof r === 'object' && r !== null)) return value as Row[]
    this.say(path, `${path} is a list of objects.`)
    return []
  }
}

const shown = (value: unknown): string => (value === undefined ? 'Nothing' : JSON.stringify(value).slice(0, 60))

/**
 * Reads an instance from JSON, as docs/formats/cutting.md has it.
 * @returns the instance, or what is wrong with which field
 */
export function readInstance(text: string): InstanceRead {
  let json: unknown
  try {
    // some editors put a mark of the byte order first
    json = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch (error) {
    return { ok: false, problems: [{ path: '', message: `This is no JSON: ${(error as Error).message}` }] }
  }
  const read = new Reader()
  if (typeof json !== 'object' || json === null || Array.isArray(json))
    return { ok: false, problems: [{ path: '', message: 'An object with kind, kerf, stock and parts is expected.' }] }
  const top = json as Row
  const kind = top.kind
  if (kind !== '1d' && kind !== '2d')
    read.say('kind', `${shown(kind)} is no kind: '1d' for lengths or '2d' for sheets.`)
  const kerf = top.kerf ?? 0
  if (typeof kerf !== 'number' || !(kerf >= 0 && kerf <= 50))
    read.say('kerf', `${shown(kerf)} is no kerf: a number of millimetres from 0 to 50.`)
  const flat = kind === '2d'
  const width = (row: Row, path: string): number =>
    flat ? read.size(row, path, 'width') : read.optional(row, path, 'width')
  const stockIds = new Set<string>()
  const stock = read.rows(top.stock, 'stock').map((row, i): CutStock => {
    const path = `stock[${i}]`
    const isOffcut = read.yesNo(row, path, 'isOffcut')
    return {
      id: read.id(row, path, stockIds),
      length: read.size(row, path, 'length'),
      width: width(row, path),
      count: read.count(row, path, isOffcut ? 1 : Infinity),
      isOffcut,
    }
  })
  const partIds = new Set<string>()
  const parts = read.rows(top.parts, 'parts').map((row, i): CutPart => {
    const path = `parts[${i}]`
    return {
      id: read.id(row, path, partIds),
      length: read.size(row, path, 'length'),
      width: width(row, path),
      count: read.count(row, path, 1),
      canRotate: read.yesNo(row, path, 'canRotate'),
    }
  })
  const pieces = parts.reduce((sum, p) => sum + p.count, 0)
  if (pieces > MOST_PIECES)
    read.say('parts', `More pieces than the ${MOST_PIECES} that are worked out at once: do it in parts.`)
  if (read.problems.length > 0) return { ok: false, problems: read.problems }
  return {
    ok: true,
    instance: { id: String(top.id ?? ''), kind: kind as '1d' | '2d', kerf: kerf as number, stock, parts },
  }
}
