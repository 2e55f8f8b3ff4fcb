/** A step of the bench as it was last ticked off, or ticked on again. */
export interface Tick {
  /** ISO 8601, UTC */
  at: string
  done: boolean
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
    if (!other || other.at < tick.at || (other.at === tick.at && tick.done)) ticks[step] = tick
  }
  return { ...theirs, ticks }
}

/** What is already cut of a holder: ticks such as `cut:rail#1`, the first layer of its rail. */
export const cutPieces = (work: Work | null | undefined): ReadonlySet<string> =>
  new Set(
    Object.entries(work?.ticks ?? {}).flatMap(([step, { done }]) => (done && /^cut:.+#\d+$/.test(step) ? [step] : [])),
  )

/** The pieces of a part that are still to be cut, by the number of their layer. */
export const layersLeft = (part: string, layers: number, cut?: ReadonlySet<string>): number[] =>
  Array.from({ length: layers }, (_, n) => n + 1).filter((n) => !cut?.has(`cut:${part}#${n}`))

/** Whether a step is ticked off. */
export const isDone = (work: Work | null | undefined, step: string): boolean => work?.ticks[step]?.done ?? false
