import { onBeforeUnmount, shallowRef, watch, type Ref } from 'vue'
import { useHistory } from '~/stores/history'

/**
 * What follows from something, worked out a frame later while a figure is dragged, so that not all is drawn in one frame;
 * else at once.
 */
export function useFrameLater<S, T>(from: Ref<S>, follows: () => T): Ref<T> {
  const history = useHistory()
  const later = shallowRef(follows()) as Ref<T>
  let frame = 0
  const take = (): void => void (later.value = follows())
  watch(from, () => {
    cancelAnimationFrame(frame)
    if (history.holding) frame = requestAnimationFrame(take)
    else take()
  })
  onBeforeUnmount(() => cancelAnimationFrame(frame))
  return later
}
