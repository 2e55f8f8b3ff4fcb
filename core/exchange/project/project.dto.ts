import 'reflect-metadata'
import { Type } from 'class-transformer'
import { ArrayMaxSize, IsArray, ValidateNested } from 'class-validator'
import { Checked, isRecord, oneOf } from './checked'
import { HolderDto } from './holder.dto'
import { filledShop, ShopDto } from './shop.dto'
import { ToolDto } from './tool.dto'
import { WallDto } from './wall.dto'
import { WorkDto } from './work.dto'

export const PROJECT_FORMAT = 'fingerling-project'
export const PROJECT_VERSION = 1
export const MOST_TOOLS = 20000
export const MOST_HOLDERS = 1000
export const MOST_WALLS = 50

const ids = (list: unknown): unknown[] => (Array.isArray(list) ? list.map((x) => (isRecord(x) ? x.id : undefined)) : [])

function sameId(list: unknown): string | null {
  const seen = new Set<unknown>()
  for (const id of ids(list)) {
    if (id !== undefined && seen.has(id)) return `the id ${String(id)} stands twice.`
    seen.add(id)
  }
  return null
}

/** Gives what has no id one from its place in the list, and a holder's bare tool ids the shape of seats. */
const withIds = (letter: string) => (list: unknown) =>
  Array.isArray(list)
    ? list.map((item, i) => (isRecord(item) && item.id === undefined ? { ...item, id: `${letter}${i + 1}` } : item))
    : list

const seatsFilled = (list: unknown): unknown =>
  Array.isArray(list) ? withIds('s')(list.map((seat) => (typeof seat === 'string' ? { tool: seat } : seat))) : list

function knownTools(holders: unknown, owner: object): string | null {
  const known = new Set(ids((owner as ProjectDto).tools))
  for (const holder of Array.isArray(holders) ? (holders as HolderDto[]) : []) {
    for (const seat of Array.isArray(holder?.seats) ? holder.seats : []) {
      if (!known.has(seat?.tool)) return `${holder.name}: no tool in this file has the id ${String(seat?.tool)}.`
    }
  }
  return null
}

function knownHolders(walls: unknown, owner: object): string | null {
  const known = new Set(ids((owner as ProjectDto).holders))
  for (const wall of Array.isArray(walls) ? (walls as WallDto[]) : []) {
    for (const hung of Array.isArray(wall?.hung) ? wall.hung : []) {
      if (!known.has(hung?.holder)) return `${wall.name}: no holder in this file has the id ${String(hung?.holder)}.`
    }
  }
  return null
}

/** A project file: one shop, its tools, its holders, its walls. */
export class ProjectDto {
  @Checked((v) => oneOf(v, [PROJECT_FORMAT], 'the format')) format!: string
  @Checked((v) => oneOf(v, [PROJECT_VERSION], 'formatVersion')) formatVersion!: number

  @ValidateNested({ message: 'an object is expected here.' })
  @Checked((v) => (isRecord(v) ? null : 'an object is expected here.'))
  @Type(() => ShopDto)
  shop: ShopDto = new ShopDto()

  @IsArray({ message: 'tools are a list.' })
  @ArrayMaxSize(MOST_TOOLS, { message: `at most ${MOST_TOOLS} tools in one file.` })
  @Checked(sameId)
  @ValidateNested({ each: true })
  @Type(() => ToolDto)
  tools: ToolDto[] = []

  @IsArray({ message: 'holders are a list.' })
  @ArrayMaxSize(MOST_HOLDERS, { message: `at most ${MOST_HOLDERS} holders in one file.` })
  @Checked(sameId)
  @Checked(knownTools)
  @ValidateNested({ each: true })
  @Type(() => HolderDto)
  holders: HolderDto[] = []

  @IsArray({ message: 'walls are a list.' })
  @ArrayMaxSize(MOST_WALLS, { message: `at most ${MOST_WALLS} walls in one file.` })
  @Checked(sameId)
  @Checked(knownHolders)
  @ValidateNested({ each: true })
  @Type(() => WallDto)
  walls: WallDto[] = []

  /** how far the work on each holder has come; its id is the holder's */
  @IsArray({ message: 'works are a list.' })
  @ArrayMaxSize(MOST_HOLDERS, { message: `at most ${MOST_HOLDERS} works in one file.` })
  @Checked(sameId)
  @ValidateNested({ each: true })
  @Type(() => WorkDto)
  works: WorkDto[] = []
}

/** Fills in the ids a hand-written file may leave out. */
export function filledIn(data: unknown): unknown {
  if (!isRecord(data)) return data
  const holders = withIds('h')(data.holders)
  return {
    ...data,
    shop: filledShop(data.shop ?? {}),
    ...(data.walls === undefined ? {} : { walls: withIds('w')(data.walls) }),
    ...(data.tools === undefined ? {} : { tools: withIds('t')(data.tools) }),
    ...(data.holders === undefined
      ? {}
      : {
          holders: Array.isArray(holders)
            ? holders.map((h) => (isRecord(h) && h.seats !== undefined ? { ...h, seats: seatsFilled(h.seats) } : h))
            : holders,
        }),
  }
}
