import { boredBy, chooseBit, neededOpening } from '../../fit/bore'
import type { Kind } from '../../footprint/kind'
import { kindOf } from '../../footprint/kinds'
import { carriedMass, type Tool } from '../../footprint/tool'
import type { SeatOrder } from '../../model/holder'
import { FIT_SETTING, SURE_SETTING, type Shop } from '../../shop/shop'
import { bearing } from './layout'
import { inSlot } from './seats'

/** The attitude in which a blade wants the narrowest slot, so that what is above it rests on the most wood. */
function narrowest(kind: Kind, tool: Tool): SeatOrder['turn'] {
  const across = (turn: SeatOrder['turn']): number => {
    const e = inSlot(kind, tool, turn)
    return e && !('missing' in e) ? e.neckAcross.value : Infinity
  }
  return kind.attitudes.map((a) => a.turn).reduce((a, b) => (across(b) < across(a) ? b : a))
}

/**
 * The first attitude, beginning with face out, in which a head bears on enough wood beside a slot for its neck at a
 * sliding fit; face out when none does or the tool is not measured.
 */
export function bestAttitude(tool: Tool, shop: Shop): SeatOrder['turn'] {
  const kind = kindOf(tool.kind)
  const { settings } = shop
  const wanted = (carriedMass(tool) ?? 0) > settings.heavyFrom ? settings.bearingHeavy : settings.bearing
  for (const { turn } of kind?.attitudes ?? []) {
    const e = inSlot(kind!, tool, turn)
    if (!e || 'missing' in e) return 0
    if ('shoulders' in e) return narrowest(kind!, tool)
    const doubt = settings[SURE_SETTING[tool.sure]]
    const needed = neededOpening(e.neckAcross.value, doubt, settings[FIT_SETTING.sliding])
    const bit = chooseBit({ needed, bits: shop.bits })
    const narrow = Math.min(e.left.value, e.right.value) - doubt / 2
    if (bearing(narrow, bit ? boredBy(bit) : needed) >= wanted) return turn
  }
  return 0
}
