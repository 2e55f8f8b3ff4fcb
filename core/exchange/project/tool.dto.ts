import 'reflect-metadata'
import { kindOf, allKinds } from '../../footprint/kinds'
import { SURENESS, USES, type Sureness, type Tool, type Use } from '../../footprint/tool'
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
    const error = sizeError(size)
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
  @Checked(massError) mass: number | null = null
  @Checked((v) => oneOf(v, USES, 'how often it is used')) use: Use = 'weekly'
  @Checked(textError('the note', LONGEST_NOTE)) note: string = ''
}
