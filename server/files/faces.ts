import type { Faces } from './means'

let faces: Promise<Faces> | undefined

/** The faces as they are bundled with the server. */
export function facesHere(): Promise<Faces> {
  const read = async (weight: number): Promise<Buffer> =>
    Buffer.from(
      (await useStorage('assets:faces').getItemRaw(`source-sans-3-latin-${weight}-normal.woff`)) as Uint8Array,
    )
  faces ??= Promise.all([read(400), read(700)]).then(([plain, bold]) => ({ plain, bold }))
  return faces
}
