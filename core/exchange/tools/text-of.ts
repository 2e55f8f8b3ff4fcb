/** The largest list that is read, bytes. */
export const LARGEST_FILE = 20 * 1024 * 1024

export type Decoded = { ok: true; text: string } | { ok: false; message: string }

const starts = (bytes: Uint8Array, ...first: number[]) => first.every((b, i) => bytes[i] === b)

/** Why a file of this size is not read, or null. @param size bytes */
export const sizeTold = (size: number): string | null =>
  size === 0
    ? 'The file is empty.'
    : size > LARGEST_FILE
      ? `The file has ${Math.round(size / 1024 / 1024)} MB; at most ${LARGEST_FILE / 1024 / 1024} MB are read.`
      : null

/** The text in a file's bytes, which must be UTF-8; or what it is instead, in the shop's words. */
export function textOf(bytes: Uint8Array): Decoded {
  const size = sizeTold(bytes.length)
  if (size) return { ok: false, message: size }
  if (starts(bytes, 0x50, 0x4b)) {
    return {
      ok: false,
      message: 'This is a zip or a spreadsheet’s own file. Save the list as CSV (UTF-8) and try again.',
    }
  }
  if (starts(bytes, 0x25, 0x50, 0x44, 0x46)) return { ok: false, message: 'This is a PDF, not a list.' }
  if (starts(bytes, 0xff, 0xfe) || starts(bytes, 0xfe, 0xff))
    return { ok: false, message: 'The file is in UTF-16. Save it as UTF-8 and try again.' }
  let text: string
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return {
      ok: false,
      message:
        'The file is not in UTF-8, so that letters such as ü or ½ would be lost. Save it as CSV UTF-8 and try again.',
    }
  }
  if (text.includes('\0')) return { ok: false, message: 'The file is no text: it holds bytes that no list has.' }
  return { ok: true, text: text.replace(/^\uFEFF/, '') }
}
