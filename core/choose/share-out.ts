import type { Tool } from '../footprint/tool'
import type { Shop } from '../shop/shop'
import { timesTold, whichForm, type FormOffer } from './which-form'

/** A heap of tools shared out over several holders. */
export interface Shares {
  /** what each holder is and holds; no tool is in two of them */
  offers: FormOffer[]
  /** tools that no form holds as things are */
  left: Tool[]
}

/** Whether a form can be drawn for what it holds, and nothing stops it. */
const isSound = ({ holds, design, level }: FormOffer): boolean =>
  holds.length > 0 && design !== null && level !== 'stop'

/** How good a share is: what is to be looked at counts as much as a tool more that could be held. */
const worth = ({ holds, level }: FormOffer): number => holds.length - (level === 'pass' ? 0 : 1)

/** The best of what can be had, the first of those that are as good. */
const bestOf = (offers: readonly FormOffer[]): FormOffer | undefined =>
  offers.filter(isSound).sort((a, b) => worth(b) - worth(a) || timesTold(a) - timesTold(b))[0]

/**
 * Shares tools out over holders where no one form holds all of them: the form that holds most first, then the one that holds most
 * of what is left, and so on. No form is taken that the checks stop.
 * @param first what `whichForm` says of all of them, the likeliest first
 */
export function shareOut(shop: Shop, tools: readonly Tool[], first: readonly FormOffer[]): Shares {
  const offers: FormOffer[] = []
  let left = [...tools]
  let asked = first
  while (left.length > 0) {
    const best = bestOf(asked)
    if (!best) break
    offers.push(best)
    left = left.filter((t) => !best.holds.includes(t))
    if (left.length > 0) asked = whichForm(shop, left)
  }
  return { offers, left }
}
