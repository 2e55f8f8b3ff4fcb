import { defineStore } from 'pinia'
import { ref } from 'vue'
import { ask, WINDOW } from './backend'
import { useHistory } from './history'
import { useOutbox } from './outbox'
import { keyOf, RECORD_KINDS, taken, type RecordKind } from './record'
import { useRecords } from './records'

/** No sign of life from the server for this long, ms, means that the connection is cut. */
const SILENCE = 4500

/** News of many changes at once is waited for this long, ms, and then read in one go. */
const TOGETHER = 700

interface Heard {
  kind: RecordKind
  id: string
  version: number
  shop: string
}

/** Hears what is saved in other windows and takes it in, and notices when the server is gone. */
export const useLive = defineStore('live', () => {
  const records = useRecords()
  const outbox = useOutbox()
  const history = useHistory()
  /** `cut` while nothing is heard from the server */
  const connection = ref<'joining' | 'joined' | 'cut'>('joining')
  /** said once when a record shown here was changed elsewhere */
  const news = ref('')
  let silence: ReturnType<typeof setTimeout> | undefined
  let source: EventSource | undefined
  let many: ReturnType<typeof setTimeout> | undefined

  function alive(): void {
    clearTimeout(silence)
    silence = setTimeout(cut, SILENCE)
    if (connection.value === 'joined') return
    const again = connection.value === 'cut'
    connection.value = 'joined'
    if (again) void catchUp()
  }

  function cut(): void {
    connection.value = 'cut'
    source?.close()
    setTimeout(join, 1000)
  }

  /** After a cut, what was missed is read anew; what is unsaved here stays and is sent. */
  async function catchUp(): Promise<void> {
    outbox.hurry()
    const shop = records.shopId
    if (!shop) return records.load()
    for (const kind of RECORD_KINDS) {
      const answer = await ask<Record<string, unknown>[]>('GET', `/api/${kind}?shop=${encodeURIComponent(shop)}`)
      if (answer.kind === 'ok') for (const sent of answer.value) takeIn(kind, sent)
    }
  }

  function takeIn(kind: RecordKind, sent: Record<string, unknown>): void {
    const theirs = taken(kind, sent)
    const key = keyOf(theirs)
    const here = records.at(key)
    if (outbox.pending.has(key) || (here && here.version >= theirs.version)) return
    records.set(theirs)
    if (here && kind !== 'works') {
      history.forget(key)
      const name = here.data?.name ?? theirs.data?.name ?? 'A record'
      news.value = theirs.data ? `“${name}” was changed in another window.` : `“${name}” was deleted in another window.`
    }
  }

  async function hear(heard: Heard): Promise<void> {
    if (heard.kind !== 'shops' && heard.shop !== records.shopId) return
    const here = records.at(keyOf(heard))
    if (outbox.pending.has(keyOf(heard)) || (here && here.version >= heard.version)) return
    const answer = await ask<Record<string, unknown>>('GET', `/api/${heard.kind}/${encodeURIComponent(heard.id)}`)
    if (answer.kind === 'ok') takeIn(heard.kind, answer.value)
  }

  /** Begins to listen. */
  function join(): void {
    source?.close()
    source = new EventSource('/api/events')
    source.addEventListener('beat', alive)
    source.addEventListener('change', (event) => {
      alive()
      void hear(JSON.parse((event as MessageEvent<string>).data) as Heard)
    })
    source.addEventListener('many', (event) => {
      alive()
      const { shops, by } = JSON.parse((event as MessageEvent<string>).data) as { shops: string[]; by: string }
      if (by === WINDOW || !shops.includes(records.shopId ?? '')) return
      clearTimeout(many)
      many = setTimeout(() => void catchUp(), TOGETHER)
    })
    clearTimeout(silence)
    silence = setTimeout(cut, SILENCE)
  }

  return { connection, news, join }
})
