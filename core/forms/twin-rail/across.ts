import { FIT_SETTING, type Fit } from '../../shop/shop'
import type { Trail } from '../../working/trail'
import { lengthOf, optionOf, settingOf } from '../choice-value'
import type { PlanInput } from '../form'
import { choices } from './choices'
import type { Hung } from './hung'
import { apartRule, belowRule, edgeRule, gapRule, highRule, lineRule, outRule, rearRule, straddleLimitRule } from './rules' // prettier-ignore

/** The rods and ends from the back's face outwards, and their heights; mm. */
export interface Across {
  /** where the handles hang */
  line: number
  rear: number
  apart: number
  /** how far the ends reach out, and how high they are */
  out: number
  high: number
  below: number
  edge: number
}

/** Reckons where the rods stand. @param rod their diameter, on the trail as `thickness:rod`; mm */
export function acrossRods(input: PlanInput, trail: Trail, all: readonly Hung[], rod: number): Across {
  const fit = FIT_SETTING[optionOf(choices, input, 'fit') as Fit]
  const play = settingOf(input, trail, fit)
  const thickest = all.reduce((a, b) => (b.neck + b.doubt > a.neck + a.doubt ? b : a))
  const gap = trail.derive(
    'rodGap',
    'Gap between the rods',
    thickest.neck + thickest.doubt + play,
    gapRule,
    `{${thickest.ids.neckAlong}} + {${thickest.ids.neckDoubt}} + {${fit}}`,
    { print: 'up', note: thickest.tool.name },
  )
  const apart = trail.derive('apart', 'Rods apart', gap + rod, apartRule, '{rodGap} + {thickness:rod}')
  const [least, part] = [settingOf(input, trail, 'edge'), settingOf(input, trail, 'edgePerOpening')]
  const edge = trail.derive('edgeWood', 'Wood to the ends’ edges', Math.max(least, part * rod), edgeRule, 'max({edge}, {edgePerOpening} × {thickness:rod})', { print: 'up' }) // prettier-ignore
  const web = settingOf(input, trail, 'web')
  const below = trail.derive('below', 'Wood below the rods', Math.max(web, rod), belowRule, 'max({web}, {thickness:rod})', { print: 'up' }) // prettier-ignore
  const clearance = settingOf(input, trail, 'headClearance')
  const deepest = all.reduce((a, b) => (b.back > a.back ? b : a))
  const line = trail.derive(
    'line',
    'Back to the line of handles',
    Math.max(deepest.back + clearance, apart / 2 + rod / 2 + edge),
    lineRule,
    `max({${deepest.ids.back}} + {headClearance}, {apart} / 2 + {thickness:rod} / 2 + {edgeWood})`,
    { note: `${deepest.tool.name} reaches back furthest` },
  )
  const rear = trail.derive('rear', 'Back to the rear rod', line - apart / 2, rearRule, '{line} − {apart} / 2')
  const front = trail.derive('frontRod', 'Back to the front rod', rear + apart, rearRule, '{rear} + {apart}')
  const out = trail.derive('out', 'Ends reach out', front + rod / 2 + edge, outRule, '{frontRod} + {thickness:rod} / 2 + {edgeWood}') // prettier-ignore
  const high = trail.derive('high', 'Height of the ends', below + rod + edge, highRule, '{below} + {thickness:rod} + {edgeWood}') // prettier-ignore
  const bearing = settingOf(input, trail, 'bearing')
  trail.derive('straddleLimit', 'A head must be longer than', gap + rod + play + bearing, straddleLimitRule, `{rodGap} + {thickness:rod} + {${fit}} + {bearing}`, { print: 'up' }) // prettier-ignore
  lengthOf(choices, input, trail, 'backHeight')
  return { line, rear, apart, out, high, below, edge }
}
