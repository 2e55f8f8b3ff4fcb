/** What figures of each quantity are kept in, and how the formats say it. */
export const STORED_IN = {
  length: 'mm',
  mass: 'kg',
  volume: 'mm³',
  force: 'N',
  stress: 'MPa',
  stiffness: 'GPa',
  density: 'kg/m³',
  angle: 'degrees',
  ratio: '',
  count: '',
} as const

const ALIKE: readonly string[] = ['stress', 'stiffness', 'density'] satisfies (keyof typeof STORED_IN)[]

/** A label with the unit of its quantity, where that is the same in every shop and so isn’t typed. */
export const withUnit = (label: string, quantity: keyof typeof STORED_IN): string =>
  ALIKE.includes(quantity) ? `${label}, ${STORED_IN[quantity]}` : label
