import 'reflect-metadata'
import { Type } from 'class-transformer'
import { ArrayMaxSize, IsArray, IsOptional, ValidateNested } from 'class-validator'
import {
  BEHIND,
  HOLDS,
  LEAST_PITCH,
  LEAST_SIZE,
  LEAST_WALL,
  LONGEST_WALL,
  MOST_LEAN,
  OUT_OF_PLUMB,
  usualStrips,
  SWINGS,
  THING_KINDS,
  type Framed,
  type Hung,
  type Rack,
  type Swing,
  type Thing,
  type ThingKind,
  type Wall,
} from '../../wall/wall'
import type { Strips } from '../../wall/strips'
import { Checked, idError, isRecord, LONGEST_NAME, nameError, oneOf } from './checked'

/** The most that is on a wall, and the most ledgers of a rack. */
export const MOST_ON_WALL = 1000
export const MOST_LEDGERS = 6

const within = (low: number, what: string) => (v: unknown) =>
  typeof v === 'number' && Number.isFinite(v) && v >= low && v <= LONGEST_WALL ? null : `${what} lies between ${low} and ${LONGEST_WALL} mm.` // prettier-ignore
const place = (what: string) => within(-LONGEST_WALL, what)

/** Something on a wall as it comes in. */
export class ThingDto implements Thing {
  @Checked(idError) id!: string
  @Checked((v) => oneOf(v, THING_KINDS, 'the kind')) kind!: ThingKind
  @Checked((v) =>
    typeof v === 'string' && v.length <= LONGEST_NAME ? null : `a name has at most ${LONGEST_NAME} characters.`,
  )
  name = ''
  @Checked(place('x')) x!: number
  @Checked(place('z')) z!: number
  @Checked(within(LEAST_SIZE, 'the width')) width!: number
  @Checked(within(LEAST_SIZE, 'the height')) height!: number
  @Checked((v) => (v === undefined ? null : oneOf(v, SWINGS, 'the side it opens to'))) swing?: Swing
}

/** Where a holder hangs, as it comes in. */
export class HungDto implements Hung {
  @Checked(idError) holder!: string
  @Checked(place('x')) x!: number
  @Checked(place('z')) z!: number
  @Checked((v) => (typeof v === 'boolean' ? null : 'fixed is true or false.')) fixed = false
}

/** How strips go up a wall, as it comes in. */
export class StripsDto implements Strips {
  @Checked(within(0, 'the lowest strip')) first = usualStrips().first
  @Checked(within(LEAST_SIZE, 'the gap between strips')) gap = usualStrips().gap
  @Checked(within(0, 'the room at the top')) top = usualStrips().top
  @Checked((v) => (v === undefined ? null : within(0, 'the pieces of a strip')(v))) piece?: number
  @Checked((v) => (v === undefined ? null : within(0, 'the room between two pieces')(v))) apart?: number
}

/** A framed panel, as it comes in. */
export class FramedDto implements Framed {
  @Checked(place('x')) x!: number
  @Checked(place('z')) z!: number
  @Checked(within(LEAST_WALL, 'the width of the panel')) width!: number
  @Checked(within(LEAST_WALL, 'the height of the panel')) height!: number
}

const count = (low: number, high: number, what: string) => (v: unknown) =>
  Number.isInteger(v) && (v as number) >= low && (v as number) <= high ? null : `${what} are ${low} to ${high}.`
const lean = (v: unknown) => (typeof v === 'number' && v >= 0 && v <= MOST_LEAN ? null : `it leans by 0 to ${MOST_LEAN} degrees.`) // prettier-ignore

/** Uprights on ledgers, as they come in. */
export class RackDto implements Rack {
  @Checked(place('from')) from!: number
  @Checked(place('to')) to!: number
  @Checked(within(0, 'the lower end')) low!: number
  @Checked(within(0, 'the upper end')) high!: number
  @Checked(within(LEAST_PITCH, 'the pitch')) pitch!: number
  @Checked(count(2, MOST_LEDGERS, 'ledgers')) ledgers = 2
  @Checked(lean) lean = 6
}

const isCorner = (v: unknown): boolean => Array.isArray(v) && v.length === 3 && v.every((n) => typeof n === 'number' && Math.abs(n) <= OUT_OF_PLUMB) // prettier-ignore
const isCorners = (v: unknown): boolean => isRecord(v) && isCorner(v.left) && isCorner(v.right)

/** A wall as it comes in. */
export class WallDto implements Wall {
  @Checked(idError) id!: string
  @Checked(nameError) name!: string
  @Checked(within(LEAST_WALL, 'the width')) width!: number
  @Checked(within(LEAST_WALL, 'the height')) height!: number
  @Checked((v) => oneOf(v, HOLDS, 'what it holds by')) holds: Wall['holds'] = 'panel'

  @ValidateNested({ message: 'strips are {first, gap, top}.' })
  @Type(() => StripsDto)
  strips: StripsDto = new StripsDto()

  @ArrayMaxSize(MOST_ON_WALL, { message: `at most ${MOST_ON_WALL} studs.` })
  @Checked((v) => (Array.isArray(v) && v.every((s) => within(0, 's')(s) === null) ? null : 'studs are a list of centres, mm from the left corner.')) // prettier-ignore
  studs: number[] = []

  @IsArray({ message: 'things are a list.' })
  @ArrayMaxSize(MOST_ON_WALL, { message: `at most ${MOST_ON_WALL} things on one wall.` })
  @ValidateNested({ each: true })
  @Type(() => ThingDto)
  things: ThingDto[] = []

  @Checked((v) => (v === undefined ? null : within(LEAST_SIZE, 'the line')(v))) line?: number
  @Checked((v) => (v === undefined ? null : oneOf(v, BEHIND, 'what is behind it'))) behind?: Wall['behind']

  @Checked((v) => (v === undefined || isRecord(v) ? null : 'a panel is {x, z, width, height}.'))
  @IsOptional()
  @ValidateNested()
  @Type(() => FramedDto)
  frame?: FramedDto

  @Checked((v) => (v === undefined || isRecord(v) ? null : 'uprights are {from, to, low, high, pitch, ledgers, lean}.'))
  @IsOptional()
  @ValidateNested()
  @Type(() => RackDto)
  rack?: RackDto

  @Checked((v) => (v === undefined || isCorners(v) ? null : `corners are {left: [floor, middle, ceiling], right: [...]}, each within ${OUT_OF_PLUMB} mm of plumb.`)) // prettier-ignore
  corners?: Wall['corners']

  @IsArray({ message: 'what hangs is a list.' })
  @ArrayMaxSize(MOST_ON_WALL, { message: `at most ${MOST_ON_WALL} holders on one wall.` })
  @Checked((v) => {
    const ids = (Array.isArray(v) ? v : []).map((h) => (h as Hung)?.holder)
    return new Set(ids).size === ids.length ? null : 'a holder hangs twice.'
  })
  @ValidateNested({ each: true })
  @Type(() => HungDto)
  hung: HungDto[] = []
}

/** A wall with what has come to walls since it was saved. */
export const filledWall = (data: unknown): unknown =>
  isRecord(data) && data.strips === undefined ? { ...data, strips: usualStrips() } : data
