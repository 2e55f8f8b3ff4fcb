import { ref, type Ref } from 'vue'
import type { Hung } from '#core/wall/wall'

/** Places are set out in whole steps, mm. */
const STEP = 10
const snapped = (mm: number): number => Math.round(mm / STEP) * STEP

/**
 * Dragging holders over the drawing of a wall; mm from the left corner and the floor.
 * @param svg the drawing
 * @param heightFor the height at which a holder may hang nearest to one wished for
 * @param tell of each place while it is dragged, and of the last
 */
export function useWallDrag(
  svg: Ref<SVGSVGElement | null>,
  heightFor: (holder: string, z: number) => number,
  tell: {
    chosen: (holder: string | null) => void
    moved: (holder: string, x: number, z: number, done: boolean) => void
  },
) {
  const held = ref<{ holder: string; dx: number; dz: number; x: number; z: number } | null>(null)
  /** The click that ends a drag chooses nothing else. */
  let dropped = false

  /** From the screen to the wall; asked for when a drag begins, for asking lays the page out. */
  let toWall: DOMMatrix | null = null

  function placeOf(event: PointerEvent) {
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(toWall!)
    return { x: point.x, z: -point.y }
  }
  function down({ holder, x, z }: Hung, event: PointerEvent) {
    tell.chosen(holder)
    toWall = svg.value!.getScreenCTM()!.inverse()
    const p = placeOf(event)
    held.value = { holder, dx: p.x - x, dz: p.z - z, x, z }
    svg.value!.setPointerCapture(event.pointerId)
  }
  function drag(event: PointerEvent) {
    if (!held.value) return
    const { holder, dx, dz } = held.value
    const p = placeOf(event)
    const [x, z] = [snapped(p.x - dx), heightFor(holder, snapped(p.z - dz))]
    if (x === held.value.x && z === held.value.z) return
    held.value = { ...held.value, x, z }
    tell.moved(holder, x, z, false)
  }
  function up() {
    dropped = held.value !== null
    if (held.value) tell.moved(held.value.holder, held.value.x, held.value.z, true)
    held.value = null
  }
  function clicked(event: MouseEvent) {
    if (!dropped && !(event.target as Element).closest('.hung')) tell.chosen(null)
    dropped = false
  }
  return { down, drag, up, clicked }
}
