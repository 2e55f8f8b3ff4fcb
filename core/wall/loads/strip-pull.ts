import type { Design } from '../../choose/design'
import { bevelPair } from '../../fit/bevel'
import { withdrawalRule } from '../../checks/rules'
import { pairRule } from '../../forms/hanging'
import { gravityOf, screwDiameter, withdrawal, withdrawalText } from '../../fit/screw'
import type { Fastener } from '../../model/model'
import { SETTINGS, type SettingKey } from '../../shop/settings'
import type { Shop } from '../../shop/shop'
import { rippingSaw } from '../../shop/usual-choice'
import { GRAVITY, GRAVITY_TEXT } from '../../units/gravity'
import type { Working } from '../../working/figure'
import { Trail } from '../../working/trail'
import { atBevelRule, atScrewRule, hungMassRule, screwPullRule, stripPullRule } from './rules'

/** Ids of the two figures that are compared. */
export const PULL = 'wall:screwPull'
export const HOLDS = 'wall:screwHolds'

/** Out from the wall and over the foot where a holder’s own checks don’t say, mm. */
const UNKNOWN = 100

/**
 * The pull that a holder has on each of the screws of its wall strip, and what a screw holds against it, N; with their
 * working, which goes on where the holder's own ends.
 * @param mass of the holder with its tools, kg
 * @param screws those that it covers; at least one. What a plug or a self-drilling screw holds is its maker's to say: null
 * @source (P y_bevel + W t / 2) / y_screw, P = max(W tan a, W d / h); docs/rules.md
 */
export function stripPull(
  { model, working }: Design,
  mass: number,
  screws: readonly Fastener[],
  shop: Shop,
): { pull: number; holds: number | null; working: Working } {
  const trail = Trail.from(working)
  const set = (key: SettingKey): number => trail.has(key) ? trail.get(key).value : trail.given(key, SETTINGS[key].label, shop.settings[key], { kind: 'shop', key }, { quantity: SETTINGS[key].quantity }) // prettier-ignore
  const [t, bevel, pair] = [set('stripThickness'), set('stripBevel'), set('stripWidth')]
  const lean = Math.tan((bevel * Math.PI) / 180)
  const saw = rippingSaw(shop, bevel)
  if (saw) trail.given('wall:kerf', `Kerf of the ${saw.name}`, saw.kerf, { kind: 'saw', id: saw.id })
  const long = bevelPair(pair, t, saw?.kerf ?? 0, bevel).long
  const face = trail.derive('wall:face', 'Wide face of a wall strip', long, pairRule, `({stripWidth} + {stripThickness} × tan({stripBevel})${saw ? ' − {wall:kerf} / cos({stripBevel})' : ''}) / 2`) // prettier-ignore
  const weighed = ['woodMass', ...(model?.seats ?? []).filter((s) => s.mass !== null).map((s) => s.figures.mass ?? '')]
  const known = weighed.every((id) => trail.has(id))
  trail.derive('wall:mass', 'The holder with its tools', mass, hungMassRule, known ? weighed.map((id) => `{${id}}`).join(' + ') : `[${mass} kg]`, { quantity: 'mass' }) // prettier-ignore
  const reckoned = trail.has('loadOut') && trail.has('bevelArm') && trail.get('bevelArm').value > 0
  const [out, arm] = reckoned ? [trail.get('loadOut').value, trail.get('bevelArm').value] : [UNKNOWN, UNKNOWN]
  const weight = mass * GRAVITY
  const p = trail.derive('wall:pull', 'Pull at the bevel', Math.max(weight * lean, (weight * out) / arm), stripPullRule, `{wall:mass} × ${GRAVITY_TEXT} × max(tan({stripBevel}), ${reckoned ? '{loadOut} / {bevelArm}' : `[${UNKNOWN} mm] / [${UNKNOWN} mm]`})`, { quantity: 'force', print: 'up' }) // prettier-ignore
  const high = trail.derive('wall:atBevel', 'Middle of the bevel over the strip’s lower edge', face - (t * lean) / 2, atBevelRule, '{wall:face} − {stripThickness} × tan({stripBevel}) / 2') // prettier-ignore
  const low = trail.derive('wall:atScrew', 'Screws over the strip’s lower edge', (face - t * lean) / 2, atScrewRule, '({wall:face} − {stripThickness} × tan({stripBevel})) / 2') // prettier-ignore
  const pull = trail.derive(PULL, 'Pull on a screw of the strip', (p * high + (weight * t) / 2) / low / screws.length, screwPullRule, `({wall:pull} × {wall:atBevel} + {wall:mass} × ${GRAVITY_TEXT} × {stripThickness} / 2) / {wall:atScrew} / ${screws.length}`, { quantity: 'force', print: 'up', note: screws.length === 1 ? 'one screw under the holder' : `${screws.length} screws under the holder` }) // prettier-ignore
  const [screw] = screws
  if (screw!.gauge === null) return { pull, holds: null, working: trail.all() }
  const density = set('wallDensity')
  const origin = { kind: 'screw', id: screw!.item, key: 'gauge' } as const
  const gauge = trail.given('wall:gauge', `Gauge of ${screw!.name}`, screw!.gauge, origin, { quantity: 'count' })
  const bite = trail.given('wall:bite', 'Thread in the stud', screw!.bite, { kind: 'screw', id: screw!.item, key: 'length' }) // prettier-ignore
  const holds = trail.derive(HOLDS, 'What a screw holds against being pulled out', withdrawal(gravityOf(density), screwDiameter(gauge)) * bite, withdrawalRule, withdrawalText('wallDensity', '(0.06 + 0.013 × {wall:gauge})', 'wall:bite'), { quantity: 'force', print: 'down' }) // prettier-ignore
  return { pull, holds, working: trail.all() }
}
