import type { Row } from './lists'

export type Material = Row<'materials'>

const HANDBOOK = 'USDA Wood Handbook, FPL-GTR-282, table 5-3, 12 % moisture'
const SHEETS = 'working value for sheets; the maker’s data are better'

/** kg/m3 at 12 % moisture from the specific gravity that the handbook gives. */
const fromGravity = (gravity: number) => Math.round(1120 * gravity)

const wood = (
  name: string,
  kind: 'softwood' | 'hardwood',
  [stiffness, strength, gravity]: readonly [number, number, number],
): Material => ({
  id: name.replace(/[^a-z]+/gi, '-').toLowerCase(),
  name,
  kind,
  stiffness,
  strength,
  density: fromGravity(gravity),
  source: HANDBOOK,
})

const sheet = (
  name: string,
  kind: Material['kind'],
  [stiffness, strength, density]: readonly [number, number, number],
): Material => ({
  id: name.replace(/[^a-z]+/gi, '-').toLowerCase(),
  name,
  kind,
  stiffness,
  strength,
  density,
  source: SHEETS,
})

/** What a shop starts with; E in GPa, bending strength in MPa, density in kg/m3. All of it can be changed. */
export const usualMaterials = (): Material[] => [
  wood('eastern white pine', 'softwood', [8.5, 59, 0.35]),
  wood('ponderosa pine', 'softwood', [8.9, 65, 0.4]),
  wood('loblolly pine', 'softwood', [12.3, 88, 0.51]),
  wood('Douglas-fir', 'softwood', [13.4, 85, 0.48]),
  wood('western redcedar', 'softwood', [7.7, 52, 0.32]),
  wood('Sitka spruce', 'softwood', [10.8, 70, 0.4]),
  wood('yellow-poplar', 'hardwood', [10.9, 70, 0.42]),
  wood('black cherry', 'hardwood', [10.3, 85, 0.5]),
  wood('black walnut', 'hardwood', [11.6, 101, 0.55]),
  wood('red maple', 'hardwood', [11.3, 92, 0.54]),
  wood('sugar maple', 'hardwood', [12.6, 109, 0.63]),
  wood('northern red oak', 'hardwood', [12.5, 99, 0.63]),
  wood('white oak', 'hardwood', [12.3, 105, 0.68]),
  wood('white ash', 'hardwood', [12.0, 103, 0.6]),
  wood('yellow birch', 'hardwood', [13.9, 114, 0.62]),
  sheet('softwood ply', 'ply', [8, 30, 500]),
  sheet('birch ply', 'ply', [9.5, 45, 680]),
  sheet('MDF', 'MDF', [3, 25, 740]),
  sheet('OSB', 'OSB', [4, 18, 620]),
  sheet('particle board', 'particle board', [2.5, 11, 650]),
]

/**
 * The material of this name among those of a shop. A name that says less than the list, such as 'pine', is taken as the
 * weakest one that it could mean. Undefined where nothing is called so: then its strength is not known.
 */
export function materialOf(materials: readonly Material[], name: string): Material | undefined {
  const words = name.trim().toLowerCase().split(/\s+/).filter(Boolean)
  const called = materials.find((m) => m.name.toLowerCase() === words.join(' '))
  if (called || words.length === 0) return called
  const could = materials.filter((m) => {
    const own = m.name.toLowerCase().split(/[\s-]+/)
    return words.every((w) => own.includes(w))
  })
  return could.reduce<Material | undefined>((weakest, m) => (weakest && weakest.strength <= m.strength ? weakest : m), undefined) // prettier-ignore
}

/** Density of a part where its material is not known: a light hardwood, kg/m³. */
const UNKNOWN_DENSITY = 600

/** Density of a material by its name, kg/m³; a light hardwood's where it is not known. */
export const densityOf = ({ materials }: { materials: readonly Material[] }, material: string): number =>
  materialOf(materials, material)?.density ?? UNKNOWN_DENSITY
