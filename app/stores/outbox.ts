import { defineStore } from 'pinia'
import { computed, shallowReactive } from 'vue'
import { mergeWork } from '#core/model/work'
import { ask, type Problem } from './backend'
import {
  asChange,
  keyOf,
  RECORD_KINDS,
  sameData,
  sending,
  taken,
  type ManyAnswer,
  type Kept,
  type RecordKind,
} from './record'
import { useRecords } from './records'

/** How long after the last change a record is sent, and how long after a failure it is tried again, ms. */
const PAUSE = 350
const AGAIN = 1500
/** From so many records on, they are sent together, and so many at once. */
const TOGETHER = 12
const AT_ONCE = 200
const BOX = 'fingerling:unsaved:'

/** Where a record stands on its way to the server. */
export interface Pending {
  state: 'changed' | 'sending' | 'away' | 'refused' | 'conflict'
  /** being sent again after the server was away: it still counts as away until an answer comes */
  again?: boolean
  /** what was wrong, when refused */
  message?: string
  /** what the server has, when somebody else saved in between */
  theirs?: Kept
}

/** Sends every change by itself, keeps what can't be sent yet in the browser, and never saves over somebody else's work. */
export const useOutbox = defineStore('outbox', () => {
  const records = useRecords()
  const pending = shallowReactive(new Map<string, Pending>())
  const timers = new Map<string, ReturnType<typeof setTimeout>>()

  const conflicts = computed(() =>
    [...pending].filter(([, p]) => p.state === 'conflict').map(([key, p]) => ({ key, theirs: p.theirs! })),
  )
  const refusals = computed(() =>
    [...pending].filter(([, p]) => p.state === 'refused').map(([key, p]) => ({ key, message: p.message! })),
  )
  const state = computed<'saved' | 'saving' | 'away' | 'attention'>(() => {
    const states = [...pending.values()].map((p) => (p.again ? 'away' : p.state))
    if (states.some((s) => s === 'conflict' || s === 'refused')) return 'attention'
    if (states.includes('away')) return 'away'
    return states.length > 0 ? 'saving' : 'saved'
  })

  /** Records whose turn has come, sent in one go at the end of it. */
  const due = new Set<string>()
  const later = (key: string, ms: number) => {
    clearTimeout(timers.get(key))
    timers.set(key, setTimeout(() => fallDue(key), ms)) // prettier-ignore
  }

  function fallDue(key: string): void {
    if (due.size === 0) setTimeout(sendDue)
    due.add(key)
  }

  function sendDue(): void {
    const keys = [...due]
    due.clear()
    if (keys.length < TOGETHER) for (const key of keys) void send(key)
    else for (let i = 0; i < keys.length; i += AT_ONCE) void sendTogether(keys.slice(i, i + AT_ONCE))
  }

  /** Notes that a record has changed here and must be saved. */
  function changed(record: Kept): void {
    const key = keyOf(record)
    try {
      localStorage.setItem(BOX + key, JSON.stringify(record))
    } catch {
      // the browser keeps nothing for us; the record still goes to the server
    }
    const now = pending.get(key)
    if (now?.state === 'conflict') return
    if (now?.state === 'sending') return // it is looked at again when the answer comes
    pending.set(key, { state: now?.state === 'away' ? 'away' : 'changed' })
    later(key, PAUSE)
  }

  function settled(key: string): void {
    localStorage.removeItem(BOX + key)
    pending.delete(key)
  }

  /** The record as it goes out now, marked as on its way; null when there is nothing to send. */
  function outgoing(key: string): Kept | null {
    const record = records.at(key)
    const now = pending.get(key)
    if (!record || !now || now.state === 'sending' || now.state === 'conflict') return null
    if (record.data === null && record.version === 0) {
      settled(key) // made and deleted again before it was ever saved
      return null
    }
    pending.set(key, { state: 'sending', ...(now.state === 'away' ? { again: true } : {}) })
    return record
  }

  async function send(key: string): Promise<void> {
    const record = outgoing(key)
    if (!record) return
    const path = `/api/${record.kind}/${encodeURIComponent(record.id)}`
    const answer =
      record.data === null
        ? await ask<Record<string, unknown>>('DELETE', `${path}?version=${record.version}`)
        : await ask<Record<string, unknown>>('PUT', path, sending(record))

    if (answer.kind === 'away') return tryAgain(key)
    if (answer.kind === 'ok') return saved(key, record, taken(record.kind, answer.value))
    turnedDown(key, record, answer.status, answer.problem)
  }

  /** Many records in one request; each is answered by itself. */
  async function sendTogether(keys: string[]): Promise<void> {
    const sent = keys.map(outgoing).filter((r) => r !== null)
    if (sent.length === 0) return
    const answer = await ask<ManyAnswer>('POST', '/api/changes', { changes: sent.map(asChange) })
    const results = answer.kind === 'ok' ? answer.value.results : []
    sent.forEach((record, i) => {
      const key = keyOf(record)
      const result = results[i]
      if (!result)
        return answer.kind === 'problem' ? turnedDown(key, record, answer.status, answer.problem) : tryAgain(key)
      if (result.record) saved(key, record, taken(record.kind, result.record))
      else turnedDown(key, record, result.status, result.problem!)
    })
  }

  function tryAgain(key: string): void {
    pending.set(key, { state: 'away' })
    later(key, AGAIN)
  }

  function turnedDown(key: string, record: Kept, status: number, problem: Problem): void {
    if (status === 409) stale(key, record, taken(record.kind, problem.current as Record<string, unknown>))
    else pending.set(key, { state: 'refused', message: problem.detail })
  }

  /** The server has `sent`; what was typed since goes after it. */
  function saved(key: string, sent: Kept, theirs: Kept): void {
    const latest = records.at(key)!
    records.set({ ...latest, version: theirs.version })
    if (latest.data === sent.data) return settled(key)
    pending.delete(key)
    changed(records.at(key)!)
  }

  /** Somebody saved in between: if it says the same (such as our own save, whose answer was lost) all is well, else both are shown. */
  function stale(key: string, sent: Kept, theirs: Kept): void {
    if (sameData(theirs.data, sent.data)) return saved(key, sent, theirs)
    if (sent.kind === 'works' && sent.data && theirs.data) return merged(key, theirs as Kept<'works'>)
    pending.set(key, { state: 'conflict', theirs })
  }

  /** What was ticked off here and elsewhere is brought together without asking. */
  function merged(key: string, theirs: Kept<'works'>): void {
    const mine = records.at(key) as Kept<'works'>
    const next = { ...mine, version: theirs.version, data: mergeWork(mine.data!, theirs.data!) }
    records.set(next)
    pending.delete(key)
    if (sameData(next.data, theirs.data)) settled(key)
    else changed(next)
  }

  /** Ends a conflict: what is here is saved over theirs, or theirs is taken. */
  function decide(key: string, choice: 'mine' | 'theirs'): void {
    const theirs = pending.get(key)?.theirs
    const mine = records.at(key)
    if (!theirs || !mine) return
    pending.delete(key)
    if (choice === 'theirs') {
      records.set(theirs)
      settled(key)
    } else {
      const next: Kept = { ...mine, version: theirs.version }
      records.set(next)
      if (sameData(next.data, theirs.data)) settled(key)
      else changed(next)
    }
  }

  /** Takes up what an earlier visit could not save. */
  function resume(): void {
    for (const name of Object.keys(localStorage).filter((n) => n.startsWith(BOX))) {
      const kept = readKept(localStorage.getItem(name))
      const key = name.slice(BOX.length)
      if (!kept || keyOf(kept) !== key) {
        localStorage.removeItem(name)
        continue
      }
      const here = records.at(key)
      if (here && sameData(here.data, kept.data)) {
        localStorage.removeItem(name)
        continue
      }
      records.set(kept)
      pending.set(key, { state: 'changed' })
      later(key, 0)
    }
  }

  /** Tries everything that waits again at once. */
  const hurry = () => {
    for (const [key, p] of pending) if (p.state === 'away' || p.state === 'changed') later(key, 0)
  }

  return { pending, state, conflicts, refusals, changed, decide, resume, hurry }
})

function readKept(text: string | null): Kept | null {
  try {
    const kept = JSON.parse(text ?? '') as Kept<RecordKind>
    const whole = typeof kept?.id === 'string' && typeof kept.version === 'number' && RECORD_KINDS.includes(kept.kind)
    return whole ? kept : null
  } catch {
    return null
  }
}
