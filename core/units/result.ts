/** What reading a person's text gives: a value, or a sentence that says what is wrong with it. */
export type Reading = { ok: true; value: number } | { ok: false; message: string }

/** Between which values something lies, in its own unit; what is absent is as it is for any of its kind. */
export interface Limits {
  min?: number | undefined
  max?: number | undefined
}

export const good = (value: number): Reading => ({ ok: true, value })
export const bad = (message: string): Reading => ({ ok: false, message })

/** Quotes what was typed, cut to a length that fits in a sentence. */
export function quoted(text: string): string {
  const shown = text.length > 40 ? `${text.slice(0, 40)}…` : text
  return `“${shown}”`
}
