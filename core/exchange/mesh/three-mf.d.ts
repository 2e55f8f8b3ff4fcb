declare module '@jscadui/3mf-export' {
  interface SimpleMesh {
    id: string
    name?: string
    vertices: Float32Array
    indices: Uint32Array
    transform: number[]
  }
  export const fileForContentTypes: { name: string; content: string }
  export class FileForRelThumbnail {
    readonly name: string
    readonly content: string
    add3dModel(path: string): void
  }
  export function to3dmodelSimple(
    meshes: SimpleMesh[],
    header: { unit?: string; title?: string; application?: string },
    precision?: number,
  ): string
}
