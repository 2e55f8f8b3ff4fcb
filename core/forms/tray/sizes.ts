import type { Trail } from '../../working/trail'
import { lengthOf, optionOf, settingOf } from '../choice-value'
import type { PlanInput } from '../form'
import type { OnShelf } from '../on-shelf'
import { choices } from './choices'
import { backRule, frontBoardRule, frontRule, sidesRule } from './rules'

/** Heights of a tray's boards, mm: front and ends over the floor, the front's board and the back's in all. */
export interface Heights {
  front: number
  sides: number
  frontBoard: number
  back: number
}

/** Works out how high the boards are. `thickness:shelf` must be on the trail. */
export function heightsOf(input: PlanInput, trail: Trail, all: readonly OnShelf[]): Heights {
  const [tallest, lowest] = [all.reduce((a, b) => (b.high > a.high ? b : a)), all.reduce((a, b) => (b.high < a.high ? b : a))] // prettier-ignore
  const given = (key: string, label: string): number | null => {
    const own = input.holder.choices[key]
    return typeof own === 'number' ? trail.given(key, label, own, { kind: 'choice', key }, { note: 'this holder’s own' }) : null // prettier-ignore
  }
  const least = settingOf(input, trail, 'lipHeight')
  const front =
    given('lip', 'Front over the floor') ??
    trail.derive('lip', 'Front over the floor', Math.max(least, Math.min(tallest.high / 2, 0.75 * lowest.high)), frontRule, `max({lipHeight}, min({${tallest.ids.high}} / 2, 0.75 × {${lowest.ids.high}}))`, { print: 'up' }) // prettier-ignore
  const sloped = optionOf(choices, input, 'ends') === 'sloped'
  const sides = sloped
    ? (given('sides', 'Ends at the back') ??
      trail.derive('sides', 'Ends at the back', Math.max(front, 0.75 * tallest.high), sidesRule, `max({lip}, 0.75 × {${tallest.ids.high}})`, { print: 'up' })) // prettier-ignore
    : trail.derive('sides', 'Ends', front, sidesRule, '{lip}', { print: 'up' })
  const frontBoard = trail.derive('frontBoard', 'Front board', front + trail.get('thickness:shelf').value, frontBoardRule, '{lip} + {thickness:shelf}', { print: 'up' }) // prettier-ignore
  const set = lengthOf(choices, input, trail, 'backHeight')
  const back = trail.derive('backHigh', 'Back, height', Math.max(set, sides + trail.get('thickness:shelf').value), backRule, 'max({backHeight}, {sides} + {thickness:shelf})', { print: 'up' }) // prettier-ignore
  return { front, sides, frontBoard, back }
}
