import { defineStore } from 'pinia'
import { computed, ref, shallowReactive } from 'vue'
import { useOutbox } from './outbox'
import { keyOf, type Contents, type Kept, type RecordKind } from './record'
import { useRecords } from './records'

/** One record before and after a change; null where it did not exist. */
export interface Step {
  kind: RecordKind
  id: string
  shop: string
  before: Kept['data']
  after: Kept['data']
}

/** What was done in one go, under a name that stands behind 'Undo'. */
interface Deed {
  label: string
  steps: Step[]
  at: number
}

/** Changes of the same name to the same records within this many ms are one deed: a figure typed digit by digit. */
const TOGETHER = 1500
/** How many deeds can be undone. */
const MOST = 200

/** Every change goes through here: it is made at once, saved by itself, and can be undone. */
export const useHistory = defineStore('history', () => {
  const records = useRecords()
  const outbox = useOutbox()
  const done = shallowReactive<Deed[]>([])
  const undone = shallowReactive<Deed[]>([])
  /** since when a hand holds what it changes; null while none does */
  const held = ref<number | null>(null)

  function put(step: Step, data: Kept['data']): void {
    const now = records.get(step.kind, step.id)
    const record = { kind: step.kind, id: step.id, shop: step.shop, version: now?.version ?? 0, data } as Kept
    records.set(record)
    outbox.changed(record)
  }

  /** Makes several changes in one go. `alone`: never one deed with the one before it, as a button pressed twice is two. */
  function act(
    label: string,
    changes: { kind: RecordKind; id: string; shop: string; data: Kept['data'] }[],
    alone = true,
  ): void {
    const steps = changes.map(({ data, ...of }): Step => ({
      ...of,
      before: records.get(of.kind, of.id)?.data ?? null,
      after: data,
    }))
    for (const step of steps) put(step, step.after)
    const last = done.at(-1)
    const keys = (deed: { steps: Step[] }) => deed.steps.map(keyOf).join()
    const goesOn = last && (Date.now() - last.at < TOGETHER || (held.value !== null && last.at >= held.value))
    if (!alone && goesOn && last.label === label && keys(last) === keys({ steps })) {
      const merged = last.steps.map((s, i) => ({ ...s, after: steps[i]!.after }))
      done.splice(-1, 1, { label, steps: merged, at: Date.now() })
    } else {
      done.push({ label, steps, at: Date.now() })
      if (done.length > MOST) done.shift()
    }
    undone.length = 0
  }

  /** From now on changes of the same name to the same records are one deed, however slow. @returns lets go */
  function hold(): () => void {
    held.value = Date.now()
    return () => (held.value = null)
  }

  /** Notes a deed that is saved already, so that it can be undone like any other. */
  function note(label: string, steps: Step[]): void {
    done.push({ label, steps, at: 0 })
    if (done.length > MOST) done.shift()
    undone.length = 0
  }

  /** Changes one record of the current shop; null deletes it. What is typed digit by digit is one deed, unless `alone`. */
  function change<K extends RecordKind>(
    label: string,
    kind: K,
    id: string,
    data: Contents[K] | null,
    alone = false,
  ): void {
    const shop = records.get(kind, id)?.shop ?? (kind === 'shops' ? id : records.shopId!)
    act(label, [{ kind, id, shop, data }], alone)
  }

  function undo(): void {
    const deed = done.pop()
    if (!deed) return
    for (const step of [...deed.steps].reverse()) put(step, step.before)
    undone.push(deed)
  }

  function redo(): void {
    const deed = undone.pop()
    if (!deed) return
    for (const step of deed.steps) put(step, step.after)
    done.push({ ...deed, at: 0 })
  }

  /** Drops what would undo somebody else's change: deeds about a record that came anew from elsewhere. */
  function forget(key: string): void {
    for (const list of [done, undone]) {
      const kept = list.filter((deed) => !deed.steps.some((s) => keyOf(s) === key))
      list.splice(0, list.length, ...kept)
    }
  }

  return {
    act, hold, holding: computed(() => held.value !== null), note, change, undo, redo, forget,
    undoable: computed(() => done.at(-1)?.label ?? null),
    redoable: computed(() => undone.at(-1)?.label ?? null),
  } // prettier-ignore
})
