import { onBeforeUnmount, ref, shallowRef, toRaw } from 'vue'
import type { Shop } from '#core/shop/shop'
import type { Arrangement } from '#core/wall/arrange'
import type { WallPiece } from '#core/wall/extent'
import type { Wall } from '#core/wall/wall'
import type { FromArrange, ToArrange } from '~/workers/arrange-messages'

/** Seconds that are searched at most: of few holders the best is found before. */
const SECONDS = 10

/** Looks for an arrangement in a worker; the best so far is shown, and taken or left. */
export function useArranging() {
  const proposal = shallowRef<Arrangement | null>(null)
  const working = ref(false)
  const failed = ref('')
  let worker: Worker | undefined
  function stop() {
    worker?.terminate()
    worker = undefined
    working.value = false
  }
  function run(wall: Wall, pieces: WallPiece[], shop: Shop) {
    stop()
    failed.value = ''
    proposal.value = null
    working.value = true
    worker = new Worker(new URL('../workers/arrange.worker.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<FromArrange>) => {
      if (data.say === 'so far') proposal.value = data.arrangement
      else failed.value = data.message
      if (data.say === 'failed' || data.done) stop()
    }
    const message: ToArrange = { wall: toRaw(wall), pieces: pieces.map(toRaw), shop: toRaw(shop), seconds: SECONDS }
    worker.postMessage(JSON.parse(JSON.stringify(message)))
  }
  const leave = () => {
    stop()
    proposal.value = null
  }
  onBeforeUnmount(stop)
  return { proposal, working, failed, run, stop, leave }
}
