/** The places of some numbers in the order of those, the least first; equal ones in the order they come in. @param count of the first so many */
export const leastFirst = (numbers: ArrayLike<number>, count = numbers.length): Int32Array =>
  Int32Array.from({ length: count }, (_, i) => i).sort((a, b) => numbers[a]! - numbers[b]!)
