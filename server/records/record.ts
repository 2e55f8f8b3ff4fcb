import type { ClassConstructor } from 'class-transformer'
import { HolderDto } from '#core/exchange/project/holder.dto'
import { ShopDto, filledShop } from '#core/exchange/project/shop.dto'
import { filledWall, WallDto } from '#core/exchange/project/wall.dto'
import { WorkDto } from '#core/exchange/project/work.dto'
import { ToolDto } from '#core/exchange/project/tool.dto'

export const RECORD_KINDS = ['shops', 'tools', 'holders', 'works', 'walls'] as const
export type RecordKind = (typeof RECORD_KINDS)[number]

export const isRecordKind = (text: unknown): text is RecordKind => RECORD_KINDS.includes(text as RecordKind)

/** What comes with every record besides its own data. */
export interface Stored {
  id: string
  version: number
  createdAt: string
  updatedAt: string
  deleted: boolean
  /** id of the shop it belongs to; absent for a shop */
  shop?: string
}

/** How one kind of record is read in: the class that checks it, and what may be left out. */
export const READERS: Record<
  RecordKind,
  { type: ClassConstructor<object>; fill: (data: unknown) => unknown; one: string }
> = {
  shops: { type: ShopDto, fill: filledShop, one: 'This shop' },
  tools: { type: ToolDto, fill: (data) => data, one: 'This tool' },
  holders: { type: HolderDto, fill: (data) => data, one: 'This holder' },
  works: { type: WorkDto, fill: (data) => data, one: 'This work' },
  walls: { type: WallDto, fill: filledWall, one: 'This wall' },
}
