import { pipeLump } from '../fit/pipe'
import { outlineArea, outlineCentroid } from '../geometry/area'
import type { Board, HolderModel, Opening, Place, Rod, Seat } from '../model/model'
import { placeOn, rodEnd } from '../model/standing'
import { tippedWay } from '../model/tilt'
import { densityOf } from '../shop/materials'
import type { Shop } from '../shop/shop'
import { centreOfGravity } from '../footprint/balance'
import { stacked } from '../footprint/stack'
import { heavier, type Tool } from '../footprint/tool'

/** A volume (mm³) and its middle, in the board's own axes: x, y, and z down from the face. */
interface Lump {
  volume: number
  x: number
  y: number
  z: number
}

/** What an opening takes out of a board of a thickness. */
function taken(opening: Opening, thickness: number): Lump[] {
  const area = Math.abs(outlineArea(opening.outline))
  const { x, y } = outlineCentroid(opening.outline)
  if (opening.slant !== 0) {
    const lean = (opening.slant * Math.PI) / 180
    // it leaves the far face at its centre, and has sunk by half of its rise in the middle
    return [
      { volume: (area * thickness) / Math.cos(lean), x, y: y - (thickness / 2) * Math.tan(lean), z: thickness / 2 },
    ]
  }
  const deep = opening.depth ?? thickness
  const bore = { volume: area * deep, x, y, z: deep / 2 }
  const more = [...below(opening, deep, thickness), ...flared(opening)]
  if (opening.dust === null) return [bore, ...more]
  const rest = thickness - deep
  const dust = (Math.PI * opening.dust ** 2) / 4
  return [bore, ...more, { volume: dust * rest, x: opening.centre.x, y: opening.centre.y, z: deep + rest / 2 }]
}

/** The narrower bores below a stepped one, each from where the one above it ends. */
function below({ centre, steps = [] }: Opening, deep: number, thickness: number): Lump[] {
  let from = deep
  return steps.map(({ diameter, depth }) => {
    const to = depth ?? thickness
    const lump = { volume: (Math.PI * diameter ** 2 * (to - from)) / 4, ...centre, z: (from + to) / 2 }
    from = to
    return lump
  })
}

/** The ring that a flared mouth takes off round a bore. */
function flared({ centre, radius: r, flare: f }: Opening): Lump[] {
  if (!f) return []
  const volume = Math.PI * f * f * (r + f / 3)
  return [{ volume, ...centre, z: (f * (r / 3 + f / 12)) / (r + f / 3) }]
}

/** What a bevelled rip takes off an edge. */
function wedge({ bevel, length, width, thickness }: Board): Lump[] {
  if (!bevel) return []
  const up = thickness * Math.tan((bevel.tilt * Math.PI) / 180)
  const volume = (length * thickness * up) / 2
  return [bevel.edge === 'lower' ? { volume, x: length / 2, y: up / 3, z: (2 * thickness) / 3 } : { volume, x: length / 2, y: width - up / 3, z: thickness / 3 }] // prettier-ignore
}

/** Volume of a board by formula, mm³, and its middle in the holder. */
export function boardLump(board: Board): { volume: number; at: Place } {
  const area = Math.abs(outlineArea(board.outline))
  const middle = outlineCentroid(board.outline)
  const lumps: Lump[] = [
    { volume: area * board.thickness, x: middle.x, y: middle.y, z: board.thickness / 2 },
    ...[...board.openings.flatMap((o) => taken(o, board.thickness)), ...wedge(board)].map((l) => ({
      ...l,
      volume: -l.volume,
    })),
  ]
  const volume = lumps.reduce((sum, l) => sum + l.volume, 0)
  const mean = (of: (l: Lump) => number): number => lumps.reduce((sum, l) => sum + l.volume * of(l), 0) / volume
  return {
    volume,
    at: placeOn(
      board,
      { x: mean((l) => l.x), y: mean((l) => l.y) },
      mean((l) => l.z),
    ),
  }
}

/** Volume of a rod by formula, mm³, and its middle; pipes stand upright. */
export function rodLump(rod: Rod): { volume: number; at: Place } {
  if (rod.pipe) {
    const { volume, up, out } = pipeLump(rod.length, rod.diameter, rod.pipe.bore, rod.pipe.slant)
    const { at, toward } = rod
    return { volume, at: { x: at.x + up * toward.x, y: at.y + up * toward.y + out, z: at.z + up * toward.z } }
  }
  const end = rodEnd(rod)
  const at = { x: (rod.at.x + end.x) / 2, y: (rod.at.y + end.y) / 2, z: (rod.at.z + end.z) / 2 }
  return { volume: (Math.PI * rod.diameter ** 2 * rod.length) / 4, at }
}

/** A mass (kg) and its middle. */
export interface Weight {
  mass: number
  at: Place
}

/** Several weights as one; null for none. */
export function weighTogether(weights: readonly Weight[]): Weight | null {
  const mass = weights.reduce((sum, w) => sum + w.mass, 0)
  if (mass <= 0) return null
  const mean = (axis: 'x' | 'y' | 'z'): number => weights.reduce((sum, w) => sum + w.mass * w.at[axis], 0) / mass
  return { mass, at: { x: mean('x'), y: mean('y'), z: mean('z') } }
}

/** Cosine and sine by which a tool's own axes stand, for each quarter turn: its face goes on to the right. */
export const QUARTERS = [
  [1, 0],
  [0, -1],
  [-1, 0],
  [0, 1],
] as const

/** What the wood of a holder weighs. */
export const woodWeight = (model: Pick<HolderModel, 'boards' | 'rods'>, shop: Pick<Shop, 'materials'>): Weight | null =>
  weighTogether(
    [...model.boards.map((b) => ({ ...boardLump(b), material: b.material })), ...model.rods.map((r) => ({ ...rodLump(r), material: r.material }))].map(({ volume, at, material }) => ({ mass: (volume * densityOf(shop, material)) / 1e9, at })), // prettier-ignore
  )

/** What is bought and takes up room of its own, where its weight is known, each with the figure of it. */
export const boughtWeights = ({
  bought = [],
}: Pick<HolderModel, 'bought'>): (Weight & { name: string; figure: string })[] =>
  bought.flatMap(({ name, mass, bodies = [] }) => {
    const middle = weighTogether(bodies.map(boardLump).map(({ volume, at }) => ({ mass: volume, at })))
    return mass && middle ? [{ name, figure: mass.figure, mass: mass.value, at: middle.at }] : []
  })

/** What a seated tool weighs, with its battery where that is the heavier, and where; null when it was not weighed. */
export function toolWeight(
  { turn, tilt = 0, along, at, stack = 1 }: Pick<Seat, 'turn' | 'tilt' | 'along' | 'at' | 'stack'>,
  tool: Tool | undefined,
): Weight | null {
  const weight = tool && heavier(tool)
  const own = weight && centreOfGravity(stacked(tool, stack), weight.as === 'mass' ? 'bare' : 'battery')
  if (!weight?.kg || !own) return null
  const [c, s] = QUARTERS[turn]
  const [right, out] = [c * own.x - s * own.y, s * own.x + c * own.y]
  const off = tippedWay(along ? { x: -own.z, y: out, z: right } : { x: right, y: out, z: own.z }, tilt)
  return { mass: stack * weight.kg, at: { x: at.x + off.x, y: at.y + off.y, z: at.z + off.z } }
}

/** What a holder weighs by itself, and with its tools; tools that are not weighed are left out and counted. */
export function weights(
  model: Pick<HolderModel, 'boards' | 'rods' | 'bought' | 'seats'>,
  shop: Pick<Shop, 'materials'>,
  tools: ReadonlyMap<string, Tool>,
): { alone: Weight | null; loaded: Weight | null; unweighed: number } {
  const wood = woodWeight(model, shop)
  const alone = weighTogether([...(wood ? [wood] : []), ...boughtWeights(model)])
  const loads = model.seats.flatMap((seat) => toolWeight(seat, tools.get(seat.tool)) ?? [])
  const loaded = weighTogether(alone ? [alone, ...loads] : loads)
  return { alone, loaded, unweighed: model.seats.length - loads.length }
}
