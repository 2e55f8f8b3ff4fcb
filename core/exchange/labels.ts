import { kindOf } from '../footprint/kinds'
import type { Tool } from '../footprint/tool'
import type { HolderModel, Seat } from '../model/model'
import { formatLength, type LengthFormat } from '../units/format-length'

/** A label beside a seat. */
export interface Label {
  seat: string
  place: number
  /** the tool's name */
  name: string
  /** the figure by which it is told from its like, in the shop's unit; empty where its name says it, or has none */
  size: string
  /** how wide it may be so that it stays clear of its neighbours', mm */
  room: number
}

/** Nothing wider than this is wanted beside a seat, mm. */
const WIDEST = 90

/** The figure by which a tool is told from its like; empty where it isn't measured, or its name has it already. */
function sizeOf(tool: Tool, format: LengthFormat): string {
  const key = kindOf(tool.kind)?.knownBy
  const value = key ? tool.measures[key] : undefined
  if (value === undefined) return ''
  const size = formatLength(value, format)
  const number = size.replace(/\s*mm$|"$/, '')
  return tool.name.split(/[\s×x,;/-]+/).some((word) => word.replace(/mm$|"$/, '') === number) ? '' : size
}

/** How far it is to the nearest neighbour at the same height along the wall, at most as wide as a label is; mm. */
function roomOf(seat: Seat, seats: readonly Seat[]): number {
  const apart = seats.flatMap((s) => {
    const beside = Math.abs(s.at.x - seat.at.x)
    return s.id !== seat.id && s.board === seat.board && Math.abs(s.at.z - seat.at.z) < SAME_ROW && beside > 1e-6 ? [beside] : [] // prettier-ignore
  })
  return Math.min(WIDEST, ...apart)
}

/** Seats whose heights differ by less stand in one row, mm. */
const SAME_ROW = 20

/** A label for each seat of a holder, from the datum end: what belongs there, and how wide it may be. */
export const labelsOf = (
  model: Pick<HolderModel, 'seats'>,
  tools: ReadonlyMap<string, Tool>,
  format: LengthFormat,
): Label[] =>
  [...model.seats]
    .sort((a, b) => a.place - b.place)
    .map((seat) => {
      const tool = tools.get(seat.tool)
      const size = tool ? sizeOf(tool, format) : ''
      return { seat: seat.id, place: seat.place, name: seat.name, size, room: roomOf(seat, model.seats) }
    })
