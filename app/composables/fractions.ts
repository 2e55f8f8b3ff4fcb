import { unbroken } from '#core/units/unbroken'

/** A piece of a figure's text; fractions are set as real ones. */
export interface TextPart {
  text: string
  fraction: boolean
}

/** Takes a text with figures apart at its fractions; a figure stays on one line. */
export const textParts = (text: string): TextPart[] =>
  unbroken(text)
    .split(/(\d+\/\d+)/)
    .filter(Boolean)
    .map((part) => ({ text: part, fraction: /^\d+\/\d+$/.test(part) }))
