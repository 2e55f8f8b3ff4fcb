import type { Browser, Page } from '@playwright/test'

interface TraceEvent {
  name: string
  ph: string
  ts: number
  dur?: number
  tid: number
  pid: number
}

const SCRIPTING = ['FunctionCall', 'EvaluateScript', 'FireAnimationFrame', 'RunMicrotasks', 'EventDispatch', 'TimerFire', 'v8.callFunction'] // prettier-ignore
const LAYOUT = ['Layout', 'UpdateLayoutTree', 'UpdateLayerTree', 'PrePaint']
const FRAME = 'AnimationFrame::Render'

/** Scripting and layout within each frame, ms: the union of their events, as one calls another. */
function perFrame(events: readonly TraceEvent[]): number[] {
  const frames = events.filter((e) => e.name === FRAME && e.ph === 'b')
  const busiest = new Map<string, number>()
  for (const f of frames) busiest.set(`${f.pid}/${f.tid}`, (busiest.get(`${f.pid}/${f.tid}`) ?? 0) + 1)
  const [thread] = [...busiest].sort((a, b) => b[1] - a[1])[0] ?? ['']
  const own = events.filter((e) => `${e.pid}/${e.tid}` === thread)
  const begins = own.filter((e) => e.name === FRAME && e.ph === 'b').map((e) => e.ts).sort((a, b) => a - b) // prettier-ignore
  const work = own
    .filter((e) => e.ph === 'X' && [...SCRIPTING, ...LAYOUT].includes(e.name))
    .map((e) => [e.ts, e.ts + (e.dur ?? 0)] as const)
    .sort((a, b) => a[0] - b[0])
  const sums = begins.map(() => 0)
  let [at, done] = [0, 0]
  for (const [from, to] of work) {
    while (at + 1 < begins.length && begins[at + 1]! <= from) at++
    if (begins[at]! > from) continue
    sums[at]! += Math.max(0, to - Math.max(from, done)) / 1000
    done = Math.max(done, to)
  }
  return sums
}

/** Scripting and layout of each frame while something is done in a page, ms. */
export async function framesWhile(browser: Browser, page: Page, act: () => Promise<void>): Promise<number[]> {
  await browser.startTracing(page, { categories: ['devtools.timeline', 'disabled-by-default-devtools.timeline'] })
  await act()
  const trace = JSON.parse((await browser.stopTracing()).toString()) as { traceEvents: TraceEvent[] }
  return perFrame(trace.traceEvents)
}
