import type { Measured } from '../../footprint/kind'
import { kindOf } from '../../footprint/kinds'
import { less, part } from '../../footprint/neck'
import type { Tool } from '../../footprint/tool'
import type { SeatOrder } from '../../model/holder'

type Turn = SeatOrder['turn']

const BASE = ['baseLength', 'baseWidth', 'cutterBelow', 'height'] as const
const CUTTER = ['cutterFromRear', 'cutterFromSide', 'guardLength', 'guardThickness'] as const

/** Blade and guard below the base, as the tool is turned: mm. */
export interface Below {
  /** from the edge at the stop to their near end and to their far end */
  near: Measured
  far: Measured
  /** their middle from the left edge of the base, and how wide they are along the wall */
  middle: Measured
  wide: Measured
  /** how far they stand out below the base */
  down: Measured
  /** it is their length that lies along the wall */
  lengthways: boolean
}

/** What a deck feels of a tool on its base plate, as it is turned: mm. */
export interface Standing {
  half: Measured
  /** of the base, up the deck */
  up: Measured
  high: Measured
  /** null where nothing stands out below the base */
  below: Below | null
  /** how far its shape stands out beyond the base */
  over: Record<'left' | 'right' | 'behind', number>
  /** from the base's middle, at its edge on the stop, to the tool's own origin: along the wall and out */
  origin: { x: number; y: number }
}

/** Field keys that a tool lacks to stand on a deck; null for a kind that doesn't stand on a base plate. */
export function lacksFor({ kind, measures }: Pick<Tool, 'kind' | 'measures'>): string[] | null {
  if (kind !== 'base-plate') return null
  const needs = [...BASE, ...((measures.cutterBelow ?? 0) > 0 ? CUTTER : [])]
  return needs.filter((key) => measures[key] === undefined)
}

/** The envelope of a tool on its base plate, turned as asked; null for a kind that doesn't stand on one. */
export function standingEnvelope(tool: Tool, turn: Turn): Standing | { missing: string[] } | null {
  const missing = lacksFor(tool)
  if (!missing) return null
  if (missing.length > 0) return { missing }
  const { measures: m } = tool
  const [across, up] = turn % 2 === 1 ? (['baseLength', 'baseWidth'] as const) : (['baseWidth', 'baseLength'] as const)
  const [w, l] = [m.baseWidth!, m.baseLength!]
  return {
    half: part(m, across, 0.5),
    up: part(m, up),
    high: part(m, 'height'),
    below: m.cutterBelow! > 0 ? belowBase(m, turn) : null,
    over: overBase(tool, turn),
    origin: [{ x: -w / 2, y: -l }, { x: -l / 2, y: 0 }, { x: w / 2, y: 0 }, { x: l / 2, y: -w }][turn]!, // prettier-ignore
  }
}

/** How far the tool's shape stands out beyond its base: what faces left, right and up the deck as it is turned. */
function overBase(tool: Tool, turn: Turn): Standing['over'] {
  const { minX, maxX, minY, maxY } = kindOf(tool.kind)!.envelope(tool).top
  const { baseLength, baseWidth } = tool.measures
  // front, right, rear and left
  const round = [maxY - baseLength!, maxX - baseWidth!, -minY, -minX].map((over) => Math.max(0, over))
  const at = (quarter: number): number => round[(quarter - turn + 4) % 4]!
  return { right: at(1), behind: at(2), left: at(3) }
}

/** A sum of fields, each some times, as a measured extent. */
function sum(
  m: Record<string, number>,
  terms: readonly (readonly [key: string, times: 1 | -1 | 0.5 | -0.5])[],
): Measured {
  const text = ([key, times]: (typeof terms)[number]): string => `{${key}}${Math.abs(times) === 0.5 ? ' / 2' : ''}`
  return {
    value: terms.reduce((total, [key, times]) => total + times * m[key]!, 0),
    expression: terms.map((t, i) => `${i === 0 ? '' : t[1] < 0 ? ' − ' : ' + '}${text(t)}`).join(''),
    moves: Object.fromEntries(terms.map(([key, times]) => [key, Math.abs(times)])),
  }
}

function belowBase(m: Record<string, number>, turn: Turn): Below {
  const [rear, side, long, thick] = CUTTER
  const lengthways = turn % 2 === 1
  const wide = part(m, lengthways ? long : thick)
  const down = part(m, 'cutterBelow')
  const fromRear = (): Measured => part(m, rear)
  const fromSide = (): Measured => part(m, side)
  // prettier-ignore
  const places = [
    { near: sum(m, [['baseLength', 1], [rear, -1], [long, -1]]), far: less(m, 'baseLength', rear), middle: sum(m, [[side, 1], [thick, 0.5]]) },
    { near: fromSide(), far: sum(m, [[side, 1], [thick, 1]]), middle: sum(m, [[rear, 1], [long, 0.5]]) },
    { near: fromRear(), far: sum(m, [[rear, 1], [long, 1]]), middle: sum(m, [['baseWidth', 1], [side, -1], [thick, -0.5]]) },
    { near: sum(m, [['baseWidth', 1], [side, -1], [thick, -1]]), far: less(m, 'baseWidth', side), middle: sum(m, [['baseLength', 1], [rear, -1], [long, -0.5]]) },
  ][turn]!
  return { ...places, wide, down, lengthways }
}
