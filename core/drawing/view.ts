import type { Bounds, Outline, Point } from '../geometry/outline'
import type { Rounding } from '../units/grid'

/** What a drawn outline is, which decides how it is drawn. */
export type ItemRole = 'board' | 'opening' | 'head' | 'handle'

/** A closed outline in a view. */
export interface OutlineItem {
  role: ItemRole
  outline: Outline
  board: string | null
  seat: string | null
}

/** A straight line in a view: `visible`, `hidden` behind something, or a `centre` line. */
export interface LineItem {
  style: 'visible' | 'hidden' | 'centre'
  from: Point
  to: Point
  seat: string | null
}

/**
 * A dimension set out beside the view, in rows counted outwards from it, so that it keeps its distance at any zoom.
 */
export interface Dimension {
  id: string
  /** the figure it shows, which a click leads to */
  figure: string | null
  side: 'top' | 'bottom' | 'left' | 'right'
  row: number
  /** along x for top and bottom, along y for left and right */
  from: number
  to: number
  /** printed length, mm, and which way it goes to the grid */
  value: number
  print: Rounding
  /** a derived figure that marks don't fix: printed with 'about' */
  about: boolean
  /** put before the figure, such as a diameter sign */
  prefix: string
}

/** One view of a holder, drawn to scale: mm, x right, y up. */
export interface View {
  name: 'top' | 'front'
  title: string
  bounds: Bounds
  outlines: OutlineItem[]
  lines: LineItem[]
  dimensions: Dimension[]
}
