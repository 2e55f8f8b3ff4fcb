import type { Bounds, Outline, Point } from '../geometry/outline'
import type { Body, Part, View } from './body'
import type { Tool } from './tool'

/** Writes a length (mm) for a sentence, in the reader's unit. */
export type Say = (mm: number) => string

/** What a kind reads of a tool: its figures, what was chosen, and the shapes taken from it. */
export type Measuring = Pick<Tool, 'measures' | 'options'> & Partial<Pick<Tool, 'profile' | 'outline'>>

/** One measurement a kind of tool asks for. Every one is a length, mm. */
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
  /** may be nought, as a cutter that does not stick out */
  noughtAllowed?: boolean
  /** a balance point: found by the balance test, not with the rule alone */
  balance?: 'bare' | 'battery'
}

/** One thing about a tool which is chosen from a list; the first is taken until another is chosen. */
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

/** A part of a tool's silhouette, so that its materials can be told apart. */
export interface Shape {
  part: Part
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
  /** where the tool’s own origin stands in the drawing, by view */
  views: { view: View; at: Point }[]
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
  /** how far down the neck goes before the tool widens again, as to a battery: what carries it has to go in there */
  room?: Measured
}

/** What a rail feels of a tool whose blade or shank goes into a slot, so that what is thicker above comes to rest on the wood. */
export interface BladeEnvelope extends NeckEnvelope {
  /** across the slot, what could come to rest on the wood beside it, from below upwards */
  shoulders: Measured[]
  /** how far the blade hangs down from there, and whether it ends in an edge or a point */
  length: Measured
  sharp: boolean
}

/** What a block feels of a tool that stands in a bore, lower end first: all in mm, in the attitude asked for. */
export interface ShankEnvelope {
  /** from the bore's axis to what stands above the block each way, looking at the wall from above */
  left: Measured
  right: Measured
  front: Measured
  back: Measured
  /** the round hole that what goes in would just pass */
  across: Measured
  /** how much goes in, from what comes to rest on the wood down to its lower end */
  length: Measured
  overall: Measured
  /** diameters that could come to rest on the wood round the bore, from below upwards; none for one that stands on a floor */
  shoulders: Measured[]
  /** what goes in ends in an edge or a point, which must not stand on anything */
  sharp: boolean
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

/** A way a tool can be turned where it is held: quarter turns from face out, by way of the right, the wall and the left. */
export interface Attitude {
  turn: 0 | 1 | 2 | 3
  label: string
}

/** The three views of a tool's silhouette, mm, y up in the first two. The origin is where it is held. */
export type Silhouette = Record<View, Shape[]>

/** Everything the product knows of a kind of tool. One file under core/footprint/kinds declares one. */
export interface Kind {
  id: string
  name: string
  /** which tools it is for, in a few words; the first is what a new one is called */
  covers: readonly string[]
  fields: readonly FieldDeclaration[]
  options: readonly OptionDeclaration[]
  /** key of the figure by which one is told from its like, or null where the name does that */
  knownBy: string | null
  /** diameters of the handle at several heights, where a matched pocket may be wanted */
  profile: { label: string; from: string; hold: string } | null
  /** an outline can be taken from it: `needed`, or instead of its width and height */
  outline: 'needed' | 'possible' | null
  /** key of the figure that says how thick one is, of what is kept in stacks; null for what is not */
  stacks: string | null
  /** it may have a battery: two weights and two balance points */
  battery: boolean
  /** the view that shows best what it is */
  shown: View
  attitudes: readonly Attitude[]
  contradictions: (tool: Measuring) => Contradiction[]
  /** what is warned of where it is kept */
  cautions: (tool: Measuring) => readonly string[]
  /** its solid parts, with typical figures where none are measured */
  bodies: (tool: Measuring) => Body[]
  card: (tool: Measuring) => Card
  silhouette: (tool: Measuring) => Silhouette
  /** the room it takes, by view; mm */
  envelope: (tool: Measuring) => Record<View, Bounds>
  /** where a balance point that was measured lies, along which axis; null for a field that is none */
  balancedAt: (field: string, tool: Measuring) => { axis: 'x' | 'y' | 'z'; at: number } | null
  /** for tools that can hang by a neck below a wider head */
  neck?: (tool: Measuring, turn: Attitude['turn']) => NeckEnvelope | Missing | null
  /** for tools that can hang with their blade in a slot */
  blade?: (tool: Measuring, turn: Attitude['turn']) => BladeEnvelope | Missing
  /** for tools that can stand in a bore */
  shank?: (tool: Measuring, turn: Attitude['turn']) => ShankEnvelope | Missing
}
