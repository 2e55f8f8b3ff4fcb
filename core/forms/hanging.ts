import { bevelPair } from '../fit/bevel'
import type { Board, Place, Seat } from '../model/model'
import { boardBox } from '../model/standing'
import type { Rule } from '../working/figure'
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
export const armRule = rule(
  'arm',
  'From the bevel down to the lower edge of the foot: what keeps the holder from rocking.',
)

const moved = (at: Place, out: number): Place => ({ ...at, y: at.y + out })

/**
 * Hangs a planned holder as its owner chose: screwed on as it stands, or with a bevelled strip and a foot behind its
 * back, everything else so much further out.
 */
export function hang(plan: Plan, input: PlanInput): Plan {
  const { model, trail } = plan
  const back = model?.boards.find((b) => b.role === 'back')
  if (!model || !back || optionOf(hangingChoices, input, 'hung') !== 'strip') return plan
  const stock = stockOf(hangingChoices, input, 'stripStock')
  if (!stock) return plan
  const origin = { kind: 'stock', id: stock.id, key: 'thickness' } as const
  const t = trail.given('thickness:strip', 'Thickness of the strip', stock.thickness, origin, { note: stock.name })
  const tilt = settingOf(input, trail, 'stripBevel')
  const blade = rippingSaw(input.shop, tilt)
  const kerf = blade ? trail.given(`blade:${blade.id}`, `Kerf of ${blade.name}`, blade.kerf, { kind: 'saw', id: blade.id }) : 0 // prettier-ignore
  const { long, short } = bevelPair(settingOf(input, trail, 'stripWidth'), t, kerf, tilt)
  const taken = blade ? ` − {blade:${blade.id}} / cos({stripBevel})` : ''
  trail.derive('stripLong', 'Strip, long face', long, pairRule, `({stripWidth} + {thickness:strip} × tan({stripBevel})${taken}) / 2`) // prettier-ignore
  trail.derive('stripShort', 'Strip, short face', short, shortRule, '{stripLong} − {thickness:strip} × tan({stripBevel})') // prettier-ignore
  const { z } = boardBox(back)
  const high = z[1] - z[0]
  const foot = Math.min(settingOf(input, trail, 'footHeight'), Math.max(0, high - long))
  trail.derive('foot', 'Foot', foot, footRule, `min({footHeight}, max(0, {${back.figures.width}} − {stripLong}))`)
  const line = trail.derive('bevelLine', 'Bevel below the upper edge', (long + short) / 2, dropRule, '({stripLong} + {stripShort}) / 2') // prettier-ignore
  trail.derive('bevelArm', 'Bevel over the foot', high - line, armRule, `{${back.figures.width}} − {bevelLine}`)

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
  const strip = { ...upright('strip', 'Strip', 'strip', z[1] - long, long, 'stripLong'), bevel: { edge: 'lower' as const, tilt } } // prettier-ignore
  const pieces = foot > 1 ? [strip, upright('foot', 'Foot', 'foot', z[0], foot, 'foot')] : [strip]
  return { ...plan, model: { ...further(model, t), boards: [...further(model, t).boards, ...pieces], joints: joints(model, back.id, pieces) } } // prettier-ignore
}

/** A model with everything so much further out from the wall, mm. */
const further = (model: PlannedModel, out: number): PlannedModel => ({
  ...model,
  boards: model.boards.map((b) => ({ ...b, placement: { ...b.placement, at: moved(b.placement.at, out) } })),
  rods: model.rods.map((r) => ({ ...r, at: moved(r.at, out) })),
  seats: model.seats.map((s): Seat => ({ ...s, at: moved(s.at, out), reach: `{thickness:strip} + ${s.reach}` })),
  reach: { value: model.reach.value + out, formula: `{thickness:strip} + ${model.reach.formula}` },
})

/** Strip and foot come last: they cover the screws from behind. */
const joints = (model: PlannedModel, back: string, pieces: readonly Board[]): PlannedModel['joints'] => {
  const last = Math.max(0, ...model.joints.map((j) => j.order))
  return [
    ...model.joints,
    ...pieces.map((p, i) => ({
      order: last + 1 + i,
      parts: [p.id, back] as [string, string],
      glued: true,
      by: 'screws' as const,
      fixing:
        p.role === 'strip'
          ? 'Last, for it covers screws: glue, and screws through the strip, the bevel down and its sharp edge next to the wall'
          : 'Glue, and screws through the foot, level with the lower edge of the back',
    })),
  ]
}
