import { onBeforeUnmount } from 'vue'
import { useHistory } from '~/stores/history'

/** Pixels that a hand goes for one step. */
const PIXELS = 4

/** Frames in which a figure is drawn: outlines, dimensions, marks on the stick. */
const DRAWN_IN = 3

/** A figure that is changed by dragging its label sideways. mm */
interface DraggedFigure {
  /** as it stands, or null where there is none to start from */
  from: () => number | null
  step: () => number
  min: number
  max: number
  put: (value: number) => void
}

/** Drags a figure by its label: to the right more, to the left less, step by step, no sooner than the last is drawn; one deed. */
export function useDraggedFigure(): { drag: (event: PointerEvent, figure: DraggedFigure) => void } {
  const history = useHistory()
  let stop: (() => void) | null = null

  function drag(event: PointerEvent, { from, step, min, max, put }: DraggedFigure): void {
    const start = from()
    if (start === null || event.button !== 0) return
    event.preventDefault()
    const label = event.currentTarget as HTMLElement
    label.setPointerCapture(event.pointerId)
    const letGo = history.hold()
    let [last, asked] = [start, start]
    let frame = 0
    const paint = (): void => {
      frame = 0
      if (asked === last) return
      put((last = asked))
      wait(DRAWN_IN)
    }
    const wait = (frames: number): void => {
      frame = requestAnimationFrame(frames > 0 ? () => wait(frames - 1) : paint)
    }
    const moved = ({ clientX }: PointerEvent): void => {
      const steps = Math.round((clientX - event.clientX) / PIXELS)
      const value = steps === 0 ? start : Math.round(start / step() + steps) * step()
      asked = Math.min(max, Math.max(min, value))
      frame ||= requestAnimationFrame(paint)
    }
    stop = (): void => {
      label.removeEventListener('pointermove', moved)
      label.removeEventListener('pointerup', stop!)
      label.removeEventListener('pointercancel', stop!)
      if (frame) {
        cancelAnimationFrame(frame)
        paint()
      }
      letGo()
      stop = null
    }
    label.addEventListener('pointermove', moved)
    label.addEventListener('pointerup', stop)
    label.addEventListener('pointercancel', stop)
  }

  onBeforeUnmount(() => stop?.())
  return { drag }
}
