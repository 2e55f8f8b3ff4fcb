import { Document, WebIO } from '@gltf-transform/core'
import type { SolidScene } from '../../solid/scene'

/** Base colours, red, green, blue, and how much is let through. */
const COLOURS = {
  board: [0.8, 0.66, 0.44, 1],
  rod: [0.72, 0.56, 0.36, 1],
  bought: [0.6, 0.6, 0.58, 1],
  tool: [0.45, 0.47, 0.48, 1],
} as const

const MM = 1e-3

/** The whole holder with its tools as GLB: metres, y up, z towards whoever stands before the wall. */
export async function glbFile(title: string, scene: Pick<SolidScene, 'parts'>): Promise<Uint8Array> {
  const file = new Document()
  file.getRoot().getAsset().generator = 'Fingerling'
  const buffer = file.createBuffer()
  const whole = file.createScene(title)
  const materials = Object.fromEntries(
    Object.entries(COLOURS).map(([kind, colour]) => [kind, file.createMaterial(kind).setBaseColorFactor([...colour]).setRoughnessFactor(0.8).setMetallicFactor(0)]), // prettier-ignore
  )
  for (const part of scene.parts) {
    const corners = new Float32Array(part.corners.length)
    // from z up to y up: a quarter turn about x
    for (let i = 0; i < corners.length; i += 3) {
      corners[i] = part.corners[i]! * MM
      corners[i + 1] = part.corners[i + 2]! * MM
      corners[i + 2] = -part.corners[i + 1]! * MM
    }
    const primitive = file
      .createPrimitive()
      .setAttribute('POSITION', file.createAccessor().setType('VEC3').setArray(corners).setBuffer(buffer))
      .setIndices(file.createAccessor().setType('SCALAR').setArray(new Uint32Array(part.triangles)).setBuffer(buffer))
      .setMaterial(materials[part.kind]!)
    whole.addChild(file.createNode(part.name).setMesh(file.createMesh(part.name).addPrimitive(primitive)))
  }
  return new WebIO().writeBinary(file)
}
