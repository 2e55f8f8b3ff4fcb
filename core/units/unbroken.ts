/**
 * A text with figures whose whole number, fraction and unit stay on one line: `10 5/16"` broken after the 10 is read as 10. The
 * blanks within them become no-break ones.
 */
export const unbroken = (text: string): string =>
  text.replace(/(?<=\d) (?=\d+\/\d)|(?<=[\d"]) (?=(mm|kg|g|lb|N|MPa)\b)/g, '\u00a0')
