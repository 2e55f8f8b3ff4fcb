/** A day as it is written beside what was done: by the reader's own calendar and custom. @param at ISO 8601 */
export const dayText = (at: string): string =>
  new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'long', year: 'numeric' }).format(new Date(at))
