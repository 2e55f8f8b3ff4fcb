import type { Board, HolderModel } from '../../model/model'
import { placedBoard, rodSolid } from '../../solid/board-solid'
import type { Kernel, Solid } from '../../solid/kernel'
import { meshOf } from '../../solid/scene'

/** A part by itself as triangles, lying flat in the corner of right-handed axes; mm. */
export interface SolePart {
  id: string
  name: string
  corners: Float32Array
  triangles: Uint32Array
}

/** Turns a part so that it lies flat: never mirrored. Degrees about x, y, z. */
const LYING: Record<Board['placement']['lies'], [number, number, number]> = {
  flat: [0, 0, 0],
  upright: [90, 0, 0],
  end: [0, 90, 0],
  post: [0, 90, 0],
}

/** A board as if it were not tilted. */
const square = (board: Board): Board => ({ ...board, placement: { ...board.placement, tilt: 0 } })

/** Every board and rod by itself, as it would be printed or milled. */
export function partMeshes(kernel: Kernel, model: Pick<HolderModel, 'boards' | 'rods'>): SolePart[] {
  const lying = (id: string, name: string, solid: Solid, turn: [number, number, number]): SolePart => {
    // the holder's own axes are left-handed: mirrored first, turned then
    const right = solid.mirror([0, 1, 0])
    const turned = right.rotate(turn)
    const { min } = turned.boundingBox()
    const placed = turned.translate([-min[0]!, -min[1]!, -min[2]!])
    const mesh = meshOf(placed, false)
    for (const made of [solid, right, turned, placed]) made.delete()
    return { id, name, ...mesh }
  }
  return [
    ...model.boards.map((b) => lying(b.id, b.name, placedBoard(kernel, square(b)), LYING[b.placement.lies])),
    ...model.rods.map((r) => lying(r.id, r.name, rodSolid(kernel, { ...r, at: { x: 0, y: 0, z: 0 }, toward: { x: 1, y: 0, z: 0 } }), [0, 0, 0])), // prettier-ignore
  ]
}
