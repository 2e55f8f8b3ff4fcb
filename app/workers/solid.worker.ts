import Module from 'manifold-3d'
import wasmUrl from 'manifold-3d/manifold.wasm?url'
import { solidScene } from '#core/solid/scene'
import type { FromSolid, ToSolid } from './solid-messages'

/** Builds solids off the page's own thread. */
const kernel = Module({ locateFile: () => wasmUrl }).then((loaded) => {
  loaded.setup()
  return loaded
})

const answer = (message: FromSolid, transfer: Transferable[] = []): void =>
  (self as unknown as Worker).postMessage(message, transfer)

self.onmessage = async ({ data }: MessageEvent<ToSolid>) => {
  try {
    const scene = solidScene(await kernel, data.model, new Map(data.tools.map((t) => [t.id, t])), data.shop)
    const buffers = scene.parts.flatMap((p) => [p.corners.buffer, p.triangles.buffer])
    answer({ id: data.id, scene }, buffers)
  } catch (error) {
    answer({ id: data.id, failed: error instanceof Error ? error.message : String(error) })
  }
}
