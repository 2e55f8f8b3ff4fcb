/** Between which figures a cell lies, and what an empty one means; absent where there must be a figure. */
interface Limits {
  min: number
  max: number
  usual: number
  empty?: string
}

/** What stands in one column of a list of the shop. Lengths mm, angles degrees, weights kg, forces N. */
export type Column = {
  key: string
  label: string
  /** asked for where some row has this answer in another column */
  only?: { key: string; value: string }
} & (
  | { type: 'name' }
  | { type: 'text' }
  | { type: 'places' }
  | { type: 'material' }
  | { type: 'option'; values: readonly string[] }
  | { type: 'flag' }
  | ({ type: 'length' } & Limits)
  | ({ type: 'angle' } & Limits)
  | ({ type: 'mass' } & Limits)
  | ({ type: 'force' } & Limits)
  | ({ type: 'number' } & Limits)
)

/** One list of what a shop has. */
export interface ListDeclaration {
  title: string
  /** what one row is called */
  one: string
  about: string
  group: 'Cutting' | 'Boards' | 'Fixing'
  columns: readonly Column[]
}

const length = <K extends string>(key: K, label: string, [min, max]: readonly [number, number], usual: number) =>
  ({ key, label, type: 'length', min, max, usual }) as const
const maybe = <K extends string>(key: K, label: string, [min, max]: readonly [number, number], empty: string) =>
  ({ key, label, type: 'length', min, max, usual: min, empty }) as const
const option = <K extends string, V extends string>(key: K, label: string, values: readonly V[]) =>
  ({ key, label, type: 'option', values }) as const
const name = { key: 'name', label: 'Name', type: 'name' } as const
const material = { key: 'material', label: 'Material', type: 'material' } as const
const toBuy = { key: 'toBuy', label: 'To buy', type: 'flag' } as const
const grain = option('grain', 'Grain', ['along its length', 'along its width', 'none'])

/** How a material's strength is reckoned. */
export const MATERIAL_KINDS = [
  'softwood',
  'hardwood',
  'ply',
  'OSB',
  'MDF',
  'particle board',
  'plastic',
  'metal',
] as const

/**
 * Every list of what a shop has, besides its bits. The shop's page, the checks of what comes in and the file format all
 * read this; a new column is one new entry.
 */
export const LISTS = {
  cutters: {
    title: 'Router cutters',
    one: 'cutter',
    about: 'Size and reach as they are; a groove deeper than the cutting length is not offered.',
    group: 'Cutting',
    columns: [
      name,
      option('kind', 'Kind', ['straight', 'keyhole', 'round-over', 'chamfer', 'cove', 'rabbet', 'dovetail']),
      length('diameter', 'Diameter', [1, 100], 12),
      maybe('cuttingLength', 'Cutting length', [1, 120], 'not measured'),
      length('shank', 'Shank', [3, 20], 8),
      toBuy,
    ],
  },
  saws: {
    title: 'Saws',
    one: 'saw',
    about: 'The kerf as it is: make a test cut and measure it.',
    group: 'Cutting',
    columns: [
      name,
      option('kind', 'Kind', [
        'table saw',
        'track saw',
        'circular saw',
        'mitre saw',
        'band saw',
        'jigsaw',
        'scroll saw',
        'handsaw',
      ]),
      length('kerf', 'Kerf', [0.2, 8], 2.4),
      maybe('greatestRip', 'Greatest rip', [10, 3000], 'no fence'),
      maybe('greatestCrosscut', 'Greatest cross-cut', [10, 3000], 'any'),
      maybe('greatestDepth', 'Greatest depth', [5, 500], 'any'),
      { key: 'tilt', label: 'Tilts to', type: 'angle', min: 0, max: 60, usual: 45, empty: 'does not tilt' },
      option('tiltsTo', 'To the', ['left', 'right', 'either side']),
      toBuy,
    ],
  },
  machines: {
    title: 'Other machines and tools',
    one: 'machine',
    about: 'What decides whether a board can be made: throat and stroke of the drill press, the guide you drill with.',
    group: 'Cutting',
    columns: [
      name,
      option('kind', 'Kind', [
        'drill press',
        'hand drill',
        'drill guide',
        'router',
        'router table',
        'thickness planer',
        'jointer',
        'sander',
        'lathe',
        'brad nailer',
        'clamp',
      ]),
      maybe('throat', 'Throat', [20, 1500], 'any'),
      maybe('stroke', 'Stroke or reach', [5, 2500], 'any'),
      toBuy,
    ],
  },
  stock: {
    title: 'Boards, sheets, rods and pipe',
    one: 'kind of stock',
    about: 'What you can buy or have by the length. Thickness as it really is; of rods and pipe, the diameter.',
    group: 'Boards',
    columns: [
      name,
      option('form', 'Form', ['board', 'sheet', 'rod', 'pipe']),
      material,
      length('thickness', 'Thickness as it really is', [1, 200], 18),
      maybe('length', 'Length', [50, 20000], 'any'),
      maybe('width', 'Width', [5, 5000], 'any'),
      { ...maybe('wall', 'Wall of a pipe', [0.3, 40], 'no pipe'), only: { key: 'form', value: 'pipe' } },
      grain,
      { key: 'price', label: 'Price of one', type: 'number', min: 0, max: 100000, usual: 0, empty: 'not known' },
    ],
  },
  offcuts: {
    title: 'Offcuts in the bin',
    one: 'offcut',
    about:
      'Single pieces with their true sizes. They are used before anything is bought. Knots, splits and nails are kept clear of: from where to where along the piece, and across it where they don’t go all the way.',
    group: 'Boards',
    columns: [
      name,
      option('form', 'Form', ['board', 'sheet', 'rod', 'pipe']),
      material,
      length('thickness', 'Thickness as it really is', [1, 200], 18),
      length('length', 'Length', [20, 20000], 400),
      maybe('width', 'Width', [5, 5000], 'a rod'),
      grain,
      { key: 'noGo', label: 'Kept clear', type: 'places' },
      { key: 'note', label: 'Knots, splits, nails', type: 'text' },
    ],
  },
  materials: {
    title: 'Materials',
    one: 'material',
    about: 'What strength, sag and weight are reckoned with. Put your own figures in where you know better.',
    group: 'Boards',
    columns: [
      name,
      option('kind', 'Kind', MATERIAL_KINDS),
      { key: 'stiffness', label: 'E, GPa', type: 'number', min: 0.1, max: 250, usual: 10 },
      { key: 'strength', label: 'Bending strength, MPa', type: 'number', min: 1, max: 1000, usual: 60 },
      { key: 'density', label: 'Density, kg/m³', type: 'number', min: 50, max: 9000, usual: 500 },
      { key: 'source', label: 'Source', type: 'text' },
    ],
  },
  screws: {
    title: 'Screws',
    one: 'kind of screw',
    about: 'By gauge number; the diameter follows from it.',
    group: 'Fixing',
    columns: [
      name,
      { key: 'gauge', label: 'Gauge number', type: 'number', min: 0, max: 24, usual: 8 },
      length('length', 'Length', [6, 300], 40),
      option('head', 'Head', ['countersunk', 'pan', 'washer']),
      toBuy,
    ],
  },
  brads: {
    title: 'Brads and pins',
    one: 'kind of brad',
    about: 'They hold while glue sets.',
    group: 'Fixing',
    columns: [name, length('thickness', 'Thickness', [0.4, 4], 1.2), length('length', 'Length', [8, 100], 30), toBuy],
  },
  magnets: {
    title: 'Magnets',
    one: 'kind of magnet',
    about: 'Discs by size and remanence; a pull test replaces what is reckoned.',
    group: 'Fixing',
    columns: [
      name,
      length('diameter', 'Diameter', [2, 80], 10),
      length('thickness', 'Thickness', [0.5, 40], 5),
      { key: 'remanence', label: 'Remanence, T', type: 'number', min: 0.1, max: 1.6, usual: 1.3 },
      toBuy,
    ],
  },
  magnetStrips: {
    title: 'Magnetic strips',
    one: 'magnetic strip',
    about:
      'Bars that are bought with their magnets in them and screwed on. The pull as the maker says, or as a pull test says.',
    group: 'Fixing',
    columns: [
      name,
      length('length', 'Length', [50, 2000], 450),
      length('width', 'Width', [5, 100], 24),
      length('thickness', 'Thickness', [2, 40], 14),
      { key: 'pull', label: 'Pull of 100 mm', type: 'force', min: 1, max: 2000, usual: 150 },
      { key: 'mass', label: 'Weight', type: 'mass', min: 0.01, max: 20, usual: 0.6, empty: 'not weighed' },
      toBuy,
    ],
  },
  glues: {
    title: 'Glue',
    one: 'glue',
    about: 'While it sets, other work is done: the times go into the steps.',
    group: 'Fixing',
    columns: [
      name,
      { key: 'openTime', label: 'Open time, min', type: 'number', min: 0.1, max: 240, usual: 10 },
      { key: 'clampTime', label: 'Clamped for, min', type: 'number', min: 0.1, max: 2880, usual: 45 },
      option('water', 'Stands', ['dry', 'damp', 'wet']),
      toBuy,
    ],
  },
} as const satisfies Record<string, ListDeclaration>

export type ListKey = keyof typeof LISTS
export const listKeys = Object.keys(LISTS) as ListKey[]

type Cell<C> = C extends { type: 'name' | 'text' | 'places' | 'material' }
  ? string
  : C extends { type: 'option'; values: readonly (infer V)[] }
    ? V
    : C extends { type: 'flag' }
      ? boolean
      : C extends { empty: string }
        ? number | null
        : number

/** A row of one of the shop's lists. */
export type Row<L extends ListKey> = { id: string } & {
  -readonly [C in (typeof LISTS)[L]['columns'][number] as C['key']]: Cell<C>
}

/** Any row, by column key. */
export type AnyRow = { id: string } & Record<string, string | number | boolean | null>

/** What a column of a new row holds. */
export const usualCell = (column: Column): string | number | boolean | null => {
  if (column.type === 'option') return column.values[0]!
  if (column.type === 'flag') return false
  if ('usual' in column) return column.empty === undefined ? column.usual : null
  return ''
}

/** A row with everything that was left out filled in. */
export const filledRow = (list: ListKey, given: Record<string, unknown>): Record<string, unknown> => ({
  ...Object.fromEntries((LISTS[list].columns as readonly Column[]).map((c) => [c.key, usualCell(c)])),
  ...given,
})
