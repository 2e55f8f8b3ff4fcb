import { holderViews } from '../drawing/views'
import type { Design } from '../choose/design'
import { USES } from '../footprint/tool'
import { weights } from '../solid/mass'

/** A box on the wall, mm. */
export interface WallBox {
  x0: number
  x1: number
  z0: number
  z1: number
}

/** A holder as the wall feels it; boxes from the lower left corner of its boards. */
export interface WallPiece {
  holder: string
  name: string
  boards: WallBox
  /** with its tools */
  all: WallBox
  /** kg, with its tools; null where nothing was weighed */
  mass: number | null
  /** screws into the wall: from the left end of the boards, mm; and each with how far above their lower edge */
  screws: number[]
  fixings: { x: number; z: number }[]
  /** how far out from what it hangs on it reaches, with its tools; mm */
  out: number
  /** from the lower left corner up to the lower edge of its strip's wide face, mm; null where it has no strip */
  hook: number | null
  /** hooks over its strip and under it, so that it goes on and off sideways only */
  slides?: boolean
  /** room above that lifting off or out wants, mm */
  above: number
  /** the group that most of its tools are of; none where they are of none */
  group?: string
  /** how often it is used: the most used of its tools, 0 rarely to 3 daily */
  use: number
}

/** Room above a holder that a hand wants to take tools out, mm. */
const HAND = 60

/** What a holder takes up on a wall; null when it can't be drawn. */
export function wallPiece({ model, input }: Design): WallPiece | null {
  if (!model) return null
  const view = holderViews(model, input.tools, input.shop).find((v) => v.name === 'front')!
  const { minX, minY } = view.boardBounds
  const box = ({ minX: a, maxX: b, minY: c, maxY: d }: typeof view.bounds): WallBox => ({ x0: a - minX, x1: b - minX, z0: c - minY, z1: d - minY }) // prettier-ignore
  // from 0, rarely, to 3, daily
  const uses = model.seats.map((s) => USES.length - 1 - USES.indexOf(input.tools.get(s.tool)?.use ?? 'weekly'))
  const intoWall = model.fasteners.filter((f) => f.into === null)
  const strip = model.boards.find((b) => b.bevel)
  const lift = strip ? strip.thickness * Math.tan((strip.bevel!.tilt * Math.PI) / 180) + 2 : 0
  return {
    holder: input.holder.id,
    name: model.name,
    boards: box(view.boardBounds),
    all: box(view.bounds),
    mass: weights(model, input.shop, input.tools).loaded?.mass ?? null,
    screws: intoWall.map((f) => f.at.x - minX),
    fixings: intoWall.map((f) => ({ x: f.at.x - minX, z: f.at.z - minY })),
    out: Math.max(model.reach.value, ...model.seats.map((s) => s.at.y + s.extent.front)),
    hook: strip ? strip.placement.at.z - minY : null,
    slides: strip !== undefined && input.holder.choices.hung === 'clip',
    above: Math.max(HAND, lift),
    use: Math.max(0, ...uses),
    group: groupOf(model.seats.map((s) => input.tools.get(s.tool)?.group ?? '')),
  }
}

/** The group that comes most often, the first of those that come equally often; empty where most are of none. */
function groupOf(groups: readonly string[]): string {
  const count = (g: string): number => groups.filter((x) => x === g).length
  return groups.reduce((best, g) => (count(g) > count(best) ? g : best), groups[0] ?? '')
}

/** A box moved to where its holder hangs. */
export const at = ({ x0, x1, z0, z1 }: WallBox, x: number, z: number): WallBox => ({
  x0: x0 + x,
  x1: x1 + x,
  z0: z0 + z,
  z1: z1 + z,
})

/** Whether two boxes take up the same room; those that only touch don't. */
export const meets = (a: WallBox, b: WallBox): boolean =>
  a.x0 < b.x1 - 1e-6 && b.x0 < a.x1 - 1e-6 && a.z0 < b.z1 - 1e-6 && b.z0 < a.z1 - 1e-6
