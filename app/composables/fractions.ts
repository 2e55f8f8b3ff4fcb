/** A piece of a figure's text; fractions are set as real ones. */
export interface TextPart {
  text: string
  fraction: boolean
}

/** Takes a text with figures apart at its fractions. */
export const textParts = (text: string): TextPart[] =>
  text
    .split(/(\d+\/\d+)/)
    .filter(Boolean)
    .map((part) => ({ text: part, fraction: /^\d+\/\d+$/.test(part) }))

/** A figure with its fraction and unit, or what stands between figures. */
export interface Stretch {
  text: string
  figure: boolean
}

/** Figures that have a blank in them: `10 5/16"`, `1.5 mm`. */
const FIGURE = /(\d+ \d+\/\d+"?|\d+\/\d+"?|\d[\d.]* (?:mm|kg|g|lb)\b)/

/** Takes a text apart at its figures, each of which stays on one line: 10 at its end with 5/16" on the next is read as 10. */
export const stretches = (text: string): Stretch[] =>
  text
    .split(FIGURE)
    .map((part, i) => ({ text: part, figure: i % 2 === 1 }))
    .filter((s) => s.text !== '')
