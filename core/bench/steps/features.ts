import { outlineArea } from '../../geometry/area'
import { drilled, type Board, type HolderModel, type Opening } from '../../model/model'
import { cutOf } from '../../model/work'

export { cutOf }

/** Names of what is made on the way to a holder. Each is made once, by one step. */
export const layersOf = (board: string): string => `layers:${board}`
export const bevelOf = (board: string): string => `bevel:${board}`
export const markOf = (board: string): string => `mark:${board}`
export const boreOf = (board: string, opening: string, n: number): string => `bore:${board}/${opening}#${n}`
export const dustOf = (board: string, opening: string): string => `dust:${board}/${opening}`
export const flareOf = (board: string, opening: string): string => `flare:${board}/${opening}`
export const fileOf = (board: string, opening: string): string => `file:${board}/${opening}`
export const sawOf = (board: string, opening: string): string => `saw:${board}/${opening}`
/** What is sawn off a blank to its board's own shape. */
export const outlineOf = (board: string): string => `outline:${board}`
/** The slanted mouth of a pipe. */
export const slantOf = (rod: string): string => `slant:${rod}`
export const easeOf = (board: string): string => `ease:${board}`
export const jointOf = (order: number): string => `joint:${order}`
export const driveOf = (fastener: string): string => `drive:${fastener}`

/** What an opening takes: its bores, the hole for dust, what is filed between two bores, what is sawn. */
export function openingFeatures(board: Board, opening: Opening): string[] {
  const sawn = opening.opensTo !== null || opening.cut === 'sawn' || opening.bores.length === 0
  return [
    ...drilled(opening).map((_, n) => boreOf(board.id, opening.id, n)),
    ...(opening.flare ? [flareOf(board.id, opening.id)] : []),
    ...(opening.dust === null ? [] : [dustOf(board.id, opening.id)]),
    ...(opening.bores.length > 1 ? [fileOf(board.id, opening.id)] : []),
    ...(sawn ? [sawOf(board.id, opening.id)] : []),
  ]
}

/** What makes a board itself: its layers cut, glued up, bevelled. */
export const blankFeatures = (board: Board): string[] => [
  ...Array.from({ length: board.layers }, (_, n) => cutOf(board.id, n + 1)),
  ...(board.layers > 1 ? [layersOf(board.id)] : []),
  ...(board.bevel ? [bevelOf(board.id)] : []),
]

/** An outline that leaves less than this of its blank, mm², is no shape of its own. */
const NOTHING = 1

/** Whether a board has another shape than its blank: its corners cut off, an edge that slopes, a curve. */
export const isShaped = ({ outline, length, width }: Pick<Board, 'outline' | 'length' | 'width'>): boolean =>
  length * width - Math.abs(outlineArea(outline)) > NOTHING

/** Everything that has to be made for a holder to be there, each named once. */
export const featuresOf = (model: Pick<HolderModel, 'boards' | 'rods' | 'joints' | 'fasteners'>): string[] => [
  ...model.boards.flatMap((b) => [...blankFeatures(b), ...b.openings.flatMap((o) => openingFeatures(b, o)), ...(isShaped(b) ? [outlineOf(b.id)] : [])]), // prettier-ignore
  ...model.rods.flatMap((r) => [cutOf(r.id, 1), ...(r.pipe?.slant ? [slantOf(r.id)] : [])]),
  ...model.joints.map((j) => jointOf(j.order)),
  ...model.fasteners.map((f) => driveOf(f.id)),
]
