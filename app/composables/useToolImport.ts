import { ref, shallowRef } from 'vue'
import type { Tool } from '#core/footprint/tool'
import { counted } from '~/composables/counted'
import { ask } from '~/stores/backend'
import { useHistory, type Step } from '~/stores/history'
import { asChange, taken, type Kept, type ManyAnswer } from '~/stores/record'
import { useRecords } from '~/stores/records'

/** So many tools are saved in one transaction; between two the page gets its turn. */
const AT_ONCE = 200
/** So often, and so long after, a batch is sent again while the server is away; ms */
const TRIES = 5
const AGAIN = 1500

const breath = (ms = 0) => new Promise<void>((resolve) => setTimeout(resolve, ms))

/** A tool that was saved, and what it took the place of. */
interface Saved {
  now: Kept<'tools'>
  before: Kept<'tools'> | undefined
}

/** What came of an import. */
export interface ImportResult {
  added: number
  changed: number
  refused: { name: string; message: string }[]
  /** not sent, as the server could not be reached */
  unsent: number
}

/** Saves many tools in batches straight to the server, and takes them out again when it is cancelled. */
export function useToolImport() {
  const records = useRecords()
  const history = useHistory()
  const progress = ref(0)
  const result = shallowRef<ImportResult | null>(null)
  /** tools that a cancelled import could not take out again */
  const leftBehind = ref(0)
  let run = 0
  let waiting: ((tools: Tool[]) => void) | undefined

  const give = (tools: Tool[]) => waiting?.(tools)

  /** A tool of the list as a record of this shop: the one with its id where it is here, else a new one. */
  function recordFor(tool: Tool): Saved {
    const shop = records.shopId!
    const before = records.toolsById.has(tool.id) ? records.get('tools', tool.id) : undefined
    const id = before ? tool.id : crypto.randomUUID()
    return { before, now: { kind: 'tools', id, shop, version: before?.version ?? 0, data: { ...tool, id } } }
  }

  async function send(changes: readonly Kept[], mine: number | null): Promise<ManyAnswer | null> {
    for (let i = 0; i < TRIES && (mine === null || mine === run); i++) {
      const answer = await ask<ManyAnswer>('POST', '/api/changes', { changes: changes.map(asChange) })
      if (answer.kind === 'ok') return answer.value
      if (answer.kind === 'problem') {
        const { status, problem } = answer
        return { results: changes.map(() => ({ status, problem })) }
      }
      await breath(AGAIN)
    }
    return null
  }

  async function save(
    count: number,
    batch: (from: number, count: number) => void,
  ): Promise<ImportResult | 'cancelled'> {
    const mine = ++run
    const saved: Saved[] = []
    const told: ImportResult = { added: 0, changed: 0, refused: [], unsent: 0 }
    progress.value = 0
    result.value = null
    leftBehind.value = 0
    for (let from = 0; from < count; from += AT_ONCE) {
      const tools = await new Promise<Tool[]>((resolve) => {
        waiting = resolve
        batch(from, AT_ONCE)
      })
      const going = tools.map(recordFor)
      const answer = mine === run ? await send(going.map((g) => g.now), mine) : null // prettier-ignore
      answer?.results.forEach((r, i) => {
        const { now, before } = going[i]!
        if (r.record) saved.push({ before, now: taken('tools', r.record) })
        else told.refused.push({ name: now.data!.name, message: r.problem?.detail ?? '' })
      })
      if (mine !== run) {
        void takeOut(saved)
        return 'cancelled'
      }
      if (!answer) {
        told.unsent = count - from
        break
      }
      progress.value = Math.min(1, (from + AT_ONCE) / count)
    }
    await show(saved)
    told.changed = saved.filter((s) => s.before).length
    told.added = saved.length - told.changed
    result.value = told
    return told
  }

  /** Puts what was saved into the tray, some at a time. */
  async function show(saved: readonly Saved[]): Promise<void> {
    for (let i = 0; i < saved.length; i += AT_ONCE) {
      for (const { now } of saved.slice(i, i + AT_ONCE)) records.set(now)
      await breath()
    }
    const steps = saved.map(({ now, before }): Step => {
      const { kind, id, shop, data } = now
      return { kind, id, shop, before: before?.data ?? null, after: data }
    })
    if (steps.length > 0) history.note(`Import of ${counted(steps.length, 'tool')}`, steps)
  }

  /** Brings the server back to how it was before. */
  async function takeOut(saved: readonly Saved[]): Promise<void> {
    for (let i = 0; i < saved.length; i += AT_ONCE) {
      const batch = saved.slice(i, i + AT_ONCE)
      const back = batch.map(({ now, before }): Kept => ({ ...now, data: before?.data ?? null }))
      const answer = await send(back, null)
      batch.forEach(({ now, before }, j) => {
        const r = answer?.results[j]
        if (before) records.set(r?.record ? taken('tools', r.record) : now)
        else if (!r?.record) {
          records.set(now)
          leftBehind.value++
        }
      })
    }
  }

  function cancel(): void {
    run++
    waiting?.([]) // what it waits for does not come any more
  }

  return { progress, result, leftBehind, give, run: save, cancel }
}
