import type { Tool } from '../footprint/tool'
import { bodiesOf, type HolderModel, type Place } from '../model/model'
import { boardBox, rodBox, type Box } from '../model/standing'
import type { Shop } from '../shop/shop'
import { collisions, partSolids, type Collision, type PartSolid } from './collisions'
import type { Kernel, Solid } from './kernel'
import { weights, type Weight } from './mass'

/**
 * A part as triangles: three coordinates a corner, three corners a triangle; mm. In right-handed axes, as those who show
 * and print meshes take them: x along the wall, y into it, z up.
 */
export interface PartMesh {
  id: string
  name: string
  kind: PartSolid['kind']
  corners: Float32Array
  triangles: Uint32Array
  /** which way it goes, and how far, when the holder is taken apart; mm */
  apart: Place
}

/** A holder with its tools as solids, for whoever shows it. */
export interface SolidScene {
  parts: PartMesh[]
  collisions: Collision[]
  alone: Weight | null
  loaded: Weight | null
  unweighed: number
}

/** How far parts go when the holder is taken apart, by what they are: mm. */
const APART = { back: 0, wood: 70, lip: 140, tool: 150 }

function apartOf(model: HolderModel, part: PartSolid, middle: number): Place {
  if (part.kind === 'tool') return { x: 0, y: 0, z: APART.tool }
  const board = bodiesOf(model).find((b) => b.id === part.id)
  const rod = model.rods.find((r) => r.id === part.id)
  const box: Box | null = board ? boardBox(board) : rod ? rodBox(rod) : null
  if (board?.role === 'back' || !box) return { x: 0, y: APART.back, z: 0 }
  if (board?.role === 'lip') return { x: 0, y: APART.lip, z: 0 }
  // ends go sideways, everything else out from the wall
  const sideways =
    board && (board.placement.lies === 'end' || board.placement.lies === 'post')
      ? ((box.x[0] + box.x[1]) / 2 - middle) * 0.4
      : 0
  return { x: sideways, y: APART.wood, z: board?.role === 'divider' ? APART.wood / 2 : 0 }
}

/**
 * The triangles of a solid, mm.
 * @param mirrors the solid stands in the holder's own axes, whose y points out of the wall: mirrored, and so are the
 * triangles, so that what comes out is right-handed
 */
export function meshOf(solid: Solid, mirrors: boolean): Pick<PartMesh, 'corners' | 'triangles'> {
  const { vertProperties, triVerts, numProp } = solid.getMesh()
  const count = vertProperties.length / numProp
  const corners = new Float32Array(count * 3)
  for (let i = 0; i < count; i++)
    for (let k = 0; k < 3; k++) corners[3 * i + k] = (mirrors && k === 1 ? -1 : 1) * vertProperties[numProp * i + k]!
  const triangles = new Uint32Array(triVerts)
  if (mirrors) for (let i = 0; i < triangles.length; i += 3) triangles.subarray(i, i + 3).reverse()
  return { corners, triangles }
}

/** Builds the solids of a holder: meshes, what collides, and what it weighs. */
export function solidScene(
  kernel: Kernel,
  model: HolderModel,
  tools: ReadonlyMap<string, Tool>,
  shop: Shop,
): SolidScene {
  const parts = partSolids(kernel, model, tools)
  const middle = Math.max(0, ...model.boards.map((b) => boardBox(b).x[1])) / 2
  const meshes = parts.map((part): PartMesh => {
    const { corners, triangles } = meshOf(part.solid, true)
    const { id, name, kind } = part
    const { x, y, z } = apartOf(model, part, middle)
    return { id, name, kind, corners, triangles, apart: { x, y: -y, z } }
  })
  const found = collisions(kernel, parts)
  for (const { solid } of parts) solid.delete()
  return { parts: meshes, collisions: found, ...weights(model, shop, tools) }
}
