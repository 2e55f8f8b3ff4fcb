import { onBeforeUnmount, shallowRef, watch, type ShallowRef } from 'vue'

/**
 * A value that follows another one frame later: for long lists beside a drawing, so that the drawing is painted first.
 * @param source what is followed
 */
export function useFollowing<T>(source: () => T): Readonly<ShallowRef<T>> {
  const shown = shallowRef(source())
  let frame: number | undefined
  let turn: ReturnType<typeof setTimeout> | undefined
  watch(source, () => {
    if (frame !== undefined) return
    frame = requestAnimationFrame(() => {
      // a frame's callbacks run before it is painted, the turn after it does not
      turn = setTimeout(() => {
        frame = undefined
        shown.value = source()
      })
    })
  })
  onBeforeUnmount(() => {
    if (frame !== undefined) cancelAnimationFrame(frame)
    clearTimeout(turn)
  })
  return shown
}
