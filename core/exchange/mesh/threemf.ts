// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- the package has no types of its own
/// <reference path="./three-mf.d.ts" />
import { fileForContentTypes, FileForRelThumbnail, to3dmodelSimple } from '@jscadui/3mf-export'
import { strToU8, zipSync } from 'fflate'
import { xmlText } from '../svg'
import type { SolePart } from './part-meshes'

/** Room between parts on the plate, mm. */
const APART = 10

/** All parts as 3MF, mm, side by side on the plate, each under its name. */
export function threemfFile(title: string, parts: readonly SolePart[]): Uint8Array {
  let y = 0
  const meshes = parts.map((part, i) => {
    const wide = part.corners.reduce((most, v, k) => (k % 3 === 1 ? Math.max(most, v) : most), 0)
    const transform = [1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 1, 0, 0, y, 0, 1]
    y += wide + APART
    return { id: String(i + 1), name: xmlText(part.name), vertices: part.corners, indices: part.triangles, transform }
  })
  const links = new FileForRelThumbnail()
  links.add3dModel('3D/3dmodel.model')
  const model = to3dmodelSimple(meshes, { unit: 'millimeter', title: xmlText(title), application: 'Fingerling' }, 9)
  // only what the core specification has: no names of other programs
  const plain = model.replace(/ xmlns:\w+="[^"]*"/g, '').replace(/\s*<metadata name="\w+:[^"]*">[^<]*<\/metadata>/g, '')
  return zipSync({
    [fileForContentTypes.name]: strToU8(fileForContentTypes.content),
    [links.name]: strToU8(links.content),
    '3D/3dmodel.model': strToU8(plain),
  })
}
