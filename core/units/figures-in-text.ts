/** A figure with its fraction and unit, or what stands between figures. */
export interface Stretch {
  text: string
  figure: boolean
}

/** Figures that have a blank in them, or a fraction: `10 5/16"`, `3/4"`, `1.5 mm`. */
const FIGURE = /(\d+ \d+\/\d+"?|\d+\/\d+"?|\d[\d.]* (?:mm|in³|cm³|kg|g|lb|N|MPa|GPa)(?![a-z]))/

/**
 * Takes a text apart at its figures, each of which stays on one line: 10 at its end with 5/16" on the next is read as 10.
 * @returns stretches that give the text again when they are joined
 */
export const stretches = (text: string): Stretch[] =>
  text
    .split(FIGURE)
    .map((part, i) => ({ text: part, figure: i % 2 === 1 }))
    .filter((s) => s.text !== '')

/** The same text with no-break blanks within its figures, for what breaks lines by itself. */
export const unbroken = (text: string): string =>
  stretches(text)
    .map((s) => (s.figure ? s.text.replaceAll(' ', '\u00a0') : s.text))
    .join('')
