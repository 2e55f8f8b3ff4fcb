import { shallowRef } from 'vue'
import { holderFrom, type FormOffer } from '#core/choose/which-form'
import type { Holder } from '#core/model/holder'
import type { Tool } from '#core/footprint/tool'
import { useNotice } from '~/composables/useNotice'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

/** The most places that are asked about for one holder. */
const MOST = 150

/** The tools that a holder is wanted for, while it is asked which. */
const wanted = shallowRef<readonly Tool[] | null>(null)

/** Asks which holder it is to be, makes it for the chosen tools and opens it. */
export function useNewHolder() {
  const records = useRecords()
  const history = useHistory()
  const router = useRouter()
  const notice = useNotice()

  /** @param n how many holders there are before it */
  function holderOf(offer: FormOffer, n: number): Holder {
    const { form, holds } = offer
    const group = holds[0]?.group
    const same = group && holds.every((t) => t.group === group)
    const name = (same ? `${form.name}: ${group}` : `${form.name} ${n + 1}`).slice(0, 120)
    return holderFrom(offer, { id: crypto.randomUUID(), name }, () => crypto.randomUUID().slice(0, 8))
  }
  function make(offer: FormOffer): void {
    const holder = holderOf(offer, records.holders.length)
    wanted.value = null
    history.change('New holder', 'holders', holder.id, holder)
    void router.push(`/holders/${holder.id}`)
  }
  /** Makes several holders in one go, and shows them all. */
  function makeAll(offers: readonly FormOffer[]): void {
    const made = offers.map((offer, i) => holderOf(offer, records.holders.length + i))
    const shop = records.shopId!
    wanted.value = null
    history.act('New holders', made.map((holder) => ({ kind: 'holders', id: holder.id, shop, data: holder }))) // prettier-ignore
    void router.push('/holders')
  }
  return {
    wanted,
    ask(tools: readonly Tool[]): void {
      const places = tools.reduce((n, t) => n + t.count, 0)
      if (places > MOST) notice.say(`${places} places are too many for one holder: choose at most ${MOST}.`)
      else wanted.value = tools
    },
    leave: () => (wanted.value = null),
    make,
    makeAll,
  }
}
