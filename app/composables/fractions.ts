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
