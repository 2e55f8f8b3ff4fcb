import 'reflect-metadata'
import { kindOf, allKinds } from '../../footprint/kinds'
import {
  PRESENCES,
  SURENESS,
  USES,
  type Presence,
  type ProfilePoint,
  type Sureness,
  type Tool,
  type Use,
} from '../../footprint/tool'
import { figureError } from '../../footprint/measuring'
import type { Outline } from '../../geometry/outline'
import { MOST_SEGMENTS, outlineError } from '../../geometry/outline-error'
import { sizeError } from '../../units/length'
import { LARGEST_MASS } from '../../units/mass'
import { Checked, idError, isRecord, LONGEST_NAME, LONGEST_NOTE, nameError, oneOf } from './checked'

const fieldsOf = (owner: object) => kindOf((owner as ToolDto).kind)?.fields ?? []

function measuresError(value: unknown, owner: object): string | null {
  if (!isRecord(value)) return 'measures are written as {"field": millimetres}.'
  const fields = fieldsOf(owner)
  for (const [key, size] of Object.entries(value)) {
    const field = fields.find((f) => f.key === key)
    if (!field) return `this kind of tool has no measure called ${key.slice(0, 40)}.`
    const error = figureError(field, size)
    if (error) return `${field.label}: ${error}`
  }
  return null
}

function optionsError(value: unknown, owner: object): string | null {
  if (!isRecord(value)) return 'options are written as {"option": "value"}.'
  const options = kindOf((owner as ToolDto).kind)?.options ?? []
  for (const [key, chosen] of Object.entries(value)) {
    const option = options.find((o) => o.key === key)
    if (!option) return `this kind of tool has no option called ${key.slice(0, 40)}.`
    const error = oneOf(
      chosen,
      option.values.map((v) => v.value),
      option.label,
    )
    if (error) return error
  }
  return null
}

function sureOfError(value: unknown, owner: object): string | null {
  if (!isRecord(value)) return 'sureOf is written as {"field": "rule"}.'
  const fields = fieldsOf(owner)
  for (const [key, sure] of Object.entries(value)) {
    if (!fields.some((f) => f.key === key)) return `this kind of tool has no measure called ${key.slice(0, 40)}.`
    const error = oneOf(sure, SURENESS, 'how sure a figure is')
    if (error) return error
  }
  return null
}

/** How many like tools one card can stand for. */
export const MOST_COUNT = 999
export const MOST_PROFILE = 100
export const LONGEST_OUTLINE = MOST_SEGMENTS

const countError = (value: unknown): string | null =>
  Number.isInteger(value) && (value as number) >= 1 && (value as number) <= MOST_COUNT
    ? null
    : `the count is a whole number from 1 to ${MOST_COUNT}.`

function spreadError(value: unknown, owner: object): string | null {
  if (!isRecord(value)) return 'spread is written as {"field": millimetres}.'
  const fields = fieldsOf(owner)
  for (const [key, spread] of Object.entries(value)) {
    if (!fields.some((f) => f.key === key)) return `this kind of tool has no measure called ${key.slice(0, 40)}.`
    const error = sizeError(spread, { min: 0 })
    if (error) return `${key}: ${error}`
  }
  return null
}

function profileError(value: unknown, owner: object): string | null {
  if (!Array.isArray(value)) return 'a profile is a list of {at, diameter}.'
  if (value.length === 0) return null
  if (kindOf((owner as ToolDto).kind)?.profile === null) return 'this kind of tool has no handle profile.'
  if (value.length > MOST_PROFILE) return `at most ${MOST_PROFILE} diameters in one profile.`
  let last = -1
  for (const [i, p] of value.entries()) {
    const whole = isRecord(p) && Object.keys(p).length === 2
    const error = whole ? (sizeError(p.at, { min: 0 }) ?? sizeError(p.diameter)) : 'it is written as {at, diameter}.'
    if (error) return `diameter ${i + 1}: ${error}`
    if ((p as unknown as ProfilePoint).at <= last) return `diameter ${i + 1}: the heights must rise.`
    last = (p as unknown as ProfilePoint).at
  }
  return null
}

function ownOutlineError(value: unknown, owner: object): string | null {
  if (value === null) return null
  if (kindOf((owner as ToolDto).kind)?.outline === null) return 'no outline is taken from this kind of tool.'
  return outlineError(value)
}

function seenError(value: unknown): string | null {
  if (value === null) return null
  const date = typeof value === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(value) ? new Date(`${value}T00:00:00Z`) : null
  return date && !Number.isNaN(date.getTime()) && date.toISOString().startsWith(value as string)
    ? null
    : 'a date is written as 2026-11-25.'
}

const textError = (what: string, longest: number) => (value: unknown) =>
  typeof value !== 'string'
    ? `${what} must be text.`
    : value.length > longest
      ? `${what} has over ${longest} characters.`
      : null

const massError = (value: unknown): string | null => {
  if (value === null) return null
  if (typeof value !== 'number' || !(value > 0)) return 'a weight is a number of kilograms over nought, or null.'
  return value > LARGEST_MASS ? `more than ${LARGEST_MASS} kg can’t hang on a shop wall.` : null
}

/** A tool as it comes in from a file or over HTTP. */
export class ToolDto implements Tool {
  @Checked(idError) id!: string
  @Checked(nameError) name!: string
  @Checked((v) =>
    oneOf(
      v,
      allKinds.map((k) => k.id),
      'the kind',
    ),
  )
  kind!: string
  @Checked(textError('the group', LONGEST_NAME)) group: string = ''
  @Checked(measuresError) measures: Record<string, number> = {}
  @Checked(optionsError) options: Record<string, string> = {}
  @Checked((v) => oneOf(v, SURENESS, 'how sure a figure is')) sure: Sureness = 'rule'
  @Checked(sureOfError) sureOf: Record<string, Sureness> = {}
  @Checked(countError) count: number = 1
  @Checked(spreadError) spread: Record<string, number> = {}
  @Checked(profileError) profile: ProfilePoint[] = []
  @Checked(ownOutlineError) outline: Outline | null = null
  @Checked(massError) mass: number | null = null
  @Checked((v, owner) =>
    v !== null && kindOf((owner as ToolDto).kind)?.battery === false
      ? 'this kind of tool has no battery.'
      : massError(v),
  )
  massWithBattery: number | null = null
  @Checked((v) => oneOf(v, USES, 'how often it is used')) use: Use = 'weekly'
  @Checked(textError('where it is used', LONGEST_NAME)) usedAt: string = ''
  @Checked((v) => oneOf(v, PRESENCES, 'whether it is there')) presence: Presence = 'here'
  @Checked(seenError) seen: string | null = null
  @Checked(textError('the note', LONGEST_NOTE)) note: string = ''
}
