import { formOf } from '#core/forms/all-forms'
import type { Tool } from '#core/footprint/tool'
import type { Holder } from '#core/model/holder'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

/** Of like tools that there are many of, at most so many get a seat by themselves. */
const MOST_SEATS_OF_ONE = 24

/** Makes a holder for chosen tools and opens it. */
export function useNewHolder() {
  const records = useRecords()
  const history = useHistory()
  const router = useRouter()
  function newHolder(tools: Tool[], formId = 'finger-rail'): void {
    const form = formOf(formId)!
    const group = tools[0]?.group
    const same = group && tools.every((t) => t.group === group)
    const holder: Holder = {
      id: crypto.randomUUID(),
      name: same ? `${form.name}: ${group}` : `${form.name} ${records.holders.length + 1}`,
      form: form.id,
      seats: tools.flatMap((t) =>
        Array.from({ length: Math.min(t.count, MOST_SEATS_OF_ONE) }, () => ({
          id: crypto.randomUUID().slice(0, 8),
          tool: t.id,
          turn: form.attitude(t, records.shop!),
        })),
      ),
      choices: {},
    }
    history.change('New holder', 'holders', holder.id, holder)
    void router.push(`/holders/${holder.id}`)
  }
  return { newHolder }
}
