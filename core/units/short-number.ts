/** Writes a number with about four figures, whole numbers whole: whatever is finer means nothing. */
export const shortNumber = (value: number): string =>
  String(Number(value.toFixed(Math.abs(value) >= 100 ? 1 : Math.abs(value) >= 10 ? 2 : 3)) + 0)
