import { drilled, type Board, type HolderModel, type Opening } from '../../model/model'
import { pieceAs } from '../../model/work'
import type { Step } from './step'

/**
 * What a step makes, as a short word: the same as long as the plan asks for the same, in whatever unit it is shown. So it is
 * told when something was made by a plan that has changed since.
 * @returns '' for a step that makes nothing which has a size
 */
export function madeBy(model: HolderModel, { makes }: Pick<Step, 'makes'>): string {
  const made = makes.map((feature) => shapeOf(model, feature)).filter((shape) => shape !== undefined)
  return made.length === 0 ? '' : digest(JSON.stringify(made, rounded))
}

/** What a feature is like, by the plan; undefined for one that has no size. */
function shapeOf(model: HolderModel, feature: string): unknown {
  const [kind, name = ''] = split(feature, ':')
  if (kind === 'joint') return model.joints.find((j) => String(j.order) === name)?.parts
  if (kind === 'drive') {
    const found = model.fasteners.find((f) => f.id === name)
    return found && [found.name, found.at, found.toward, found.through, found.into]
  }
  const [part, opening] = split(split(name, '#')[0]!, '/')
  const whole = [...model.boards, ...model.rods].find((p) => p.id === part)
  if (!whole) return undefined
  if (kind === 'cut') return pieceAs(whole)
  if (kind === 'slant' && 'pipe' in whole) return [pieceAs(whole), whole.pipe?.slant]
  if (!('openings' in whole)) return undefined
  if (kind === 'mark') return [sizeOf(whole), ...whole.openings.map(openingOf)]
  if (kind === 'outline') return [sizeOf(whole), whole.outline]
  if (kind === 'layers' || kind === 'bevel') return sizeOf(whole)
  const made = whole.openings.find((o) => o.id === opening)
  return made && openingOf(made)
}

const sizeOf = ({ length, width, thickness, layers, bevel }: Board): unknown => [
  length,
  width,
  thickness,
  layers,
  bevel,
]

const openingOf = (o: Opening): unknown => [
  ...[o.centre, o.width, o.radius, o.opensTo, o.depth, o.slant, o.slope, o.dust, o.flare, o.cut],
  ...drilled(o).map((b) => [b.centre, b.diameter]),
]

const split = (text: string, at: string): string[] => {
  const found = text.indexOf(at)
  return found < 0 ? [text] : [text.slice(0, found), text.slice(found + 1)]
}

/** Figures to a tenth of a millimetre or degree. */
const rounded = (_: string, value: unknown): unknown =>
  typeof value === 'number' ? Math.round(value * 10) / 10 : value

/** FNV-1a of 32 bits. */
function digest(text: string): string {
  let hash = 0x811c9dc5
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193)
  return (hash >>> 0).toString(36)
}
