import type { Measured } from '../../footprint/kind'
import type { Tool } from '../../footprint/tool'
import type { SeatOrder } from '../../model/holder'
import { FIT_SETTING, type Fit } from '../../shop/shop'
import { formatLength } from '../../units/format-length'
import type { Trail } from '../../working/trail'
import { lengthOf, optionOf, settingOf } from '../choice-value'
import type { PlanInput, Refusal } from '../form'
import { doubtFigure, massFigure, measuredFigure } from '../measured-figure'
import { seatTool } from '../seat-tool'
import type { Spot } from '../spread'
import { choices } from './choices'
import { hangEnvelope, type HangEnvelope } from './hanging'
import { armRule, heightRule, lengthRule, noseRule, passRule, riseRule, seatRule, sizeRule, wideRule } from './rules'

/** One hook with what hangs on it; mm, with the ids of its figures. */
export interface Hook extends Spot {
  order: SeatOrder
  tool: Tool
  envelope: HangEnvelope
  /** width of its hollow, wood under it, its nose over the bottom of it, and the hook’s size in all */
  hollow: number
  arm: number
  nose: number
  rise: number
  length: number
  height: number
  ids: Record<'left' | 'right' | 'thick' | 'hollow' | 'armHeight' | 'length' | 'height' | 'mass', string>
}

/**
 * Works out each seat’s hook. Seats whose tool is gone or unmeasured, or whose loop doesn’t go over a nose, are left out
 * and named. `thickness:hook` must be on the trail.
 */
export function hooks(input: PlanInput, trail: Trail): { hooks: Hook[]; refusals: Refusal[] } {
  const found: Hook[] = []
  const refusals: Refusal[] = []
  lengthOf(choices, input, trail, 'nose')
  for (const order of input.holder.seats) {
    const seated = seatTool(
      input,
      order,
      (_, tool) => hangEnvelope(tool),
      'has no loop, hole or frame to hang on a hook by.',
    )
    if ('says' in seated) {
      refusals.push(seated)
      continue
    }
    const hook = hookFor(input, trail, order, seated.tool, seated.envelope, found.length + 1)
    const tight = passes(input, trail, hook)
    if (tight) refusals.push(tight)
    else found.push(hook)
  }
  return { hooks: found, refusals }
}

function hookFor(input: PlanInput, trail: Trail, order: SeatOrder, tool: Tool, e: HangEnvelope, place: number): Hook {
  const put = (name: string, label: string, m: Measured): string => measuredFigure(trail, order, tool, name, `${label} of ${place}`, m, sizeRule) // prettier-ignore
  const id = (name: string): string => `${name}:${order.id}`
  const fit = FIT_SETTING[optionOf(choices, input, 'fit') as Fit]
  const play = settingOf(input, trail, fit)
  const web = settingOf(input, trail, 'web')
  const thick = put('thick', 'Thickness', e.thick)
  const doubt = doubtFigure(input, trail, order, tool, 'thick', `Thickness of ${place}`, e.thick)
  const hollow = trail.derive(id('hollow'), `Hollow of hook ${place}`, e.thick.value + trail.get(doubt).value + play, seatRule, `{${thick}} + {${doubt}} + {${fit}}`, { print: 'up' }) // prettier-ignore
  const own = input.holder.choices.armHeight
  const arm =
    typeof own === 'number'
      ? trail.given(id('arm'), `Wood under hollow ${place}`, own, { kind: 'choice', key: 'armHeight' })
      : trail.derive(id('arm'), `Wood under hollow ${place}`, Math.max(hollow, 2 * web), armRule, `max({${id('hollow')}}, 2 × {web})`, { print: 'up' }) // prettier-ignore
  // what is square lies on its two lower edges in the round of the hollow
  const rise = trail.derive(id('rise'), `${place} lies over the bottom of its hollow by`, hollow / 2 - Math.sqrt(Math.max(0, (hollow / 2) ** 2 - (e.thick.value / 2) ** 2)), riseRule, `{${id('hollow')}} / 2 − √(max(0, ({${id('hollow')}} / 2)² − ({${thick}} / 2)²))`) // prettier-ignore
  const nose = trail.derive(id('nose'), `Nose of hook ${place}`, Math.max(trail.get('nose').value + rise, hollow / 2), noseRule, `max({nose} + {${id('rise')}}, {${id('hollow')}} / 2)`) // prettier-ignore
  const length = trail.derive(id('hookLength'), `Hook ${place}, length`, 2 * web + hollow, lengthRule, `2 × {web} + {${id('hollow')}}`, { print: 'up' }) // prettier-ignore
  const height = trail.derive(id('hookHeight'), `Hook ${place}, height`, arm + nose, heightRule, `{${id('arm')}} + {${id('nose')}}`, { print: 'up' }) // prettier-ignore
  const half = trail.get('thickness:hook').value / 2
  const side = (name: 'left' | 'right', m: Measured): { value: number; id: string } => {
    const own = put(name, name === 'left' ? 'Left extent' : 'Right extent', m)
    const value = Math.max(m.value, half)
    return { value, id: (trail.derive(id(`${name}Past`), `Room to the ${name} of ${place}`, value, wideRule, `max({${own}}, {thickness:hook} / 2)`), id(`${name}Past`)) } // prettier-ignore
  }
  const [left, right] = [side('left', e.left), side('right', e.right)]
  const ids = { left: left.id, right: right.id, thick, hollow: id('hollow'), armHeight: id('arm'), length: id('hookLength'), height: id('hookHeight'), mass: massFigure(trail, tool) } // prettier-ignore
  return { seat: order.id, order, tool, place, envelope: e, hollow, arm, nose, rise, length, height, left: left.value, right: right.value, ids } // prettier-ignore
}

/** A loop or hole goes over the nose; a frame’s opening over nose and arm. @returns why not, else null */
function passes(input: PlanInput, trail: Trail, hook: Hook): Refusal | null {
  const { envelope, tool, order, place } = hook
  const { hole } = envelope
  if (!hole) return null
  const t = trail.get('thickness:hook').value
  const { web } = input.shop.settings
  const fit = FIT_SETTING[optionOf(choices, input, 'fit') as Fit]
  const play = settingOf(input, trail, fit)
  const framed = envelope.goesOver === 'frame'
  const rigid = envelope.goesOver === 'hook'
  const id = `pass:${order.id}`
  const needed = framed
    ? trail.derive(id, `Opening needed by ${place}`, hook.height + play, passRule, `{${hook.ids.height}} + {${fit}}`, { print: 'up' }) // prettier-ignore
    : trail.derive(id, `Loop needed by ${place}`, Math.hypot(t, rigid ? hook.height : web) + play, passRule, `√({thickness:hook}² + {${rigid ? hook.ids.height : 'web'}}²) + {${fit}}`, { print: 'up' }) // prettier-ignore
  const doubt = doubtFigure(input, trail, order, tool, 'hole', `Loop of ${place}`, hole)
  if (hole.value - trail.get(doubt).value >= needed - 1e-6) return null
  const [has, wants] = [formatLength(hole.value, input.shop), formatLength(needed, input.shop, 'up')]
  const what = framed ? 'opening' : 'loop or hole'
  return { id: `hole:${order.id}`, says: `${tool.name} is left out: its ${what} of ${has} doesn’t go over a hook, which wants ${wants}. Take thinner stock, or a peg.`, tool: tool.id, seats: [order.id] } // prettier-ignore
}
