import { computed, type Ref } from 'vue'
import { standing, type Work } from '#core/model/work'
import { useOutbox } from '~/stores/outbox'
import type { Kept } from '~/stores/record'
import { useRecords } from '~/stores/records'

/** What is ticked off of the work on a holder: kept in this browser at once, on the server as soon as it can be reached. */
export function useWork(holder: Ref<{ id: string; name: string } | null>) {
  const records = useRecords()
  const outbox = useOutbox()
  const kept = computed(() => (holder.value ? records.get('works', holder.value.id) : undefined))
  const work = computed<Work | null>(() => kept.value?.data ?? null)
  /** How a step stands that makes this now. */
  const stands = (step: string, as: string) => standing(work.value, step, as)

  function put(ticks: Work['ticks']): void {
    if (!holder.value || !records.shopId) return
    const { id, name } = holder.value
    const record: Kept<'works'> = {
      kind: 'works',
      id,
      shop: records.shopId,
      version: kept.value?.version ?? 0,
      data: { id, name, ticks },
    }
    records.set(record)
    outbox.changed(record)
  }
  /** @param as what it makes by the plan as it is now; '' where that does not matter */
  const tick = (step: string, is: boolean, as = '') =>
    put({ ...work.value?.ticks, [step]: { at: new Date().toISOString(), done: is, ...(is && as ? { as } : {}) } })
  /** Begins anew: every step is open again. */
  const again = () =>
    put(Object.fromEntries(Object.keys(work.value?.ticks ?? {}).map((s) => [s, { at: new Date().toISOString(), done: false }]))) // prettier-ignore

  return { work, stands, tick, again }
}
