import { ref } from 'vue'
import type { Picked } from '#core/exchange/outline/drawn'
import { sizeTold } from '#core/exchange/tools/text-of'

type Failed = { ok: false; message: string }
type Opened = { ok: true; unit: number | null } | Failed
type Traced = { ok: true; long: number } | Failed
type PickedRead = { ok: true; picked: Picked } | Failed

/** How long a drawing may take to be read, ms. */
const PATIENCE = 20000

/** Reads an outline from a drawing file, or traces one from a picture, in a worker, which is stopped when it takes too long. */
export function useOutlineFile() {
  let worker: Worker | undefined
  let count = 0
  const asks = ref(false)

  function stop(): void {
    worker?.terminate()
    worker = undefined
    asks.value = false
  }

  function ask<T>(message: object, transfer: Transferable[] = []): Promise<T | Failed> {
    worker ??= new Worker(new URL('../workers/outline.worker.ts', import.meta.url), { type: 'module' })
    const id = ++count
    const mine = worker
    return new Promise((resolve) => {
      const give = (answer: T | Failed) => {
        clearTimeout(late)
        mine.removeEventListener('message', hear)
        resolve(answer)
      }
      const late = setTimeout(() => {
        stop()
        give({ ok: false, message: 'The drawing is too involved to be read.' })
      }, PATIENCE)
      const hear = ({ data }: MessageEvent<{ id: number; answer: T }>) => data.id === id && give(data.answer)
      mine.addEventListener('message', hear)
      mine.addEventListener('error', () => give({ ok: false, message: 'The drawing can’t be read.' }), { once: true })
      mine.postMessage({ id, ...message }, transfer)
    })
  }

  async function open(file: File): Promise<Opened> {
    const size = sizeTold(file.size)
    if (size) return { ok: false, message: size }
    const bytes = await file.arrayBuffer()
    const read = await ask<Opened>({ bytes, name: file.name }, [bytes])
    asks.value = read.ok && read.unit === null
    return read
  }
  /** Traces a picture. @returns how long what is in it is, in its own units */
  async function trace(picture: File): Promise<Traced> {
    const size = sizeTold(picture.size)
    if (size) return { ok: false, message: size }
    const bytes = await picture.arrayBuffer()
    asks.value = false
    return ask<Traced>({ picture: bytes }, [bytes])
  }
  const pick = (unit: number): Promise<PickedRead> => ask<PickedRead>({ unit })
  return { asks, open, trace, pick, stop }
}
