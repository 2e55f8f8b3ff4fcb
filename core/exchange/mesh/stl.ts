import { BufferAttribute, BufferGeometry, Mesh } from 'three'
import { STLExporter } from 'three/examples/jsm/exporters/STLExporter.js'
import type { SolePart } from './part-meshes'

/** One part as binary STL, mm. */
export function stlFile(part: Pick<SolePart, 'corners' | 'triangles'>): Uint8Array {
  const geometry = new BufferGeometry()
  geometry.setAttribute('position', new BufferAttribute(part.corners, 3))
  geometry.setIndex(new BufferAttribute(part.triangles, 1))
  const view = new STLExporter().parse(new Mesh(geometry), { binary: true })
  return new Uint8Array(view.buffer, view.byteOffset, view.byteLength)
}
