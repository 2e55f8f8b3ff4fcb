/** Numbers with room for as many more after them. */
export function twiceAsLong<T extends Float64Array | Int32Array | Uint8Array>(list: T): T {
  const longer = new (list.constructor as new (length: number) => T)(2 * list.length)
  longer.set(list)
  return longer
}
