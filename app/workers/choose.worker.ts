import { buildNext } from '#core/choose/build-next'
import { shareOut } from '#core/choose/share-out'
import { whichForm, type FormOffer } from '#core/choose/which-form'
import type { FromChoose, SentOffer, ToChoose } from './choose-messages'

/** Plans every form for some tools, and settles its answers, off the page's own thread. */
const answer = (message: FromChoose): void => (self as unknown as Worker).postMessage(message)

const sent = (offer: FormOffer): SentOffer => ({ ...offer, form: offer.form.id })

self.onmessage = ({ data: { ask, shop, tools } }: MessageEvent<ToChoose>) => {
  try {
    if (ask === 'which form') {
      const offers = whichForm(shop, tools)
      const shares = shareOut(shop, tools, offers)
      answer({ say: ask, offers: offers.map(sent), shares: { ...shares, offers: shares.offers.map(sent) } })
    } else answer({ say: ask, next: buildNext(shop, tools).map((n) => ({ ...n, offer: sent(n.offer) })) })
  } catch (error) {
    answer({ say: 'failed', message: error instanceof Error ? error.message : String(error) })
  }
}
