import { slopedSlot } from '../sloped-slot'
import { optionOf, settingOf } from '../choice-value'
import type { PlanInput } from '../form'
import type { Trail } from '../../working/trail'
import { choices } from './choices'
import type { Lying } from './lying'
import { apartRule, behindRule, depthRule, dropRule, inwardRule, lineRule, restRule, runRule } from './rules'

/** The slots in one edge of a post; mm. */
export interface EdgeSlots {
  /** from the post's back edge to where they end */
  line: number
  /** the figure of that */
  id: string
  run: number
  drop: number
  sawApart: number
}

/** The slots across a post: from its front edge, and from its back edge too where it has them there. mm and degrees */
export interface Across {
  depth: number
  slope: number
  front: EdgeSlots
  back: EdgeSlots | null
  /** room between the back and the posts, in which a bar from the rear slots comes out; mm */
  behind: number
}

const most = (all: readonly Lying[], of: (l: Lying) => number): Lying => all.reduce((a, b) => (of(b) > of(a) ? b : a))

/** How far from a slot's end its bar reaches to the edge that it comes in at. */
const outward = (l: Lying): number => Math.max(l.slot / 2, l.rest + l.neckOut / 2)

/** Where slots end, how deep the posts are, and how the slots slope. */
export function acrossPost(input: PlanInput, trail: Trail, all: readonly Lying[]): Across {
  const keep = settingOf(input, trail, 'frontKeep')
  const clearance = settingOf(input, trail, 'headClearance')
  const web = settingOf(input, trail, 'web')
  const slope = Number(optionOf(choices, input, 'slope'))
  const [ahead, astern] = [all.filter((l) => !l.rear), all.filter((l) => l.rear)]
  const inward = (side: readonly Lying[], suffix: string): { value: number; formula: string } => {
    const out = most(side, outward)
    const rest = out.rest > 0 ? `rest${suffix}` : null
    if (rest) trail.derive(rest, 'It rests forward by', out.rest, restRule, `{${out.ids.neckAlong}} / 2`, { note: out.tool.name }) // prettier-ignore
    return { value: outward(out) + keep, formula: `max({${out.ids.slot}} / 2, ${rest ? `{${rest}} + ` : ''}{${out.ids.neckAlong}} / 2) + {frontKeep}` } // prettier-ignore
  }
  const widest = most(ahead, (l) => l.slot)
  const deepest = most(ahead, (l) => l.back)
  const forward = inward(ahead, '')
  if (astern.length === 0) {
    const line = trail.derive('line', 'Back edge to the ends of the slots', Math.max(deepest.back + clearance, 2 * web + widest.slot / 2), lineRule, `max({${deepest.ids.back}} + {headClearance}, 2 × {web} + {${widest.ids.slot}} / 2)`) // prettier-ignore
    const depth = trail.derive('depth', 'Depth of the posts', line + forward.value, depthRule, `{line} + ${forward.formula}`, { print: 'up' }) // prettier-ignore
    return { depth, slope, front: edge(trail, widest, slope, { line, id: 'line', run: depth - line, formula: '{depth} − {line}', suffix: '' }), back: null, behind: 0 } // prettier-ignore
  }
  const sternward = inward(astern, 'Back')
  const lineBack = trail.derive('lineBack', 'Back edge to the ends of the rear slots', sternward.value, inwardRule, sternward.formula) // prettier-ignore
  const [wideBack, outBack] = [most(astern, (l) => l.slot), most(astern, (l) => l.front)]
  const apart = Math.max(deepest.back + outBack.front + clearance, (widest.slot + wideBack.slot) / 2 + 2 * web)
  const line = trail.derive('line', 'Back edge to the ends of the slots', lineBack + apart, lineRule, `{lineBack} + max({${deepest.ids.back}} + {${outBack.ids.front}} + {headClearance}, ({${widest.ids.slot}} + {${wideBack.ids.slot}}) / 2 + 2 × {web})`) // prettier-ignore
  const depth = trail.derive('depth', 'Depth of the posts', line + forward.value, depthRule, `{line} + ${forward.formula}`, { print: 'up' }) // prettier-ignore
  const deep = most(astern, (l) => l.front + l.back)
  const behind = trail.derive('behind', 'Room behind the posts', deep.front + deep.back + 2 * clearance, behindRule, `{${deep.ids.front}} + {${deep.ids.back}} + 2 × {headClearance}`, { print: 'up', note: deep.tool.name }) // prettier-ignore
  return {
    depth,
    slope,
    front: edge(trail, widest, slope, { line, id: 'line', run: depth - line, formula: '{depth} − {line}', suffix: '' }),
    back: edge(trail, wideBack, slope, { line: lineBack, id: 'lineBack', run: lineBack, formula: '{lineBack}', suffix: 'Back' }), // prettier-ignore
    behind,
  }
}

/** The figures of the slots in one edge. */
function edge(
  trail: Trail,
  widest: Lying,
  slope: number,
  { line, id, run, formula, suffix }: { line: number; id: string; run: number; formula: string; suffix: string },
): EdgeSlots {
  const which = suffix === '' ? 'slot' : 'rear slot'
  const cut = slopedSlot(run + widest.slot, widest.slot, slope, widest.slot / 2)
  trail.derive(`run${suffix}`, `Run of a ${which}`, run, runRule, formula)
  trail.derive(`drop${suffix}`, `A ${which} drops by`, cut.drop, dropRule, slope > 0 ? `{run${suffix}} × tan({slope})` : `0 × {run${suffix}}`) // prettier-ignore
  trail.derive(`sawApart${suffix}`, `Saw lines of a ${which} apart on the edge`, cut.sawLinesApart, apartRule, `{${widest.ids.slot}}${slope > 0 ? ' / cos({slope})' : ''}`, { print: 'nearest', note: widest.tool.name }) // prettier-ignore
  return { line, id, run, drop: cut.drop, sawApart: cut.sawLinesApart }
}
