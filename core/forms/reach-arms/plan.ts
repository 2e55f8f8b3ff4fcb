import { carriedMass } from '../../footprint/tool'
import { polygon } from '../../geometry/outline'
import { MODEL_VERSION, type Board, type Joint, type Seat } from '../../model/model'
import { FIT_SETTING, type Fit } from '../../shop/shop'
import { formatLength } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { Trail } from '../../working/trail'
import { lengthOf, optionOf, settingOf } from '../choice-value'
import type { Plan, PlanInput, Refusal } from '../form'
import { backBoard, plainBoard } from '../plain-board'
import { spreadSpots } from '../spread'
import { NO_STOCK, stocksFor } from '../stocks'
import { choices } from './choices'
import { hung, type Hung } from './hung'
import { acrossLimitRule, backHighRule, backRule, gapRule, highRule, noseRule } from './rules'

/** An arm is this part of its length high, and at least so high, mm; its nose is this part of that. The rules say so. */
const HIGH = 0.25
const LEAST_HIGH = 60
const NOSE = 3

/** Plans reach arms: two arms that stand out from a back, bars hung between them one behind the other. */
export function planReachArms(input: PlanInput): Plan {
  const trail = new Trail()
  const refuse = (...refusals: Refusal[]): Plan => ({ model: null, trail, refusals })
  const stocks = stocksFor(choices, input, trail, ['arm', 'back'])
  if (!stocks) return refuse(NO_STOCK)
  const { hung: all, refusals } = hung(input, trail)
  if (all.length === 0) {
    if (refusals.length > 0) return refuse(...refusals)
    return refuse({ id: 'empty', says: 'No tools in this holder yet. Add the first one from those that could join.' })
  }
  lengthOf(choices, input, trail, 'gap')
  const margin = lengthOf(choices, input, trail, 'margin')
  const { centres, length } = spreadSpots(trail, all, optionOf(choices, input, 'pitch') === 'even')
  if (length > LARGEST_SIZE) {
    const says = `The arms would be ${formatLength(length, input.shop)} long. Split the tools over several holders.`
    return refuse(...refusals, { id: 'too long', says })
  }
  const gap = gapBetween(input, trail, all)
  const [ta, tb] = [stocks.arm.thickness, stocks.back.thickness]
  const high = heightOf(input, trail, length)
  const nose = trail.derive('nose', 'Nose', high / NOSE, noseRule, `{armHeight} / ${NOSE}`)
  const wide = trail.derive('backLength', 'Back, along the wall', gap + 2 * ta + 2 * margin, backRule, '{armGap} + 2 × {thickness:arm} + 2 × {margin}') // prettier-ignore
  const height = Math.max(lengthOf(choices, input, trail, 'backHeight'), high)
  trail.derive('backHigh', 'Height of the back', height, backHighRule, 'max({backHeight}, {armHeight})')

  const arm = (id: string, name: string, x: number): Board =>
    plainBoard(stocks.arm, {
      id,
      name,
      role: 'arm',
      length,
      width: high,
      outline: polygon([[0, 0], [length, high - nose], [length, high], [0, high]]), // prettier-ignore
      placement: { lies: 'end', at: { x, y: tb, z: -high } },
      figures: { length: 'length', width: 'armHeight', thickness: 'thickness:arm' },
    })
  const back = backBoard(stocks.back, {
    length: wide,
    width: height,
    low: -height,
    as: { length: 'backLength', width: 'backHigh' },
  })
  const arms = [arm('left', 'Left arm', margin), arm('right', 'Right arm', margin + ta + gap)]
  return {
    trail,
    refusals,
    model: {
      version: MODEL_VERSION,
      form: 'reach-arms',
      name: input.holder.name,
      boards: [back, ...arms],
      rods: [],
      reach: { value: tb + length, formula: '{thickness:back} + {length}' },
      joints: arms.map((a, i): Joint => ({
        order: i + 1,
        parts: ['back', a.id],
        glued: true,
        by: 'screws',
        fixing: 'Glue, and screws from behind through the back into the arm',
      })),
      fasteners: [],
      seats: all.map((h, i) => seat(h, margin + ta + gap / 2, tb + centres[i]!)),
    },
  }
}

const seat = (h: Hung, x: number, y: number): Seat => ({
  id: h.order.id,
  tool: h.tool.id,
  name: h.tool.name,
  place: h.place,
  turn: h.order.turn,
  board: 'left',
  opening: null,
  at: { x, y, z: 0 },
  extent: { left: h.sides.left, right: h.sides.right, front: h.right, back: h.left },
  rests: 'arms',
  sharp: false,
  mass: carriedMass(h.tool),
  reach: `{thickness:back} + {x:${h.order.id}} + {${h.ids.front}}`,
  figures: h.ids,
})

/** The gap between the arms, and how long a head must lie across them. */
function gapBetween(input: PlanInput, trail: Trail, all: readonly Hung[]): number {
  const fit = FIT_SETTING[optionOf(choices, input, 'fit') as Fit]
  const play = settingOf(input, trail, fit)
  const thickest = all.reduce((a, b) => (b.neck + b.doubt > a.neck + a.doubt ? b : a))
  const { neckAcross, neckDoubt } = thickest.ids
  const gap = trail.derive('armGap', 'Gap between the arms', thickest.neck + thickest.doubt + play, gapRule, `{${neckAcross}} + {${neckDoubt}} + {${fit}}`, { print: 'up', note: thickest.tool.name }) // prettier-ignore
  const bearing = settingOf(input, trail, 'bearing')
  trail.derive('straddleLimit', 'A head must be longer than', gap + play + 2 * bearing, acrossLimitRule, `{armGap} + {${fit}} + 2 × {bearing}`, { print: 'up' }) // prettier-ignore
  return gap
}

/** The arms' height where they leave the back: as given, else by their length. */
function heightOf(input: PlanInput, trail: Trail, length: number): number {
  const own = input.holder.choices.armHeight
  if (typeof own === 'number') return trail.given('armHeight', 'Height of the arms', own, { kind: 'choice', key: 'armHeight' }) // prettier-ignore
  return trail.derive('armHeight', 'Height of the arms', Math.max(LEAST_HIGH, HIGH * length), highRule, `max([${LEAST_HIGH} mm], ${HIGH} × {length})`) // prettier-ignore
}
