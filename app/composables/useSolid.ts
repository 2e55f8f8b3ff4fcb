import { onBeforeUnmount, ref, shallowRef, watch, type Ref } from 'vue'
import type { Design } from '#core/choose/design'
import type { SolidScene } from '#core/solid/scene'
import type { TakenOut } from '#core/solid/taking'
import type { FromSolid, ToSolid } from '~/workers/solid-messages'

/** Solids are built so long after the last change, ms. */
const PAUSE = 120

/**
 * The solids of a holder and each tool's way out, worked out in a worker whenever the holder changes; the last ones stay
 * until the next are there.
 */
export function useSolid(worked: Ref<Design>) {
  const scene = shallowRef<SolidScene | null>(null)
  const ways = shallowRef<TakenOut[]>([])
  const failed = ref('')
  const worker = new Worker(new URL('../workers/solid.worker.ts', import.meta.url), { type: 'module' })
  let asked = 0
  let wait: ReturnType<typeof setTimeout> | undefined
  worker.onmessage = ({ data }: MessageEvent<FromSolid>) => {
    if (data.id !== asked) return
    if ('failed' in data) failed.value = data.failed
    else if ('ways' in data) ways.value = data.ways
    else {
      failed.value = ''
      scene.value = data.scene
    }
  }
  worker.onerror = () => (failed.value = 'The solids can’t be built in this browser.')
  const ask = () => {
    const { model, input } = worked.value
    if (!model) return
    const tools = model.seats.flatMap((s) => input.tools.get(s.tool) ?? [])
    const message: ToSolid = { id: ++asked, model, tools, shop: input.shop }
    // the stores' reactive records can’t be sent as they are
    worker.postMessage(JSON.parse(JSON.stringify(message)))
  }
  watch(
    worked,
    () => {
      clearTimeout(wait)
      wait = setTimeout(ask, scene.value ? PAUSE : 0)
    },
    { immediate: true },
  )
  onBeforeUnmount(() => {
    clearTimeout(wait)
    worker.terminate()
  })
  return { scene, ways, failed }
}
