import type { Tool } from '../footprint/tool'
import { bodiesOf, type HolderModel } from '../model/model'
import { placedBoard, rodSolid } from './board-solid'
import type { Kernel, Solid } from './kernel'
import { seatedTool } from './tool-solid'

/** A part of a holder as a solid where it stands. */
export interface PartSolid {
  id: string
  name: string
  kind: 'board' | 'rod' | 'bought' | 'tool'
  solid: Solid
}

/** Every board, rod and tool of a holder as a solid. Whoever asks deletes them. */
export function partSolids(kernel: Kernel, model: HolderModel, tools: ReadonlyMap<string, Tool>): PartSolid[] {
  return [
    ...bodiesOf(model).map((b): PartSolid => ({
      id: b.id,
      name: b.name,
      kind: model.boards.includes(b) ? 'board' : 'bought',
      solid: placedBoard(kernel, b),
    })),
    ...model.rods.map((r): PartSolid => ({ id: r.id, name: r.name, kind: 'rod', solid: rodSolid(kernel, r) })),
    ...model.seats.flatMap((seat): PartSolid[] => {
      const tool = tools.get(seat.tool)
      const solid = tool && seatedTool(kernel, tool, seat)
      return solid ? [{ id: seat.id, name: seat.name, kind: 'tool', solid }] : []
    }),
  ]
}

/** Two parts that take up the same room, and how much of it, mm³. */
export interface Collision {
  a: { id: string; name: string; kind: PartSolid['kind'] }
  b: { id: string; name: string; kind: PartSolid['kind'] }
  volume: number
}

/** Less than this is a touch, mm³: faces that meet, and chords beside arcs. */
const TOUCH = 20

/** Boxes that overlap by less than this only touch, mm. */
const NEAR = 0.05

export function boxesMeet(a: Solid, b: Solid): boolean {
  const [p, q] = [a.boundingBox(), b.boundingBox()]
  return [0, 1, 2].every((i) => p.min[i]! < q.max[i]! - NEAR && q.min[i]! < p.max[i]! - NEAR)
}

/** Parts that take up the same room: boards, rods and tools among each other. A rod in its hole is meant to be there. */
export function collisions(kernel: Kernel, parts: readonly PartSolid[]): Collision[] {
  const found: Collision[] = []
  parts.forEach((a, i) => {
    for (const b of parts.slice(i + 1)) {
      if (!boxesMeet(a.solid, b.solid)) continue
      const shared = kernel.Manifold.intersection([a.solid, b.solid])
      const volume = shared.volume()
      shared.delete()
      if (volume <= TOUCH) continue
      const named = ({ id, name, kind }: PartSolid): Collision['a'] => ({ id, name, kind })
      found.push({ a: named(a), b: named(b), volume })
    }
  })
  return found.sort((a, b) => b.volume - a.volume)
}
