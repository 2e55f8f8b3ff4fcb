import { pickOutline, type Drawing } from '#core/exchange/outline/drawn'
import { readDxf } from '#core/exchange/outline/dxf-in'
import { readPicture } from '#core/exchange/outline/picture-in'
import type { Pixels } from '#core/exchange/outline/ground'
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

/** A picture is traced at this many pixels at most along its longer side: about half a millimetre of a hand tool. */
const LARGEST = 900

/** The pixels of a picture, upright as it was taken. */
async function pixelsOf(bytes: ArrayBuffer): Promise<Pixels> {
  const image = await createImageBitmap(new Blob([bytes]))
  const scale = Math.min(1, LARGEST / Math.max(image.width, image.height))
  const [width, height] = [image.width, image.height].map((n) => Math.max(1, Math.round(n * scale))) as [number, number]
  const canvas = new OffscreenCanvas(width, height).getContext('2d')!
  canvas.drawImage(image, 0, 0, width, height)
  image.close()
  return canvas.getImageData(0, 0, width, height)
}

async function trace(bytes: ArrayBuffer) {
  let pixels: Pixels
  try {
    pixels = await pixelsOf(bytes)
  } catch {
    return { ok: false, message: 'This is no picture that can be read here: take a JPEG or PNG.' }
  }
  const found = readPicture(pixels)
  if (!found.ok) return found
  drawing = found.drawing
  return { ok: true, long: found.long }
}

interface Asked {
  id: number
  bytes?: ArrayBuffer
  name?: string
  picture?: ArrayBuffer
  unit?: number
}

const answer = async ({ bytes, name = '', picture, unit }: Asked) => {
  if (picture !== undefined) return trace(picture)
  if (bytes !== undefined) return read(new Uint8Array(bytes), name)
  return drawing ? pickOutline(drawing, unit!) : { ok: false, message: 'No drawing is open.' }
}

self.onmessage = async ({ data }: MessageEvent<Asked>) => self.postMessage({ id: data.id, answer: await answer(data) })
