import { bevelPair } from '../fit/bevel'
import type { Board, Place, Seat } from '../model/model'
import { boardBox } from '../model/standing'
import type { Rule } from '../working/figure'
import type { Stock } from '../shop/shop'
import type { Trail } from '../working/trail'
import { rippingSaw } from '../shop/usual-choice'
import { optionOf, settingOf, stockOf } from './choice-value'
import type { Plan, PlanInput, PlannedModel } from './form'
import { hangingChoices } from './hanging-choices'
import { plainBoard } from './plain-board'

const source = 'Geometry of a bevelled strip; docs/rules.md'
const rule = (id: string, says: string): Rule => ({ id: `hang.${id}`, says, source })

export const pairRule = rule(
  'pair',
  'Two equal strips come out of a wider one by one bevelled rip: half of its width, half of what the bevel adds, less half of the kerf along the cut.',
)
export const shortRule = rule('short', 'The other face is shorter by what the bevel takes over the thickness.')
export const dropRule = rule('bevel-line', 'The bevel bears in its middle, counted from the upper edge of the back.')
export const footRule = rule('foot', 'As high as the shop’s feet are, as far as the back leaves room below the strip.')
export const keeperRule = rule(
  'keeper',
  'Below the wall strip, which reaches down from the bevel by its own long face: as high as the shop’s feet are, as far as the back leaves room.',
)
export const slatRule = rule(
  'slat',
  'From the wall strip’s lower edge to the top of the foot, less the room to push it in.',
)
export const armRule = rule(
  'arm',
  'From the bevel down to the lower edge of the foot: what keeps the holder from rocking.',
)

const moved = (at: Place, out: number): Place => ({ ...at, y: at.y + out })

/** A lock slat lower than this is none, mm. */
const LEAST_SLAT = 5

/** What stands behind a back: how high, its stock, and whether it hooks over its strip, or over and under it. */
interface Hanging {
  back: Board
  stock: Stock
  way: 'strip' | 'clip'
  trail: Trail
  input: PlanInput
}

/**
 * Hangs a planned holder as its owner chose: screwed on as it stands, or with a bevelled strip and a foot behind its
 * back, everything else so much further out.
 */
export function hang(plan: Plan, input: PlanInput): Plan {
  const { model, trail } = plan
  const back = model?.boards.find((b) => b.role === 'back')
  const way = optionOf(hangingChoices, input, 'hung')
  if (!model || !back || (way !== 'strip' && way !== 'clip')) return plan
  const stock = stockOf(hangingChoices, input, 'stripStock')
  if (!stock) return plan
  const origin = { kind: 'stock', id: stock.id, key: 'thickness' } as const
  const t = trail.given('thickness:strip', 'Thickness of the strip', stock.thickness, origin, { note: stock.name })
  const pieces = behindBack({ back, stock, way, trail, input })
  return { ...plan, model: { ...further(model, t), boards: [...further(model, t).boards, ...pieces], joints: joints(model, back.id, pieces, way) } } // prettier-ignore
}

/** The strip at the top of the back, and below it a foot, a keeper under the wall's strip, or a foot and a slat. */
function behindBack({ back, stock, way, trail, input }: Hanging): Board[] {
  const t = stock.thickness
  const { long, short } = stripPair(trail, input, t)
  const { z } = boardBox(back)
  const high = z[1] - z[0]
  const line = trail.derive('bevelLine', 'Bevel below the upper edge', (long + short) / 2, dropRule, '({stripLong} + {stripShort}) / 2') // prettier-ignore
  const upright = (id: string, name: string, role: Board['role'], at: number, width: number, figure: string): Board =>
    plainBoard(stock, {
      id,
      name,
      role,
      length: back.length,
      width,
      placement: { lies: 'upright', at: { x: back.placement.at.x, y: 0, z: at } },
      figures: { length: back.figures.length, width: figure, thickness: 'thickness:strip' },
    })
  const tilt = input.shop.settings.stripBevel
  const strip = { ...upright('strip', 'Strip', 'strip', z[1] - long, long, 'stripLong'), bevel: { edge: 'lower' as const, tilt } } // prettier-ignore
  const width = `{${back.figures.width}}`
  const wanted = settingOf(input, trail, 'footHeight')
  const room = settingOf(input, trail, 'slatRoom')
  if (way === 'clip') {
    const left = Math.max(0, high - short - long - room)
    const keeper = trail.derive('foot', 'Keeper', Math.min(wanted, left), keeperRule, `min({footHeight}, max(0, ${width} − {stripShort} − {stripLong} − {slatRoom}))`) // prettier-ignore
    trail.derive('bevelArm', 'Bevel over the keeper’s lower edge', short + long + room + keeper - line, armRule, '{stripShort} + {stripLong} + {slatRoom} + {foot} − {bevelLine}') // prettier-ignore
    return keeper > 1 ? [strip, upright('foot', 'Keeper', 'foot', z[1] - short - long - room - keeper, keeper, 'foot')] : [strip] // prettier-ignore
  }
  const foot = trail.derive('foot', 'Foot', Math.min(wanted, Math.max(0, high - long)), footRule, `min({footHeight}, max(0, ${width} − {stripLong}))`) // prettier-ignore
  trail.derive('bevelArm', 'Bevel over the foot', high - line, armRule, `${width} − {bevelLine}`)
  const pieces = foot > 1 ? [strip, upright('foot', 'Foot', 'foot', z[0], foot, 'foot')] : [strip]
  const slat = high - short - long - foot - room
  if (optionOf(hangingChoices, input, 'lock') !== 'slat' || slat < LEAST_SLAT || foot <= 1) return pieces
  trail.derive('slat', 'Lock slat', slat, slatRule, `${width} − {stripShort} − {stripLong} − {foot} − {slatRoom}`, { print: 'down' }) // prettier-ignore
  return [...pieces, upright('slat', 'Lock slat', 'slat', z[0] + foot, slat, 'slat')]
}

/** The two faces of a strip that comes out of a wider one in a pair, mm. @param t its thickness, on the trail */
function stripPair(trail: Trail, input: PlanInput, t: number): { long: number; short: number } {
  const tilt = settingOf(input, trail, 'stripBevel')
  const blade = rippingSaw(input.shop, tilt)
  const kerf = blade ? trail.given(`blade:${blade.id}`, `Kerf of ${blade.name}`, blade.kerf, { kind: 'saw', id: blade.id }) : 0 // prettier-ignore
  const pair = bevelPair(settingOf(input, trail, 'stripWidth'), t, kerf, tilt)
  const taken = blade ? ` − {blade:${blade.id}} / cos({stripBevel})` : ''
  trail.derive('stripLong', 'Strip, long face', pair.long, pairRule, `({stripWidth} + {thickness:strip} × tan({stripBevel})${taken}) / 2`) // prettier-ignore
  trail.derive('stripShort', 'Strip, short face', pair.short, shortRule, '{stripLong} − {thickness:strip} × tan({stripBevel})') // prettier-ignore
  return pair
}

const boardMoved = (board: Board, out: number): Board => ({
  ...board,
  placement: { ...board.placement, at: moved(board.placement.at, out) },
})

/** A model with everything so much further out from the wall, mm. */
const further = (model: PlannedModel, out: number): PlannedModel => ({
  ...model,
  boards: model.boards.map((b) => boardMoved(b, out)),
  ...(model.bought ? { bought: model.bought.map((b) => ({ ...b, ...(b.bodies ? { bodies: b.bodies.map((body) => boardMoved(body, out)) } : {}) })) } : {}), // prettier-ignore
  rods: model.rods.map((r) => ({ ...r, at: moved(r.at, out) })),
  seats: model.seats.map((s): Seat => ({ ...s, at: moved(s.at, out), reach: `{thickness:strip} + ${s.reach}` })),
  reach: { value: model.reach.value + out, formula: `{thickness:strip} + ${model.reach.formula}` },
})

const FIXED: Partial<Record<Board['role'], string>> = {
  strip:
    'Last, for it covers screws: glue, and screws through the strip, the bevel down and its sharp edge next to the wall',
  foot: 'Glue, and screws through the foot, level with the lower edge of the back',
}
const KEEPER = 'Glue, and screws through the keeper, square to the strip and so far below it that the wall’s strip slides between them' // prettier-ignore
const LOOSE = 'Loose: pushed in below the wall strip once the holder hangs, and out again to move it'

/** Strip and foot come last: they cover the screws from behind. */
const joints = (
  model: PlannedModel,
  back: string,
  pieces: readonly Board[],
  way: Hanging['way'],
): PlannedModel['joints'] => {
  // prettier-ignore
  const last = Math.max(0, ...model.joints.map((j) => j.order))
  return [
    ...model.joints,
    ...pieces.map((p, i) => ({
      order: last + 1 + i,
      parts: (p.role === 'slat' ? [back, p.id] : [p.id, back]) as [string, string],
      glued: p.role !== 'slat',
      by: p.role === 'slat' ? ('loose' as const) : ('screws' as const),
      fixing: p.role === 'slat' ? LOOSE : p.role === 'foot' && way === 'clip' ? KEEPER : FIXED[p.role]!,
    })),
  ]
}
