import { ref } from 'vue'
import type { Point } from '#core/geometry/outline'

/** How far a drawing may be zoomed out and in. */
const LEAST = 0.3
const MOST = 60
/** A pointer that moves less than this, px, clicks rather than drags. */
const STILL = 4

/**
 * Panning by dragging and zooming about a point.
 * @param origin where the drawing's origin stands on the screen as it is now, px; null while there is nothing to draw
 */
export function usePanZoom(origin: () => Point | null) {
  const zoom = ref(1)
  const pan = ref<Point>({ x: 0, y: 0 })
  let dragged: (Point & { far: boolean }) | null = null

  /** What stands at the point stays there. px */
  function zoomBy(factor: number, about: Point): void {
    const before = origin()
    if (!before) return
    const next = Math.min(MOST, Math.max(LEAST, zoom.value * factor))
    const real = next / zoom.value
    zoom.value = next
    const after = origin()!
    pan.value = {
      x: pan.value.x + about.x - (about.x - before.x) * real - after.x,
      y: pan.value.y + about.y - (about.y - before.y) * real - after.y,
    }
  }
  function fitAll(): void {
    zoom.value = 1
    pan.value = { x: 0, y: 0 }
  }
  function down(event: PointerEvent): void {
    dragged = { x: event.clientX, y: event.clientY, far: false }
  }
  function drag(event: PointerEvent): void {
    if (!dragged) return
    const [dx, dy] = [event.clientX - dragged.x, event.clientY - dragged.y]
    if (!dragged.far && Math.hypot(dx, dy) < STILL) return
    if (!dragged.far) (event.currentTarget as Element).setPointerCapture(event.pointerId)
    dragged = { x: event.clientX, y: event.clientY, far: true }
    pan.value = { x: pan.value.x + dx, y: pan.value.y + dy }
  }
  const up = (): void => void (dragged = null)

  return { zoom, pan, zoomBy, fitAll, down, drag, up }
}
