import { onBeforeUnmount, ref, shallowRef } from 'vue'
import type { BuildNext } from '#core/choose/build-next'
import type { Shares } from '#core/choose/share-out'
import type { FormOffer } from '#core/choose/which-form'
import type { Tool } from '#core/footprint/tool'
import { formOf } from '#core/forms/all-forms'
import type { Shop } from '#core/shop/shop'
import type { FromChoose, SentOffer, ToChoose } from '~/workers/choose-messages'

const received = (offer: SentOffer): FormOffer => ({ ...offer, form: formOf(offer.form)! })

/** Has forms of holder planned for tools in a worker; what is asked last is answered, and nothing before it. */
export function useChoosing() {
  const offers = shallowRef<FormOffer[] | null>(null)
  const shares = shallowRef<Shares | null>(null)
  const next = shallowRef<BuildNext[] | null>(null)
  const failed = ref('')
  let worker: Worker | undefined

  function stop(): void {
    worker?.terminate()
    worker = undefined
  }
  function hear(said: FromChoose): void {
    if (said.say === 'which form') {
      offers.value = said.offers.map(received)
      shares.value = { ...said.shares, offers: said.shares.offers.map(received) }
    } else if (said.say === 'build next') next.value = said.next.map((n) => ({ ...n, offer: received(n.offer) }))
    else failed.value = said.message
    stop()
  }
  function ask(what: ToChoose['ask'], shop: Shop, tools: readonly Tool[]): void {
    stop()
    failed.value = ''
    worker = new Worker(new URL('../workers/choose.worker.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<FromChoose>) => hear(data)
    worker.onerror = () => hear({ say: 'failed', message: 'this browser can’t work them out' })
    worker.postMessage(JSON.parse(JSON.stringify({ ask: what, shop, tools })))
  }
  onBeforeUnmount(stop)
  return { offers, shares, next, failed, ask }
}
