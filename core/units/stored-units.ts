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
