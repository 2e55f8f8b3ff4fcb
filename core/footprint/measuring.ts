import { selfCrossing } from '../geometry/crossing'
import { outlineBounds } from '../geometry/outline'
import { sizeError } from '../units/length'
import type { FieldDeclaration, Kind, Say } from './kind'
import { kindOf } from './kinds'
import type { Tool } from './tool'

type Measured = Pick<Tool, 'kind' | 'measures' | 'options'> &
  Partial<Pick<Tool, 'profile' | 'outline' | 'mass' | 'massWithBattery'>>

/** Something to tell beside a figure of a card. */
export interface Remark {
  /** a field's key, or `profile`, `outline`, `mass` */
  field: string
  /** `wrong`: can't be used; `doubt`: kept and used, but look again */
  level: 'wrong' | 'doubt'
  message: string
}

/** By how much an outline may differ from a length that was measured beside it, mm. */
const OUTLINE_OFF = 3

/** Why a figure can't be one, or null. @param value mm */
export const figureError = (field: FieldDeclaration, value: unknown): string | null =>
  sizeError(value, field.noughtAllowed ? { min: 0 } : {})

function aboutProfile(tool: Measured, kind: Kind, say: Say): Remark[] {
  const points = tool.profile ?? []
  const greatest = tool.measures.handleDiameter
  if (!kind.profile || points.length === 0) return []
  const remarks: Remark[] = []
  const over = greatest === undefined ? undefined : points.find((p) => p.diameter > greatest + 0.01)
  if (over)
    remarks.push({
      field: 'profile',
      level: 'doubt',
      message: `At ${say(over.at)} the profile (${say(over.diameter)}) is thicker than the handle at its thickest (${say(greatest!)}).`,
    })
  const { overallLength } = tool.measures
  const beyond = overallLength === undefined ? undefined : points.find((p) => p.at > overallLength)
  if (beyond)
    remarks.push({
      field: 'profile',
      level: 'doubt',
      message: `A diameter at ${say(beyond.at)} lies beyond the tool’s end (${say(overallLength!)}).`,
    })
  return remarks
}

function aboutOutline(tool: Measured, kind: Kind, say: Say): Remark[] {
  const { outline } = tool
  if (!kind.outline || !outline) return []
  const remarks: Remark[] = []
  if (selfCrossing(outline))
    remarks.push({ field: 'outline', level: 'doubt', message: 'The outline crosses itself: look at its points again.' })
  const box = outlineBounds(outline)
  const sizes = { width: box.maxX - box.minX, length: box.maxY - box.minY, height: box.maxY - box.minY }
  for (const [key, size] of Object.entries(sizes)) {
    const measured = tool.measures[key]
    if (measured === undefined || Math.abs(measured - size) <= OUTLINE_OFF) continue
    remarks.push({
      field: key,
      level: 'doubt',
      message: `The outline is ${say(size)} there, the figure says ${say(measured)}.`,
    })
  }
  return remarks
}

function aboutMass({ mass, massWithBattery }: Measured): Remark[] {
  if (mass == null || massWithBattery == null || massWithBattery > mass) return []
  return [{ field: 'mass', level: 'doubt', message: 'With its battery it can’t be lighter than without.' }]
}

/**
 * What is to be said about a tool's figures: sizes that can't be, sizes out of the ordinary, contradictions.
 * @param say writes a length in the reader's unit
 */
export function remarksOn(tool: Measured, say: Say): Remark[] {
  const kind = kindOf(tool.kind)
  if (!kind) return []
  const remarks: Remark[] = []
  for (const field of kind.fields) {
    const value = tool.measures[field.key]
    if (value === undefined) continue
    const error = figureError(field, value)
    if (error) remarks.push({ field: field.key, level: 'wrong', message: `${field.label}: ${error}` })
    else if (value < field.sane[0] || value > field.sane[1]) {
      const usual = `${say(field.sane[0])} to ${say(field.sane[1])}`
      remarks.push({ field: field.key, level: 'doubt', message: `Unusual: mostly ${usual}. Look again.` })
    }
  }
  for (const contradiction of kind.contradictions(tool)) {
    for (const field of contradiction.fields) {
      remarks.push({ field, level: 'doubt', message: contradiction.message(say) })
    }
  }
  return [...remarks, ...aboutProfile(tool, kind, say), ...aboutOutline(tool, kind, say), ...aboutMass(tool)]
}

/** With an outline, the figures that only say how wide and high it is are known. */
const knownByOutline = (kind: Kind, tool: Measured, key: string) =>
  Boolean(kind.outline && tool.outline) && ['width', 'height', 'length'].includes(key)

/** Labels of what a tool still lacks before anything can be planned for it. */
export function unmeasured(tool: Measured): string[] {
  const kind = kindOf(tool.kind)
  if (!kind) return []
  const fields = kind.fields.filter(
    (f) => !f.optional && tool.measures[f.key] === undefined && !knownByOutline(kind, tool, f.key),
  )
  return [...fields.map((f) => f.label), ...(kind.outline === 'needed' && !tool.outline ? ['Outline'] : [])]
}
