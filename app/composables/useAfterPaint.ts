import { onBeforeUnmount } from 'vue'
import { useHistory } from '~/stores/history'

/** How long typing must rest before work that can wait is begun, ms. */
const REST = 250

/**
 * Work that can wait until what was typed has been painted, and what is dragged let go: each task in a turn of its own, so that none holds the page
 * up; a newer list takes the older one's place.
 */
export function useAfterPaint() {
  const history = useHistory()
  let timer: ReturnType<typeof setTimeout> | undefined
  let round = 0
  function after(tasks: (() => void)[]): void {
    const mine = ++round
    const next = (i: number) => {
      if (mine !== round || i >= tasks.length) return
      tasks[i]!()
      timer = setTimeout(() => next(i + 1), 0)
    }
    const begin = () => {
      if (history.holding) timer = setTimeout(begin, REST)
      else next(0)
    }
    clearTimeout(timer)
    timer = setTimeout(begin, REST)
  }
  onBeforeUnmount(() => {
    round++
    clearTimeout(timer)
  })
  return { after }
}
