import type { Measured, Missing } from '../../footprint/kind'
import { part } from '../../footprint/neck'
import type { Tool } from '../../footprint/tool'

const NEEDS = ['buttonDiameter', 'shaftDiameter', 'backToButton', 'bodyDepth', 'bodyWidth']

/** What a notch feels of something with a button on its back; mm. */
export interface ButtonEnvelope {
  half: Measured
  shaft: Measured
  button: Measured
  /** from its back to the inside of the button: what the plate goes into */
  neck: Measured
  depth: Measured
}

/** The envelope of something that hangs by a button; null for a kind that has none. */
export function buttonEnvelope({
  kind,
  measures: m,
}: Pick<Tool, 'kind' | 'measures'>): ButtonEnvelope | Missing | null {
  if (kind !== 'buttoned') return null
  const missing = NEEDS.filter((key) => m[key] === undefined)
  if (missing.length > 0) return { missing }
  return {
    half: part(m, 'bodyWidth', 0.5),
    shaft: part(m, 'shaftDiameter'),
    button: part(m, 'buttonDiameter'),
    neck: part(m, 'backToButton'),
    depth: part(m, 'bodyDepth'),
  }
}

/** How thick a button is where nobody measured it, by its diameter. */
export const THICK_PART = 0.5

/** How thick a button is taken to be. */
export const buttonThick = ({ buttonThickness, buttonDiameter }: Record<string, number>): number =>
  buttonThickness ?? THICK_PART * buttonDiameter!
