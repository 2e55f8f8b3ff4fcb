import type { FromList, ToList } from '~/workers/list-messages'

/** The worker that reads lists. It is started when it is first asked, and can be ended at any moment. */
export function useListWorker(hear: (message: FromList) => void, broken: () => void) {
  let worker: Worker | undefined
  return {
    ask(message: ToList): void {
      if (!worker) {
        worker = new Worker(new URL('../workers/list.worker.ts', import.meta.url), { type: 'module' })
        worker.onmessage = ({ data }: MessageEvent<FromList>) => hear(data)
        worker.onerror = broken
      }
      worker.postMessage(message, 'bytes' in message ? [message.bytes] : [])
    },
    end(): void {
      worker?.terminate()
      worker = undefined
    },
  }
}
