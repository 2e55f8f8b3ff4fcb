import type { FullSheet } from '../build-up'
import type { Problem } from '../sheets'
import { cover } from './cover'
import { TightSheets, type Reach } from './tight-sheets'

/** Sheets without waste that together take every piece, or as much of them as was found. */
export function tightCover(problem: Problem, reach: Reach & { nodes: number }, over: () => boolean): FullSheet[] {
  const tight = new TightSheets(problem)
  tight.find(reach, over)
  return cover(problem, tight.packing, tight.found, reach.nodes, over).map((s) => tight.full(s))
}
