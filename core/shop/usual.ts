import { filledRow, type ListKey, type Row } from './lists'
import { usualMaterials } from './materials'
import { newShopSettings } from './inch-settings'
import { newBit, type Bit, type BitKind, type Shop } from './shop'

export const OUTFITS = ['hand', 'small', 'full'] as const

/** How well a new shop is equipped to begin with. */
export type Outfit = (typeof OUTFITS)[number]

export const OUTFIT_SAYS: Record<Outfit, { label: string; has: string }> = {
  hand: { label: 'a few hand tools', has: 'hand drill, handsaw, jigsaw, a dozen or so bits' },
  small: { label: 'a small powered shop', has: 'drill press, circular saw, jigsaw, router, a drawer of bits' },
  full: { label: 'well equipped', has: 'table saw, band saw, mitre saw, router table, bits in every size' },
}

const inch = (n: number) => n * 25.4

type Given<L extends ListKey> = Partial<Row<L>> & { name: string }

/** Rows by name: ids from the names, everything left out as usual. */
function rows<L extends ListKey>(list: L, given: readonly Given<L>[]): Row<L>[] {
  return given.map((row) => {
    const id = row.name
      .replace(/[^a-z0-9]+/gi, '-')
      .replace(/^-|-$/g, '')
      .toLowerCase()
    return filledRow(list, { id, ...row }) as unknown as Row<L>
  })
}

/** Bits that pilot holes are bored with. */
const PILOTS = { mm: [2, 2.5, 3], in: [5 / 64, 3 / 32, 7 / 64] }

const SIZES: Record<Outfit, Record<'mm' | 'in', Partial<Record<BitKind, number[]>>>> = {
  hand: {
    mm: { twist: PILOTS.mm, 'brad-point': [6, 8, 10], spade: [12, 16, 20, 22, 25, 28, 32, 35, 38] },
    in: {
      twist: PILOTS.in,
      'brad-point': [1 / 4, 3 / 8],
      spade: [1 / 2, 5 / 8, 3 / 4, 7 / 8, 1, 1.125, 1.25, 1.375, 1.5],
    },
  },
  small: {
    mm: {
      twist: PILOTS.mm,
      'brad-point': [4, 6, 8, 10],
      forstner: [12, 16, 20, 22, 25, 28, 30, 32, 35, 38, 40],
    },
    in: {
      twist: PILOTS.in,
      'brad-point': [1 / 8, 1 / 4, 3 / 8],
      forstner: [1 / 2, 5 / 8, 3 / 4, 7 / 8, 1, 1.125, 1.25, 1.375, 1.5, 1.625],
    },
  },
  full: {
    mm: {
      twist: PILOTS.mm,
      'brad-point': [3, 4, 5, 6, 8, 10],
      forstner: [12, 14, 15, 16, 18, 20, 22, 24, 25, 26, 28, 30, 32, 34, 35, 36, 38, 40, 45, 50],
      'hole saw': [60, 68, 76],
    },
    in: {
      twist: PILOTS.in,
      'brad-point': [1 / 8, 3 / 16, 1 / 4, 5 / 16, 3 / 8],
      forstner: Array.from({ length: 13 }, (_, i) => 0.5 + i / 8).filter((n) => n <= 2),
      'hole saw': [2.25, 2.5, 3],
    },
  },
}

function bits(outfit: Outfit, unit: 'mm' | 'in'): Bit[] {
  const sizes = Object.entries(SIZES[outfit][unit]) as [BitKind, number[]][]
  return sizes.flatMap(([kind, list]) => list.map((n) => newBit(kind, unit === 'mm' ? n : inch(n))))
}

function saws(outfit: Outfit, mm: boolean): Row<'saws'>[] {
  const hand: Given<'saws'>[] = [
    { name: 'Panel saw', kind: 'handsaw', kerf: 1.6 },
    { name: 'Jigsaw', kind: 'jigsaw', kerf: 1.5, greatestDepth: mm ? 65 : inch(2.5), tilt: 45, tiltsTo: 'either side' },
  ]
  const circular: Given<'saws'> = {
    name: 'Circular saw with a guide',
    kind: 'track saw',
    kerf: 2.2,
    greatestDepth: mm ? 55 : inch(2.125),
    tilt: 45,
    tiltsTo: 'right',
  }
  const full: Given<'saws'>[] = [
    {
      name: 'Table saw',
      kind: 'table saw',
      kerf: 2.6,
      greatestRip: mm ? 610 : inch(24),
      greatestCrosscut: mm ? 610 : inch(24),
      greatestDepth: mm ? 75 : inch(3),
      tilt: 45,
      tiltsTo: 'left',
    },
    {
      name: 'Mitre saw',
      kind: 'mitre saw',
      kerf: 2.4,
      greatestCrosscut: mm ? 300 : inch(12),
      greatestDepth: mm ? 65 : inch(2.5),
      tilt: 45,
      tiltsTo: 'left',
    },
    {
      name: 'Band saw',
      kind: 'band saw',
      kerf: 1,
      greatestRip: mm ? 300 : inch(12),
      greatestDepth: mm ? 160 : inch(6),
    },
  ]
  return rows(
    'saws',
    outfit === 'hand' ? hand : outfit === 'small' ? [...hand, circular] : [...hand, circular, ...full],
  )
}

function machines(outfit: Outfit, mm: boolean): Row<'machines'>[] {
  const drill: Given<'machines'>[] = [
    { name: 'Hand drill', kind: 'hand drill' },
    { name: 'Drill guide', kind: 'drill guide', stroke: mm ? 75 : inch(3) },
  ]
  const small: Given<'machines'>[] = [
    { name: 'Drill press', kind: 'drill press', throat: mm ? 125 : inch(5), stroke: mm ? 60 : inch(2.375) },
    { name: 'Router', kind: 'router' },
    { name: 'Sander', kind: 'sander' },
  ]
  const full: Given<'machines'>[] = [
    { name: 'Router table', kind: 'router table' },
    { name: 'Thickness planer', kind: 'thickness planer', throat: mm ? 310 : inch(12.25) },
    { name: 'Brad nailer', kind: 'brad nailer' },
  ]
  const clamps: Given<'machines'>[] = [{ name: 'Four bar clamps', kind: 'clamp', stroke: mm ? 600 : inch(24) }]
  return rows('machines', [
    ...drill,
    ...(outfit === 'hand' ? [] : small),
    ...(outfit === 'full' ? full : []),
    ...clamps,
  ])
}

function cutters(outfit: Outfit, mm: boolean): Row<'cutters'>[] {
  if (outfit === 'hand') return []
  const size = (metric: number, imperial: number) => (mm ? metric : inch(imperial))
  const small: Given<'cutters'>[] = [
    {
      name: mm ? 'Straight 12' : 'Straight 1/2',
      kind: 'straight',
      diameter: size(12, 0.5),
      cuttingLength: size(32, 1.25),
    },
    {
      name: mm ? 'Straight 6' : 'Straight 1/4',
      kind: 'straight',
      diameter: size(6, 0.25),
      cuttingLength: size(19, 0.75),
    },
    {
      name: mm ? 'Round-over 6' : 'Round-over 1/4',
      kind: 'round-over',
      diameter: size(24, 1),
      cuttingLength: size(12, 0.5),
    },
  ]
  const full: Given<'cutters'>[] = [
    { name: 'Keyhole', kind: 'keyhole', diameter: size(9.5, 0.375), cuttingLength: size(11, 0.4375) },
    { name: 'Chamfer 45°', kind: 'chamfer', diameter: size(32, 1.25), cuttingLength: size(13, 0.5) },
    { name: 'Rabbet', kind: 'rabbet', diameter: size(32, 1.25), cuttingLength: size(13, 0.5) },
  ]
  return rows('cutters', outfit === 'full' ? [...small, ...full] : small)
}

function stock(mm: boolean): Row<'stock'>[] {
  return rows('stock', [
    mm
      ? {
          id: 'pine-18',
          name: 'Pine board 18',
          material: 'eastern white pine',
          thickness: 18,
          length: 2400,
          width: 140,
        }
      : {
          id: 'pine-1by',
          name: 'Pine one-by',
          material: 'eastern white pine',
          thickness: 19.05,
          length: inch(96),
          width: inch(5.5),
        },
    mm
      ? {
          id: 'birch-ply-18',
          name: 'Birch ply 18',
          form: 'sheet',
          material: 'birch ply',
          thickness: 17.7,
          length: 2440,
          width: 1220,
        }
      : {
          id: 'birch-ply-34',
          name: 'Birch ply 3/4',
          form: 'sheet',
          material: 'birch ply',
          thickness: 18.3,
          length: inch(96),
          width: inch(48),
        },
    mm
      ? {
          id: 'birch-ply-6',
          name: 'Birch ply 6',
          form: 'sheet',
          material: 'birch ply',
          thickness: 5.8,
          length: 2440,
          width: 1220,
        }
      : {
          id: 'birch-ply-14',
          name: 'Birch ply 1/4',
          form: 'sheet',
          material: 'birch ply',
          thickness: 5.2,
          length: inch(96),
          width: inch(48),
        },
    mm
      ? { id: 'dowel-16', name: 'Beech rod 16', form: 'rod', material: 'yellow birch', thickness: 16, length: 1000 }
      : {
          id: 'dowel-58',
          name: 'Birch rod 5/8',
          form: 'rod',
          material: 'yellow birch',
          thickness: inch(0.625),
          length: inch(36),
        },
    mm
      ? { id: 'pipe-50', name: 'Waste pipe 50', form: 'pipe', material: 'PVC', thickness: 50, wall: 1.8, length: 2000 }
      : {
          id: 'pipe-2',
          name: 'Waste pipe 2"',
          form: 'pipe',
          material: 'PVC',
          thickness: 60.3,
          wall: 3.9,
          length: inch(60),
        },
  ])
}

const fixing = (mm: boolean) => ({
  screws: rows('screws', [
    { name: mm ? 'Screw 8 x 40' : 'Screw #8 x 1 5/8', gauge: 8, length: mm ? 40 : inch(1.625) },
    { name: mm ? 'Screw 8 x 30' : 'Screw #8 x 1 1/4', gauge: 8, length: mm ? 30 : inch(1.25) },
    { name: mm ? 'Screw 10 x 60' : 'Screw #10 x 2 1/2', gauge: 10, length: mm ? 60 : inch(2.5) },
    { name: mm ? 'Screw 6 x 25' : 'Screw #6 x 1', gauge: 6, length: mm ? 25 : inch(1) },
  ]),
  brads: rows('brads', [{ name: mm ? 'Brad 30' : 'Brad 1 1/4', thickness: 1.2, length: mm ? 30 : inch(1.25) }]),
  magnets: rows('magnets', [
    { name: mm ? 'Disc 10 x 5' : 'Disc 3/8 x 3/16', diameter: mm ? 10 : inch(0.375), thickness: mm ? 5 : inch(0.1875) },
  ]),
  magnetStrips: rows('magnetStrips', [
    mm
      ? { name: 'Strip 450', length: 450, width: 24, thickness: 14, mass: 0.6, toBuy: true }
      : { name: 'Strip 18 in', length: inch(18), width: inch(1), thickness: inch(0.5625), mass: 0.6, toBuy: true },
  ]),
  glues: rows('glues', [
    { name: 'White glue', openTime: 8, clampTime: 40, water: 'dry' },
    { name: 'Waterproof glue', openTime: 12, clampTime: 240, water: 'wet' },
  ]),
})

/** A new shop: usual settings and materials, and what a shop of its outfit commonly has. */
export function usualShop(name = 'My shop', unit: Shop['unit'] = 'mm', outfit: Outfit = 'small'): Shop {
  const mm = unit === 'mm'
  return {
    name,
    unit,
    gridMm: 0.5,
    gridIn: 16,
    settings: newShopSettings(unit),
    bits: bits(outfit, unit),
    cutters: cutters(outfit, mm),
    saws: saws(outfit, mm),
    machines: machines(outfit, mm),
    stock: stock(mm),
    offcuts: [],
    materials: usualMaterials(),
    ...fixing(mm),
  }
}
