import 'reflect-metadata'
import { Transform, Type } from 'class-transformer'
import { ArrayMaxSize, IsArray, IsBoolean, ValidateNested } from 'class-validator'
import { filledRow, listKeys, type ListKey, type Row } from '../../shop/lists'
import { SETTINGS, settingKeys, usualSettings, type SettingKey } from '../../shop/settings'
import { BIT_KINDS, BORE_LIMITS, DEPTH_LIMITS, type Bit, type BitKind, type Shop } from '../../shop/shop'
import { usualShop } from '../../shop/usual'
import { INCH_GRIDS, MM_GRIDS, type LengthFormat } from '../../units/format-length'
import { sizeError } from '../../units/length'
import { STORED_IN } from '../../units/stored-units'
import { Checked, isRecord, nameError, oneOf } from './checked'
import { listError } from './list-rows'

function settingsError(value: unknown): string | null {
  if (!isRecord(value)) return 'settings are written as {"setting": number}.'
  for (const [key, number] of Object.entries(value)) {
    if (!settingKeys.includes(key as SettingKey)) return `there is no setting called ${key.slice(0, 40)}.`
    const { label, min, max, quantity } = SETTINGS[key as SettingKey]
    if (typeof number !== 'number' || !(number >= min && number <= max))
      return `${label} lies between ${min} and ${`${max} ${STORED_IN[quantity]}`.trim()}.`
  }
  return null
}

export const MOST_BITS = 200

const boreError = (value: unknown) => sizeError(value, { min: BORE_LIMITS[0], max: BORE_LIMITS[1] })
const depthError = (value: unknown) => sizeError(value, { min: DEPTH_LIMITS[0], max: DEPTH_LIMITS[1] })

/** A bit as it comes in. */
export class BitDto implements Bit {
  @Checked((v) => oneOf(v, BIT_KINDS, 'the kind of bit')) kind: BitKind = 'forstner'
  @Checked(boreError) diameter!: number
  @Checked((v) => (v === null ? null : boreError(v))) testBore: number | null = null
  @Checked((v) => (v === null ? null : depthError(v))) depth: number | null = null
  @IsBoolean({ message: 'toBuy is true or false.' }) toBuy: boolean = false
}

function twice(bits: unknown): string | null {
  const seen = new Set<string>()
  for (const bit of Array.isArray(bits) ? (bits as Bit[]) : []) {
    const name = `${bit?.kind} ${bit?.diameter}`
    if (seen.has(name)) return `the bit ${name} stands twice.`
    seen.add(name)
  }
  return null
}

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
  @Checked(twice)
  @ValidateNested({ each: true })
  @Type(() => BitDto)
  bits: BitDto[] = []

  @Checked(listError('cutters')) cutters: Row<'cutters'>[] = []
  @Checked(listError('saws')) saws: Row<'saws'>[] = []
  @Checked(listError('machines')) machines: Row<'machines'>[] = []
  @Checked(listError('stock')) stock: Row<'stock'>[] = []
  @Checked(listError('offcuts')) offcuts: Row<'offcuts'>[] = []
  @Checked(listError('materials')) materials: Row<'materials'>[] = []
  @Checked(listError('screws')) screws: Row<'screws'>[] = []
  @Checked(listError('brads')) brads: Row<'brads'>[] = []
  @Checked(listError('magnets')) magnets: Row<'magnets'>[] = []
  @Checked(listError('magnetStrips')) magnetStrips: Row<'magnetStrips'>[] = []
  @Checked(listError('glues')) glues: Row<'glues'>[] = []
}

/** Rows with what was left out filled in, an id too; anything else as it is, for the check to name. */
const rowsFilled = (list: ListKey, rows: unknown): unknown =>
  Array.isArray(rows)
    ? rows.map((row: unknown, i) => (isRecord(row) ? filledRow(list, { id: `${list}-${i + 1}`, ...row }) : row))
    : rows

/**
 * Fills in what a hand-written shop may leave out: bits as bare diameters, whole lists as they are usual with its unit,
 * what a row leaves out, and settings as the schema says, whatever the unit.
 */
export function filledShop(data: unknown): unknown {
  if (!isRecord(data)) return data
  const usual = usualShop('', data.unit === 'in' ? 'in' : 'mm')
  const bits = Array.isArray(data.bits)
    ? data.bits.map((b: unknown) => (typeof b === 'number' ? { diameter: b } : b))
    : data.bits
  const lists = Object.fromEntries(
    listKeys.map((list) => [list, data[list] === undefined ? usual[list] : rowsFilled(list, data[list])]),
  )
  const settings =
    data.settings === undefined || isRecord(data.settings) ? { ...usualSettings(), ...data.settings } : data.settings
  return { ...data, settings, bits: bits ?? usual.bits, ...lists }
}
