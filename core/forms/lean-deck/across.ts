import { FIT_SETTING, type Fit } from '../../shop/shop'
import { formatLength } from '../../units/format-length'
import type { Trail } from '../../working/trail'
import { optionOf, settingOf } from '../choice-value'
import type { PlanInput, Refusal } from '../form'
import { cosine, sine } from '../tilting'
import { choices } from './choices'
import {
  cheekHeightRule,
  cheekLengthRule,
  depthRule,
  lipRule,
  noseRule,
  offRule,
  stopBoardRule,
  stopUnderLipRule,
} from './rules'
import type { Stood } from './stood'

/**
 * The deck up its slope: the longest base with what stands out behind it, clear of the back, and room to draw it out from under
 * a lip; mm. A given one may be too short.
 */
export function upDeck(
  input: PlanInput,
  trail: Trail,
  all: readonly Stood[],
): { depth: number; refusal: Refusal | null } {
  const clearance = settingOf(input, trail, 'headClearance')
  const longest = all.reduce((a, b) => (b.up + b.behind > a.up + a.behind ? b : a))
  const isCaught = optionOf(choices, input, 'bears') === 'lip'
  const drawn = isCaught ? settingOf(input, trail, 'bearing') : 0
  const needed = longest.up + longest.behind + drawn + clearance
  const own = input.holder.choices.depth
  if (typeof own !== 'number') {
    const formula = `{${longest.ids.up}} + {${longest.ids.behind}}${isCaught ? ' + {bearing}' : ''} + {headClearance}`
    const depth = trail.derive('depth', 'Deck, up its slope', needed, depthRule, formula, { print: 'up', note: longest.tool.name }) // prettier-ignore
    return { depth, refusal: null }
  }
  trail.given('depth', 'Deck, up its slope', own, { kind: 'choice', key: 'depth' }, { note: 'this holder’s own' })
  const says = `The deck is too short up its slope: ${longest.tool.name} needs ${formatLength(needed, input.shop, 'up')}.`
  return { depth: own, refusal: needed > own + 1e-6 ? { id: 'too shallow', says, seats: [longest.order.id] } : null }
}

/** How the deck's low end holds what stands on it; mm. */
export interface Held {
  /** of the stop over the deck, and of its board */
  stop: number
  board: number
  /** width of the lip on it; null for none */
  lip: number | null
  /** the edge that a tool would tip over, over the deck, with the text of its figure; null where it is caught */
  bears: { value: number; text: string } | null
}

/** The stop, and the lip on it where the plate is caught. @param rise of the stop as it was set, on the trail as `lip` */
export function heldAt(input: PlanInput, trail: Trail, rise: number): Held {
  const way = optionOf(choices, input, 'bears')
  const plate = settingOf(input, trail, 'plateThick')
  const board = (stop: number, text: string): number => trail.derive('stopBoard', 'Stop board', stop + trail.get('thickness:shelf').value, stopBoardRule, `${text} + {thickness:shelf}`) // prettier-ignore
  if (way !== 'lip') {
    const bears = way === 'front' ? { value: rise, text: '{lip}' } : { value: Math.min(rise, plate), text: 'min({lip}, {plateThick})' } // prettier-ignore
    return { stop: rise, board: board(rise, '{lip}'), lip: null, bears }
  }
  const fit = FIT_SETTING[optionOf(choices, input, 'fit') as Fit]
  const stop = trail.derive('stopHigh', 'Stop under the lip', plate + settingOf(input, trail, fit), stopUnderLipRule, `{plateThick} + {${fit}}`, { print: 'up' }) // prettier-ignore
  const thick = trail.get('thickness:lip').value
  const lip = trail.derive('lipWidth', 'Lip, width', thick + settingOf(input, trail, 'bearing'), lipRule, '{thickness:lip} + {bearing}') // prettier-ignore
  return { stop, board: board(stop, '{stopHigh}'), lip, bears: null }
}

/**
 * How far the deck's upper edge stands off the back: neither its lower face nor what stands out below a base reaches into it; mm.
 * `tilt`, `depth`, `thickness:shelf` and `headClearance` must be on the trail.
 */
export function offBack(
  trail: Trail,
  all: readonly Stood[],
  { depth, tilt, thickness }: { depth: number; tilt: number; thickness: number },
): number {
  const [s, c] = [sine(tilt), cosine(tilt)]
  const clearance = trail.get('headClearance').value
  const reaches = all.flatMap(({ slot, tool }) =>
    slot
      ? [{ value: s * slot.down - c * (depth - slot.far) + clearance, text: `sin({tilt}) × {${slot.ids.down}} − cos({tilt}) × ({depth} − {${slot.ids.far}}) + {headClearance}`, note: tool.name }] // prettier-ignore
      : [],
  )
  const wood = { value: s * thickness, text: 'sin({tilt}) × {thickness:shelf}', note: 'the deck' }
  const { value, text, note } = [wood, ...reaches].reduce((a, b) => (b.value > a.value ? b : a))
  return trail.derive('tiltOff', 'Deck off the back', value, offRule, text, { note })
}

/** A cheek's size, mm: it covers the ends of deck and stop, and stands over the deck as high as the stop. */
export function cheekSize(
  trail: Trail,
  { off, depth, rise, tilt, deck, stop }: Record<'off' | 'depth' | 'rise' | 'tilt' | 'deck' | 'stop', number>,
): { out: number; nose: number; tall: number } {
  const c = cosine(tilt)
  const out = trail.derive('cheekLength', 'Cheek, length', off + c * (depth + stop), cheekLengthRule, '{tiltOff} + cos({tilt}) × ({depth} + {thickness:lip})', { print: 'up' }) // prettier-ignore
  const nose = trail.derive('cheekNose', 'Cheek, height in front', c * deck + rise / c, noseRule, 'cos({tilt}) × {thickness:shelf} + {lip} / cos({tilt})') // prettier-ignore
  const tall = trail.derive('cheekHeight', 'Cheek, height', nose + out * Math.tan((tilt * Math.PI) / 180), cheekHeightRule, '{cheekNose} + {cheekLength} × tan({tilt})', { print: 'up' }) // prettier-ignore
  return { out, nose, tall }
}
