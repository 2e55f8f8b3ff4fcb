import fc from 'fast-check'
import { listKeys, LISTS, type AnyRow, type Column } from '#core/shop/lists'
import type { SettingDeclaration } from '#core/shop/setting'
import { SETTINGS } from '#core/shop/settings'
import { BIT_KINDS, newBit, type Shop } from '#core/shop/shop'
import { OUTFITS, usualShop } from '#core/shop/usual'

/** The shops that one begins with. */
export const usualShops: readonly Shop[] = OUTFITS.flatMap((outfit) => [
  usualShop('Shop', 'mm', outfit),
  usualShop('Shop', 'in', outfit),
])

/** One of the things, or most often what it is now. */
const seldom = <T>(now: T, other: fc.Arbitrary<T>, often = 5): fc.Arbitrary<T> =>
  fc.oneof({ weight: often, arbitrary: fc.constant(now) }, { weight: 1, arbitrary: other })

const within = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true })

/** What may stand in a cell, as the shop's page takes it. */
function anyCell(column: Column, now: AnyRow[string]): fc.Arbitrary<AnyRow[string]> {
  if (column.type === 'option') return seldom(now, fc.constantFrom(...column.values))
  if (column.type === 'flag') return seldom(now, fc.boolean())
  if (!('min' in column)) return fc.constant(now)
  const other: fc.Arbitrary<AnyRow[string]> = within(column.min, column.max)
  return seldom(now, column.empty === undefined ? other : fc.oneof(other, fc.constant(null)))
}

const anyRow = (columns: readonly Column[], row: AnyRow): fc.Arbitrary<AnyRow> =>
  fc
    .record(Object.fromEntries(columns.map((c) => [c.key, anyCell(c, row[c.key]!)])))
    .map((cells) => ({ ...cells, id: row.id }))

/** A part of a list, each row of it as likely as not changed a little. */
const anyList = (columns: readonly Column[], rows: readonly AnyRow[], least: number): fc.Arbitrary<AnyRow[]> =>
  fc
    .subarray([...rows], { minLength: Math.min(least, rows.length) })
    .chain((some) => fc.tuple(...some.map((row) => anyRow(columns, row))))

const anySettings = (now: Shop['settings']): fc.Arbitrary<Shop['settings']> =>
  fc.record(
    Object.fromEntries(
      (Object.entries(SETTINGS) as [keyof Shop['settings'], SettingDeclaration][]).map(([key, { min, max }]) => [
        key,
        seldom(now[key], within(min, max), 15),
      ]),
    ),
  ) as fc.Arbitrary<Shop['settings']>

const anyBits = (now: Shop['bits']): fc.Arbitrary<Shop['bits']> =>
  fc
    .tuple(
      fc.subarray(now),
      fc.array(fc.record({ kind: fc.constantFrom(...BIT_KINDS), diameter: within(1, 100) }), { maxLength: 3 }),
    )
    .map(([some, more]) => [...some, ...more.map((b) => newBit(b.kind, b.diameter))])

/** A shop such as its page lets one have: some of what a usual one has, some of it other, some settings other. */
export const oddShop: fc.Arbitrary<Shop> = fc.constantFrom(...usualShops).chain((shop) =>
  fc
    .record({
      settings: anySettings(shop.settings),
      bits: anyBits(shop.bits),
      lists: fc.record(
        Object.fromEntries(
          listKeys.map((list) => {
            const rows = shop[list] as unknown as AnyRow[]
            // what a board is made of is there as long as the board is; with nothing to make one of nothing is planned
            if (list === 'materials') return [list, fc.constant(rows)]
            return [list, anyList(LISTS[list].columns, rows, list === 'stock' ? Math.ceil(rows.length / 2) : 0)]
          }),
        ),
      ),
    })
    .map(({ settings, bits, lists }) => ({ ...shop, ...lists, settings, bits }) as Shop),
)
