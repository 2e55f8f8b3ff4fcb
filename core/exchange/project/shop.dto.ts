import 'reflect-metadata'
import { Transform, Type } from 'class-transformer'
import { ArrayMaxSize, IsArray, IsBoolean, ValidateNested } from 'class-validator'
import { SETTINGS, settingKeys, usualSettings, type SettingKey } from '../../shop/settings'
import { usualShop, type Bit, type Shop, type Stock } from '../../shop/shop'
import { INCH_GRIDS, MM_GRIDS, type LengthFormat } from '../../units/format-length'
import { sizeError } from '../../units/length'
import { Checked, idError, isRecord, nameError, oneOf } from './checked'

function settingsError(value: unknown): string | null {
  if (!isRecord(value)) return 'settings are written as {"setting": number}.'
  for (const [key, number] of Object.entries(value)) {
    if (!settingKeys.includes(key as SettingKey)) return `there is no setting called ${key.slice(0, 40)}.`
    const { label, min, max } = SETTINGS[key as SettingKey]
    if (typeof number !== 'number' || !(number >= min && number <= max))
      return `${label} lies between ${min} and ${max}.`
  }
  return null
}

/** What a bit may bore, and how thick a board may be; mm. */
export const BORE_LIMITS = [0.5, 300] as const
export const THICKNESS_LIMITS = [1, 200] as const
export const MOST_BITS = 200
export const MOST_STOCK = 200

const boreError = (value: unknown) => sizeError(value, { min: BORE_LIMITS[0], max: BORE_LIMITS[1] })

/** A bit as it comes in. */
export class BitDto implements Bit {
  @Checked(boreError) diameter!: number
  @Checked((v) => (v === null ? null : boreError(v))) testBore: number | null = null
  @IsBoolean({ message: 'toBuy is true or false.' }) toBuy: boolean = false
}

/** A board or sheet as it comes in. */
export class StockDto implements Stock {
  @Checked(idError) id!: string
  @Checked(nameError) name!: string
  @Checked(nameError) material!: string
  @Checked((v) => sizeError(v, { min: THICKNESS_LIMITS[0], max: THICKNESS_LIMITS[1] })) thickness!: number
}

function twice(list: readonly unknown[], what: string): string | null {
  const seen = new Set<unknown>()
  for (const item of list) {
    if (seen.has(item)) return `${what} ${String(item)} stands twice.`
    seen.add(item)
  }
  return null
}

const listed = (value: unknown): unknown[] => (Array.isArray(value) ? value : [])

/** A shop as it comes in; what is left out is taken as usual. */
export class ShopDto implements Shop {
  @Checked(nameError) name: string = 'My shop'
  @Checked((v) => oneOf(v, ['mm', 'in'], 'the unit')) unit: LengthFormat['unit'] = 'mm'
  @Checked((v) => oneOf(v, MM_GRIDS, 'gridMm')) gridMm: LengthFormat['gridMm'] = 0.5
  @Checked((v) => oneOf(v, INCH_GRIDS, 'gridIn')) gridIn: LengthFormat['gridIn'] = 16

  @Checked(settingsError)
  @Transform(({ value }) => (isRecord(value) ? { ...usualSettings(), ...value } : value))
  settings: Record<SettingKey, number> = usualSettings()

  @IsArray({ message: 'bits are a list.' })
  @ArrayMaxSize(MOST_BITS, { message: `at most ${MOST_BITS} bits.` })
  @Checked((v) =>
    twice(
      listed(v).map((b) => (b as Bit)?.diameter),
      'the bit',
    ),
  )
  @ValidateNested({ each: true })
  @Type(() => BitDto)
  bits: BitDto[] = []

  @IsArray({ message: 'stock is a list.' })
  @ArrayMaxSize(MOST_STOCK, { message: `at most ${MOST_STOCK} kinds of board.` })
  @Checked((v) =>
    twice(
      listed(v).map((s) => (s as Stock)?.id),
      'the stock id',
    ),
  )
  @ValidateNested({ each: true })
  @Type(() => StockDto)
  stock: StockDto[] = []
}

/** Fills in what a hand-written shop may leave out: bits as bare diameters, and the usual bits and boards of its unit. */
export function filledShop(data: unknown): unknown {
  if (!isRecord(data)) return data
  const { bits, stock } = usualShop('', data.unit === 'in' ? 'in' : 'mm')
  const own = Array.isArray(data.bits)
    ? data.bits.map((b: unknown) => (typeof b === 'number' ? { diameter: b } : b))
    : data.bits
  return { ...data, bits: own ?? bits, stock: data.stock ?? stock }
}
