/**
 * Looks through what is in order by halves.
 * @param count how many there are
 * @param is whether it holds of one by its place, from 0; from the first of which it does it holds of all
 * @returns the place of that first; `count` where there is none
 */
export function firstWhere(count: number, is: (at: number) => boolean): number {
  let [low, high] = [0, count]
  while (low < high) {
    const middle = (low + high) >> 1
    if (is(middle)) high = middle
    else low = middle + 1
  }
  return low
}
