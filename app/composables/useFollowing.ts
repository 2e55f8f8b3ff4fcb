import { onBeforeUnmount, shallowRef, watch, type ShallowRef } from 'vue'

/** How long a value must rest before it is followed, ms: a little longer than a frame. */
const REST = 50

/**
 * A value that follows another once that rests: for long lists beside a drawing, so that the drawing keeps up with a
 * hand that drags.
 * @param source what is followed
 */
export function useFollowing<T>(source: () => T): Readonly<ShallowRef<T>> {
  const shown = shallowRef(source())
  let turn: ReturnType<typeof setTimeout> | undefined
  watch(source, () => {
    clearTimeout(turn)
    turn = setTimeout(() => (shown.value = source()), REST)
  })
  onBeforeUnmount(() => clearTimeout(turn))
  return shown
}
