import { pickOutline, type Drawing } from '#core/exchange/outline/drawn'
import { readDxf } from '#core/exchange/outline/dxf-in'
import { readSvg } from '#core/exchange/outline/svg-in'
import { textOf } from '#core/exchange/tools/text-of'

/** Reads drawings off the page's own thread, and keeps the last one until its unit is known. */
let drawing: Drawing | null = null

function read(bytes: Uint8Array, name: string) {
  const text = textOf(bytes)
  if (!text.ok) return text
  const isDxf = /\.dxf$/i.test(name) || /^\s*(999|0)\s*\r?\n/.test(text.text)
  const found = isDxf ? readDxf(text.text) : readSvg(text.text)
  if (!found.ok) return found
  drawing = found.drawing
  return { ok: true, unit: drawing.unit }
}

self.onmessage = ({ data }: MessageEvent<{ id: number; bytes?: ArrayBuffer; name?: string; unit?: number }>) => {
  const answer =
    data.bytes !== undefined
      ? read(new Uint8Array(data.bytes), data.name ?? '')
      : drawing
        ? pickOutline(drawing, data.unit!)
        : { ok: false, message: 'No drawing is open.' }
  self.postMessage({ id: data.id, answer })
}
