import type { Outline, Point } from '../../geometry/outline'

/** Paper as it comes out of a printer, upright; mm. */
export const PAPERS = {
  A4: { width: 210, height: 297 },
  A3: { width: 297, height: 420 },
  Letter: { width: 215.9, height: 279.4 },
} as const
export type Paper = keyof typeof PAPERS

/** The paper that is commonly in the printer, by the unit that a shop measures in. */
export const USUAL_PAPER = { mm: 'A4', in: 'Letter' } as const satisfies Record<string, Paper>

/** How a line is drawn: its width in mm, its shade from 0 (black) to 1, whether it is dashed. */
export interface Pen {
  width: number
  grey?: number
  dash?: number
}

/** One thing on a page, mm from the page's upper left corner, y down. */
export type Ink =
  | { kind: 'outline'; outline: Outline; pen: Pen; fill?: number }
  | { kind: 'line'; from: Point; to: Point; pen: Pen }
  | { kind: 'circle'; centre: Point; radius: number; pen: Pen; fill?: number }
  | { kind: 'text'; at: Point; text: string; size: number; align?: 'left' | 'middle' | 'right'; bold?: boolean; upright?: boolean } // prettier-ignore
  /** what is drawn inside a box only, moved and scaled; `y` of what is inside points down too */
  | {
      kind: 'window'
      box: { x: number; y: number; width: number; height: number }
      at: Point
      scale: number
      ink: Ink[]
    }

/** One page: its size as it lies, mm, and what is on it. */
export interface Page {
  width: number
  height: number
  ink: Ink[]
}
