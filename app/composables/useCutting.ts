import { onBeforeUnmount, ref, shallowRef } from 'vue'
import type { CutPlan } from '#core/cutting/instance'
import type { CuttingJob } from '#core/cutting/from-holders'
import type { FromCutting, ToCutting } from '~/workers/cutting-messages'

/** Seconds that are searched for each kind of stock. */
const SECONDS = 5

/** Plans the cutting of some jobs in a worker; the best so far of each stands in `plans`. */
export function useCutting() {
  const plans = shallowRef<Record<string, { plan: CutPlan; done: boolean }>>({})
  const working = ref(false)
  const failed = ref('')
  let worker: Worker | undefined

  function stop() {
    worker?.terminate()
    worker = undefined
    working.value = false
  }
  function hear(message: FromCutting) {
    if (message.say === 'plan')
      plans.value = { ...plans.value, [message.key]: { plan: message.plan, done: message.done } }
    else {
      if (message.say === 'failed') failed.value = message.message
      stop()
    }
  }
  function run(jobs: readonly CuttingJob[]) {
    stop()
    plans.value = {}
    failed.value = ''
    if (jobs.length === 0) return
    working.value = true
    worker = new Worker(new URL('../workers/cutting.worker.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<FromCutting>) => hear(data)
    worker.onerror = () => hear({ say: 'failed', message: 'The cutting can’t be worked out in this browser.' })
    const message: ToCutting = {
      jobs: jobs.map(({ stock, instance }) => ({ key: stock.id, instance })),
      seconds: SECONDS,
    }
    worker.postMessage(message)
  }
  onBeforeUnmount(stop)
  return { plans, working, failed, run, stop }
}
