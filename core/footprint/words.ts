import type { Kind } from './kind'
import { allKinds } from './kinds'

/** A word without its plural: `chisels` -> `chisel`, `brushes` -> `brush`, `knives` -> `knife`. */
const single = (word: string): string =>
  word
    .replace(/knives$/, 'knife')
    .replace(/(s|x|z|ch|sh)es$/, '$1')
    .replace(/ies$/, 'y')
    .replace(/([^s])s$/, '$1')

const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\d\s-]/gu, ' ')
    .split(/[\s-]+/)
    .filter(Boolean)
    .map(single)

const known = allKinds.flatMap((kind) =>
  kind.covers.map((cover) => ({ kind, words: wordsOf(cover), length: cover.length })),
)

/**
 * The kind of tool that a name or a description most likely means: the longest of the known words that stands in it, the
 * last one where several do (a 'chisel plane' is a plane).
 * @returns null when no known word is in it
 */
export function kindFromWords(text: string): Kind | null {
  const words = wordsOf(text)
  let best: { kind: Kind; at: number; size: number } | null = null
  for (const { kind, words: wanted } of known) {
    for (let at = words.length - wanted.length; at >= 0; at--) {
      if (!wanted.every((w, i) => words[at + i] === w)) continue
      const end = at + wanted.length
      if (!best || end > best.at || (end === best.at && wanted.length > best.size))
        best = { kind, at: end, size: wanted.length }
      break
    }
  }
  return best?.kind ?? null
}
