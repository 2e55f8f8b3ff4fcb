import { readFaces, type Faces } from './means'

let faces: Promise<Faces> | undefined

/** The faces as they are bundled with the server. */
export function facesHere(): Promise<Faces> {
  faces ??= readFaces(async (file) => Buffer.from((await useStorage('assets:faces').getItemRaw(file)) as Uint8Array))
  return faces
}
