import type { Board, HolderModel, Rod } from './model'

/** A step of the bench as it was last ticked off, or ticked on again. */
export interface Tick {
  /** ISO 8601, UTC */
  at: string
  done: boolean
  /** what was made, as the plan was then; of a piece that was cut see `pieceAs`. Absent where it was not kept */
  as?: string
}

/** How far the work on a holder has come. Its id is the holder's. */
export interface Work {
  id: string
  name: string
  /** by the step's id */
  ticks: Record<string, Tick>
}

/**
 * What two people, or one with two devices, have ticked off: of each step the later word. Nothing of either is lost, so a
 * stale save needs no question.
 */
export function mergeWork(mine: Work, theirs: Work): Work {
  const ticks = { ...theirs.ticks }
  for (const [step, tick] of Object.entries(mine.ticks)) {
    const other = ticks[step]
    if (!other || isLater(tick, other)) ticks[step] = tick
  }
  return { ...theirs, ticks }
}

/** Of two words at the same moment the one that says done counts, whoever is asked first. */
const isLater = (a: Tick, b: Tick): boolean =>
  a.at === b.at ? a.done && (!b.done || (a.as ?? '') > (b.as ?? '')) : a.at > b.at

/** The name of a piece of a part, layers counted from 1. */
export const cutOf = (part: string, layer: number): string => `cut:${part}#${layer}`

/** Pieces that are cut, by their names, and as what each was; that is '' where it was not kept. */
export type CutPieces = ReadonlyMap<string, string>

/** What is already cut of a holder: ticks such as `cut:rail#1`, the first layer of its rail. */
export const cutPieces = (work: Work | null | undefined): CutPieces =>
  new Map(
    Object.entries(work?.ticks ?? {}).flatMap(([step, { done, as = '' }]): [string, string][] =>
      done && /^cut:.+#\d+$/.test(step) ? [[step, as]] : [],
    ),
  )

/** What a piece is cut as: its size in mm, and id of its stock, such as `304.0×77.5 pine-18`. */
export const pieceAs = (part: Board | Rod): string =>
  `${part.length.toFixed(1)}×${('width' in part ? part.width : part.diameter).toFixed(1)} ${part.stock}`

/** What a piece is cut as: mm, and the id of its stock. */
export interface PieceSize {
  length: number
  width: number
  stock: string
}

/** What a piece was cut as, read back; null where it was not kept. */
export function readPiece(as: string): PieceSize | null {
  const found = /^([\d.]+)×([\d.]+) (.+)$/.exec(as)
  return found && { length: Number(found[1]), width: Number(found[2]), stock: found[3]! }
}

/** Sizes that differ by no more are the same, mm: a saw cuts no finer. */
const SAME_SIZE = 0.15

/** What a part is to be cut as now, to the tenth that is kept of what was cut. */
const sizeNow = (part: Board | Rod): PieceSize => readPiece(pieceAs(part))!

/** Whether a piece that was cut is what the plan asks for now. */
function isStill(part: Board | Rod, as: string): boolean {
  const was = readPiece(as)
  const now = sizeNow(part)
  const near = (a: number, b: number): boolean => Math.abs(a - b) <= SAME_SIZE
  return !was || (near(was.length, now.length) && near(was.width, now.width) && was.stock === now.stock)
}

/** Each piece of a plan with the part it is of. */
const piecesOf = ({ boards, rods }: Pick<HolderModel, 'boards' | 'rods'>): [string, Board | Rod][] => [
  ...boards.flatMap((b) => Array.from({ length: b.layers }, (_, n): [string, Board] => [cutOf(b.id, n + 1), b])),
  ...rods.map((r): [string, Rod] => [cutOf(r.id, 1), r]),
]

/** Those pieces that are cut, and still are what the plan asks for. */
export const stillCut = (model: Pick<HolderModel, 'boards' | 'rods'>, cut: CutPieces): ReadonlySet<string> =>
  new Set(piecesOf(model).flatMap(([name, part]) => (cut.has(name) && isStill(part, cut.get(name)!) ? [name] : [])))

/** A part of which pieces were cut before the plan changed: what they were and are to be, and their names. */
export interface CutBefore {
  part: Board | Rod
  was: PieceSize
  now: PieceSize
  pieces: string[]
}

/** Parts that were cut to another size than the plan asks for now, or of other stock. */
export function cutBefore(model: Pick<HolderModel, 'boards' | 'rods'>, cut: CutPieces): CutBefore[] {
  const found = new Map<Board | Rod, CutBefore>()
  for (const [name, part] of piecesOf(model)) {
    const as = cut.get(name)
    if (as === undefined || isStill(part, as)) continue
    const before = found.get(part)
    if (before) before.pieces.push(name)
    else found.set(part, { part, was: readPiece(as)!, now: sizeNow(part), pieces: [name] })
  }
  return [...found.values()]
}

/** Whether what was cut can be trimmed to what the plan asks for now. */
export const canBeTrimmed = ({ was, now }: CutBefore): boolean =>
  was.stock === now.stock && was.length >= now.length && was.width >= now.width

/** The pieces of a part that are still to be cut, by the number of their layer. */
export const layersLeft = (part: string, layers: number, cut?: ReadonlySet<string>): number[] =>
  Array.from({ length: layers }, (_, n) => n + 1).filter((n) => !cut?.has(cutOf(part, n)))

/** How a step stands: open, done, or done as the plan was before it changed. */
export type Standing = 'open' | 'done' | 'changed'

/** @param as what the step makes as the plan is now; '' where that does not matter */
export function standing(work: Work | null | undefined, step: string, as: string): Standing {
  const tick = work?.ticks[step]
  if (!tick?.done) return 'open'
  return tick.as === undefined || tick.as === as ? 'done' : 'changed'
}
