import type { Outline, Point } from '../geometry/outline'
import type { Tool } from './tool'

/** Writes a length (mm) for a sentence, in the reader's unit. */
export type Say = (mm: number) => string

/** One measurement a kind of tool asks for. */
export interface FieldDeclaration {
  key: string
  label: string
  /** one sentence on where to hold the rule */
  hold: string
  /** what such tools commonly measure, mm; outside it the card asks to look again */
  sane: readonly [number, number]
  /** used to draw the card while the figure is missing, mm */
  typical: number
  /** why the figure may be left out, and what is taken then; absent when it can't */
  optional?: string
}

/** One thing about a tool which is chosen from a list. */
export interface OptionDeclaration {
  key: string
  label: string
  values: readonly { value: string; label: string }[]
}

/** Two figures of one tool that can't both be right. */
export interface Contradiction {
  /** field keys, the one to look at first in front */
  fields: string[]
  message: (say: Say) => string
}

/** A part of a tool's silhouette, so that head and handle can be shaded apart. */
export interface Shape {
  part: 'head' | 'handle'
  outline: Outline
}

/** A dimension line of a measuring card, between two points of the drawing, set off by `offset` mm to the left of its direction. */
export interface CardLine {
  field: string
  from: Point
  to: Point
  offset: number
}

/** The drawing of a measuring card, mm, y up. */
export interface Card {
  shapes: Shape[]
  lines: CardLine[]
  /** what is seen where */
  captions: { text: string; at: Point }[]
}

/** What a rail feels of a tool that hangs by its neck in a slot: all in mm, in the attitude asked for. */
export interface NeckEnvelope {
  /** from the neck's centre to the head's farthest point each way, looking at the wall from above */
  left: Measured
  right: Measured
  front: Measured
  back: Measured
  /** the neck across the slot and along it */
  neckAcross: Measured
  neckAlong: Measured
  neckShape: 'round' | 'rectangular'
}

/** A length and the fields of the card which it comes from. */
export interface Measured {
  /** mm */
  value: number
  /** names the fields in braces, such as `{headWidth} / 2` */
  expression: string
  /** by how much the value may be out for each mm that a field may be out, by field key: {headWidth: 0.5} */
  moves: Record<string, number>
}

/** What is missing before a tool can be planned for, as field keys. */
export interface Missing {
  missing: string[]
}

/** A way a tool can be held: quarter turns from face out, by way of the right, the wall and the left. */
export interface Attitude {
  turn: 0 | 1 | 2 | 3
  label: string
}

/** The three views of a tool's silhouette about the neck's centre at the underside of its head. */
export interface Silhouette {
  /** seen from its right side: x along the head to its face, y up */
  side: Shape[]
  /** seen looking at its face: x across, y up */
  face: Shape[]
  /** seen from above, face out: x across, y towards the face */
  top: Shape[]
}

/** Everything the product knows of a kind of tool. One folder under core/footprint/kinds declares one. */
export interface Kind {
  id: string
  name: string
  /** which tools it is for, in a few words */
  covers: string
  fields: readonly FieldDeclaration[]
  options: readonly OptionDeclaration[]
  attitudes: readonly Attitude[]
  contradictions: (tool: Pick<Tool, 'measures' | 'options'>) => Contradiction[]
  card: (tool: Pick<Tool, 'measures' | 'options'>) => Card
  silhouette: (tool: Pick<Tool, 'measures' | 'options'>) => Silhouette
  /** for tools that can hang by a neck below a wider head */
  neck?: (tool: Pick<Tool, 'measures' | 'options'>, turn: Attitude['turn']) => NeckEnvelope | Missing
}
