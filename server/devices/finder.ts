import type { Hit } from '#core/wall/stud-finder'
import { chance } from './bench'

/** A stud is so wide, its edges are found so far off at most, and a pipe is so wide; mm. */
const STUD = 45
const NOISE = 6
const PIPE = 18

/** Passes already made on each wall, so that each is another one. */
const made = new Map<string, number>()

/** Where studs and a pipe really are behind a wall that nobody has opened: they follow from its name. */
function behind(id: string, width: number): { studs: number[]; pipe: number } {
  const spacing = width > 3000 ? 600 : 450
  const first = 80 + chance(`${id} first`) * spacing * 0.6
  const count = Math.max(0, Math.floor((width - first) / spacing) + 1)
  const studs = Array.from({ length: count }, (_, i) => first + i * spacing + (chance(`${id} ${i}`) - 0.5) * 8)
  return { studs: studs.filter((s) => s < width - STUD / 2), pipe: width * (0.25 + 0.5 * chance(`${id} pipe`)) }
}

/**
 * One pass of the stand-in for a stud finder along a wall: it sounds over studs, now and then twice at both edges of one,
 * over a pipe, and once where there is nothing.
 * @param width of the wall, mm
 */
export function finderPass(id: string, width: number): { pass: number; hits: Hit[] } {
  const pass = (made.get(id) ?? 0) + 1
  made.set(id, pass)
  const { studs, pipe } = behind(id, width)
  const off = (what: string): number => (chance(`${id} ${pass} ${what}`) - 0.5) * 2 * NOISE
  const over = (at: number, wide: number, what: string): Hit => ({ from: at - wide / 2 + off(`${what} a`), to: at + wide / 2 + off(`${what} b`) }) // prettier-ignore
  const hits = studs.flatMap((s, i): Hit[] => {
    const roll = chance(`${id} ${pass} roll ${i}`)
    if (roll < 0.06) return []
    const whole = over(s, STUD, `stud ${i}`)
    // a double edge: it falls silent over the middle
    return roll < 0.2
      ? [
          { from: whole.from, to: s - 5 },
          { from: s + 5, to: whole.to },
        ]
      : [whole]
  })
  const ghost = chance(`${id} ${pass} ghost`) * width
  return { pass, hits: [...hits, over(pipe, PIPE, 'pipe'), over(ghost, 30, 'ghost')].filter((h) => h.from > 0 && h.to < width).sort((a, b) => a.from - b.from) } // prettier-ignore
}

/** Forgets the passes on a wall: it is walked anew. */
export const forgetPasses = (id: string): boolean => made.delete(id)
