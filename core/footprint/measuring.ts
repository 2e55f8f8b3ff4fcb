import { sizeError } from '../units/length'
import { kindOf } from './kinds'
import type { Say } from './kind'
import type { Tool } from './tool'

/** Something to tell beside a figure of a card. */
export interface Remark {
  field: string
  /** `wrong`: can't be used; `doubt`: kept and used, but look again */
  level: 'wrong' | 'doubt'
  message: string
}

/**
 * What is to be said about a tool's figures: sizes that can't be, sizes out of the ordinary, contradictions.
 * @param say writes a length in the reader's unit
 */
export function remarksOn(tool: Pick<Tool, 'kind' | 'measures' | 'options'>, say: Say): Remark[] {
  const kind = kindOf(tool.kind)
  if (!kind) return []
  const remarks: Remark[] = []
  for (const field of kind.fields) {
    const value = tool.measures[field.key]
    if (value === undefined) continue
    const error = sizeError(value)
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
  return remarks
}

/** Labels of the figures a tool still lacks before anything can be planned for it. */
export function unmeasured(tool: Pick<Tool, 'kind' | 'measures' | 'options'>): string[] {
  const kind = kindOf(tool.kind)
  if (!kind) return []
  return kind.fields.filter((f) => !f.optional && tool.measures[f.key] === undefined).map((f) => f.label)
}
