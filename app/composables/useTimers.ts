import { computed, onBeforeUnmount, onMounted, ref } from 'vue'

/** A timer that runs, such as for glue. */
export interface Timer {
  id: string
  title: string
  /** when it is over, ms since 1970 */
  end: number
}

const KEY = 'fingerling:timers'
const SECOND = 1000

function read(): Timer[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]')
    return Array.isArray(kept) ? kept.filter((t): t is Timer => typeof t?.id === 'string' && typeof t.end === 'number') : [] // prettier-ignore
  } catch {
    return []
  }
}

/** Timers of this browser: they run on while the page is closed, and are told when they are over. */
export function useTimers() {
  const timers = ref<Timer[]>([])
  const now = ref(Date.now())
  let beat: ReturnType<typeof setInterval> | undefined

  function keep(next: Timer[]) {
    timers.value = next
    try {
      localStorage.setItem(KEY, JSON.stringify(next))
    } catch {
      // the browser keeps nothing for us: it runs until the page is left
    }
  }
  const start = (id: string, title: string, minutes: number) =>
    keep([...timers.value.filter((t) => t.id !== id), { id, title, end: Date.now() + minutes * 60 * SECOND }])
  const stop = (id: string) => keep(timers.value.filter((t) => t.id !== id))

  const running = computed(() =>
    timers.value
      .map((t) => ({ ...t, left: Math.max(0, Math.ceil((t.end - now.value) / SECOND)) }))
      .sort((a, b) => a.end - b.end),
  )
  onMounted(() => {
    timers.value = read()
    beat = setInterval(() => (now.value = Date.now()), SECOND)
  })
  onBeforeUnmount(() => clearInterval(beat))
  return { running, start, stop }
}

/** Seconds as one reads them from across the room: `7:05`, `2 h 10 min`. */
export function clock(seconds: number): string {
  if (seconds >= 3600) return `${Math.floor(seconds / 3600)} h ${Math.floor((seconds % 3600) / 60)} min`
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
}

/** Minutes of work in words. */
export const minutesText = (minutes: number): string =>
  minutes < 90 ? `${Math.max(1, Math.round(minutes))} min` : `${Number((minutes / 60).toFixed(1))} h`
