import Module from 'manifold-3d'
import wasmUrl from 'manifold-3d/manifold.wasm?url'
import { solidScene } from '#core/solid/scene'
import { waysOut } from '#core/solid/taking'
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
    const tools = new Map(data.tools.map((t) => [t.id, t]))
    const scene = solidScene(await kernel, data.model, tools, data.shop)
    const buffers = scene.parts.flatMap((p) => [p.corners.buffer, p.triangles.buffer])
    answer({ id: data.id, scene }, buffers)
    answer({ id: data.id, ways: waysOut(await kernel, data.model, tools) })
  } catch (error) {
    answer({ id: data.id, failed: error instanceof Error ? error.message : String(error) })
  }
}
