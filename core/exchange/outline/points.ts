import { moved, outlineBounds, polygon, type Outline } from '../../geometry/outline'
import { outlineError } from '../../geometry/outline-error'
import { parseLength, type LengthUnit } from '../../units/length'

/**
 * Reads an outline from points typed in, one to a line: across, then up, parted by a space, a comma with a space, a
 * semicolon or a tab. Lengths are read as everywhere (`38`, `1 1/2"`).
 * @returns the outline with the middle of its top at the origin, mm; or what is wrong, the line named
 */
export function readPoints(
  text: string,
  unit: LengthUnit,
): { ok: true; outline: Outline } | { ok: false; message: string } {
  const points: [number, number][] = []
  for (const [i, raw] of text.split(/\r?\n/).entries()) {
    const line = raw.trim()
    if (line === '') continue
    const parts = line.split(/\s*[;\t]\s*|,\s+|\s+(?=[-+.\d½¼¾])(?!\d+\/\d)/).filter(Boolean)
    if (parts.length !== 2) return { ok: false, message: `Line ${i + 1}: “${line.slice(0, 30)}” is not two lengths.` }
    const [x, y] = parts.map((p) => parseLength(p, unit))
    if (!x!.ok) return { ok: false, message: `Line ${i + 1}: ${x!.message}` }
    if (!y!.ok) return { ok: false, message: `Line ${i + 1}: ${y!.message}` }
    points.push([x!.value, y!.value])
  }
  if (points.length < 3) return { ok: false, message: 'An outline needs at least three points, one to a line.' }
  const drawn = polygon(points)
  const error = outlineError(drawn)
  if (error) return { ok: false, message: error[0]!.toUpperCase() + error.slice(1) }
  const box = outlineBounds(drawn)
  return { ok: true, outline: moved(drawn, -(box.minX + box.maxX) / 2, -box.maxY) }
}
