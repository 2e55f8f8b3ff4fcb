import type { Material } from '../shop/materials'
import type { SettingKey } from '../shop/settings'

/** The setting by which a material sags more in the long run. */
export const creepOf = ({ kind }: Material): SettingKey =>
  kind === 'OSB' ? 'creepOsb' : kind === 'MDF' || kind === 'particle board' ? 'creepFibre' : 'creepWood'
