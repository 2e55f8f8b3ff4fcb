import type { BuildNext } from '#core/choose/build-next'
import type { Shares } from '#core/choose/share-out'
import type { FormOffer } from '#core/choose/which-form'
import type { Tool } from '#core/footprint/tool'
import type { Shop } from '#core/shop/shop'

/** An offer as it goes from a worker to the page: a form by its id, for its functions can't be sent. */
export type SentOffer = Omit<FormOffer, 'form'> & { form: string }

/** What the page asks: which form for these tools, or what to build next of tools without a home. */
export interface ToChoose {
  ask: 'which form' | 'build next'
  shop: Shop
  tools: Tool[]
}

export type FromChoose =
  | { say: 'which form'; offers: SentOffer[]; shares: Omit<Shares, 'offers'> & { offers: SentOffer[] } }
  | { say: 'build next'; next: (Omit<BuildNext, 'offer'> & { offer: SentOffer })[] }
  | { say: 'failed'; message: string }
