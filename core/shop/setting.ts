import type { STORED_IN } from '../units/stored-units'

/** One number of the shop that figures are derived from. */
export interface SettingDeclaration {
  label: string
  quantity: Exclude<keyof typeof STORED_IN, 'volume' | 'stiffness' | 'count'>
  value: number
  min: number
  max: number
  group: 'Fits' | 'How sure a figure is' | 'Spacing' | 'Limits' | 'Wall strips' | 'Magnets' | 'You'
  /** what it is for, and where the usual value comes from */
  about: string
}

type Declare = (
  group: SettingDeclaration['group'],
  label: string,
  value: number,
  limits: readonly [number, number],
  about: string,
) => SettingDeclaration

const of =
  (quantity: SettingDeclaration['quantity']): Declare =>
  (group, label, value, [min, max], about) => ({ group, label, quantity, value, min, max, about })

/** Settings by what they are: mm, kg, N, MPa, kg/m³, degrees, or a bare number. */
export const length = of('length')
export const mass = of('mass')
export const force = of('force')
export const stress = of('stress')
export const density = of('density')
export const angle = of('angle')
export const ratio = of('ratio')
