import { largestSound } from '../shop/sound-parts'
import { USES, type Tool } from '../footprint/tool'
import type { Shop } from '../shop/shop'
import { whichForm, type FormOffer } from './which-form'

/** A holder worth building next: for which tools, in which form, and why. */
export interface BuildNext {
  tools: Tool[]
  offer: FormOffer
  /** in the shop's words */
  why: string
  /** an offcut of the bin is large enough for its largest board */
  fromBin: string | null
}

/** From 0, rarely, to 3, daily. */
const often = (t: Tool): number => USES.length - 1 - USES.indexOf(t.use)

/** The offcut, the smallest first, out of which the largest board of an offer can be cut; null for none. */
function offcutFor(shop: Shop, { design }: FormOffer): string | null {
  const boards = design?.model?.boards ?? []
  if (boards.length === 0) return null
  const largest = boards.reduce((a, b) => (b.length * b.width > a.length * a.width ? b : a))
  const fits = shop.offcuts
    .filter((o) => o.material === largest.material && Math.abs(o.thickness - largest.thickness / largest.layers) <= 0.5)
    .filter((o) => {
      const sound = largestSound(o)
      return sound && sound.length >= largest.length && sound.width >= largest.width
    })
    .sort((a, b) => a.length * (a.width ?? 0) - b.length * (b.width ?? 0))
  return fits[0]?.name ?? null
}

/**
 * What to build next: tools without a home by their groups, those used most first, each group in the form that holds most
 * of it. Tools of which nothing is measured are left out.
 * @param homeless tools that no holder has a seat for
 */
export function buildNext(shop: Shop, homeless: readonly Tool[], most = 3): BuildNext[] {
  const groups = new Map<string, Tool[]>()
  for (const t of homeless.filter((x) => x.presence !== 'missing')) {
    const key = t.group || t.kind
    groups.set(key, [...(groups.get(key) ?? []), t])
  }
  const ranked = [...groups.entries()].sort((a, b) => b[1].reduce((s, t) => s + often(t), 0) - a[1].reduce((s, t) => s + often(t), 0) || a[0].localeCompare(b[0])) // prettier-ignore
  const found: BuildNext[] = []
  for (const [name, tools] of ranked) {
    if (found.length >= most) break
    const offer = whichForm(shop, tools).find((o) => o.holds.length > 0 && o.design !== null && o.level !== 'stop')
    if (!offer) continue
    const daily = offer.holds.filter((t) => t.use === 'daily').length
    const fromBin = offcutFor(shop, offer)
    const why = [
      `${offer.holds.length} of ${tools.length} ${name} without a home`,
      ...(daily > 0 ? [`${daily} used daily`] : []),
      ...(fromBin ? [`${fromBin} in the bin is enough`] : []),
    ].join(', ')
    found.push({ tools: offer.holds, offer, why, fromBin })
  }
  return found
}
