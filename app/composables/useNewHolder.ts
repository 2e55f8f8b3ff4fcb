import { shallowRef } from 'vue'
import { holderFrom, type FormOffer } from '#core/choose/which-form'
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

  function make(offer: FormOffer): void {
    const { form, holds } = offer
    const group = holds[0]?.group
    const same = group && holds.every((t) => t.group === group)
    const name = (same ? `${form.name}: ${group}` : `${form.name} ${records.holders.length + 1}`).slice(0, 120)
    const holder = holderFrom(offer, { id: crypto.randomUUID(), name }, () => crypto.randomUUID().slice(0, 8))
    wanted.value = null
    history.change('New holder', 'holders', holder.id, holder)
    void router.push(`/holders/${holder.id}`)
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
  }
}
