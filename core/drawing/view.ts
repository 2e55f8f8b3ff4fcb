import type { Bounds, Outline, Point } from '../geometry/outline'
import type { Rounding } from '../units/grid'

/** What a drawn outline is, which decides how it is drawn. */
export type ItemRole = 'board' | 'opening' | 'head' | 'handle'

/** A closed outline, drawn as what it is. */
export interface OutlineItem {
  role: ItemRole
  outline: Outline
}

/** A board, a rod or a bought part in a view, by its id. */
export interface BoardItem extends OutlineItem {
  role: 'board'
  board: string
  /** it is no wood, but bought as it is */
  bought?: true
}

/** A straight line in a view: `visible`, `hidden` behind something, or a `centre` line. */
export interface LineItem {
  style: 'visible' | 'hidden' | 'centre'
  from: Point
  to: Point
}

/** What belongs to one seat in a view, so that a seat which only moves along stays the same in itself. */
export interface SeatItem {
  /** null for an opening that a rod goes into, or that lets something through */
  seat: string | null
  /** where its opening stands; outlines and lines are about it */
  at: Point
  outlines: OutlineItem[]
  lines: LineItem[]
  /** where its tool's neck stands; the ghost is about it */
  neck: Point
  ghost: OutlineItem[]
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

/** One view of a holder, drawn to scale: mm, x right, y up. Boards are painted first, in their order. */
export interface View {
  name: 'top' | 'front' | 'side'
  title: string
  /** the box round everything, and round the boards alone */
  bounds: Bounds
  boardBounds: Bounds
  boards: BoardItem[]
  seats: SeatItem[]
  dimensions: Dimension[]
}
