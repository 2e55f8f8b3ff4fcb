import { defineStore } from 'pinia'
import { computed, ref, shallowReactive } from 'vue'
import type { Tool } from '#core/footprint/tool'
import type { PlanInput } from '#core/forms/form'
import type { Holder } from '#core/model/holder'
import { cutPieces } from '#core/model/work'
import type { Shop } from '#core/shop/shop'
import type { Wall } from '#core/wall/wall'
import { ask } from './backend'
import { ofKey, RECORD_KINDS, taken, type Contents, type Kept, type RecordKind } from './record'

const CHOSEN = 'fingerling:shop'

/** The list as it was, where nothing in it is another now: what is worked out from it then stands too. */
const steady = <T>(before: T[] | undefined, now: T[]): T[] =>
  before?.length === now.length && now.every((item, i) => item === before[i]) ? before : now

/** Every record of the current shop, and the shops themselves, as this page has them now. */
export const useRecords = defineStore('records', () => {
  /** By kind, so that what is worked out from one kind isn't asked anew when a record of another changes. */
  const all = Object.fromEntries(
    RECORD_KINDS.map((kind) => [kind, shallowReactive(new Map<string, Kept>())]),
  ) as Record<RecordKind, Map<string, Kept>>
  const shopId = ref<string | null>(null)
  /** `loading` at first, `away` when the server could not be asked, then `here` */
  const state = ref<'loading' | 'away' | 'here'>('loading')

  const get = <K extends RecordKind>(kind: K, id: string) => all[kind].get(id) as Kept<K> | undefined
  const set = (record: Kept) => void all[record.kind].set(record.id, record)
  /** The record of a key, as `keyOf` makes it. */
  function at(key: string): Kept | undefined {
    const { kind, id } = ofKey(key)
    return get(kind, id)
  }

  /** Every record of a kind that is not deleted; of the current shop, save for shops. */
  function living<K extends RecordKind>(kind: K): (Kept<K> & { data: Contents[K] })[] {
    const found = [...all[kind].values()].filter((r) => r.data && (kind === 'shops' || r.shop === shopId.value))
    return found as (Kept<K> & { data: Contents[K] })[]
  }

  const shops = computed(() => living('shops').map((r) => ({ id: r.id, shop: r.data })))
  const shop = computed<Shop | null>(() => (shopId.value ? (get('shops', shopId.value)?.data ?? null) : null))
  const tools = computed<Tool[]>((before) => steady(before, living('tools').map((r) => r.data))) // prettier-ignore
  const toolsById = computed<ReadonlyMap<string, Tool>>(() => new Map(tools.value.map((t) => [t.id, t])))
  const walls = computed<Wall[]>((before) => steady(before, living('walls').map((r) => r.data))) // prettier-ignore
  const holders = computed<Holder[]>((before) => steady(before, living('holders').map((r) => r.data))) // prettier-ignore

  /** Tools that have a place in a holder; the same set as long as they are the same tools. */
  const housed = computed<ReadonlySet<string>>((before) => {
    const now = new Set(holders.value.flatMap((h) => h.seats.map((s) => s.tool)))
    return before?.size === now.size && [...now].every((id) => before.has(id)) ? before : now
  })

  /** What a holder of the current shop is planned from. */
  const inputOf = (holder: Holder): PlanInput => ({
    shop: shop.value!,
    tools: toolsById.value,
    holder,
    cut: cutPieces(get('works', holder.id)?.data),
  })

  async function fetchAll<K extends RecordKind>(kind: K, of: string): Promise<boolean> {
    const answer = await ask<Record<string, unknown>[]>('GET', `/api/${kind}${of}`)
    if (answer.kind !== 'ok') return false
    for (const sent of answer.value) set(taken(kind, sent))
    return true
  }

  /** Reads the shops, and everything in the one that was used last. */
  async function load(): Promise<void> {
    if (!(await fetchAll('shops', ''))) {
      state.value = 'away'
      return
    }
    const last = localStorage.getItem(CHOSEN)
    const found = shops.value.find((s) => s.id === last) ?? shops.value[0]
    if (found) await enter(found.id)
    else state.value = 'here'
  }

  /** Goes to another shop. */
  async function enter(id: string): Promise<void> {
    const query = `?shop=${encodeURIComponent(id)}`
    const read =
      get('shops', id)?.version === 0 ||
      (
        await Promise.all([
          fetchAll('tools', query),
          fetchAll('holders', query),
          fetchAll('works', query),
          fetchAll('walls', query),
        ])
      ).every(Boolean)
    if (!read) {
      state.value = 'away'
      return
    }
    shopId.value = id
    localStorage.setItem(CHOSEN, id)
    state.value = 'here'
  }

  return { shopId, state, shops, shop, tools, toolsById, holders, walls, housed, inputOf, get, at, set, load, enter }
})
