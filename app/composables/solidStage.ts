import {
  AmbientLight,
  Box3,
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  EdgesGeometry,
  Group,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshLambertMaterial,
  PerspectiveCamera,
  PlaneGeometry,
  Scene,
  Vector3,
  WebGLRenderer,
} from 'three'
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js'
import type { PartMesh } from '#core/solid/scene'

/** Colours of a stage, as CSS has them. */
export interface StageColours {
  wood: string
  edge: string
  tool: string
  wall: string
  sheet: string
}

/** Edges sharper than this are drawn, degrees. */
const SHARP = 25

/** How far the wall reaches past the holder, mm. */
const WALL = 120

/** A holder's solids on a stage: wall behind, orbit by mouse, touch and keys. The holder's z points up. */
export class SolidStage {
  private readonly renderer: WebGLRenderer
  private readonly scene = new Scene()
  private readonly camera = new PerspectiveCamera(32, 1, 1, 20_000)
  private readonly controls: OrbitControls
  private readonly holder = new Group()
  private parts: { mesh: PartMesh; group: Group }[] = []
  private middle = new Vector3()
  private size = 500
  private frame = 0

  constructor(
    canvas: HTMLCanvasElement,
    private readonly colours: StageColours,
  ) {
    this.renderer = new WebGLRenderer({ canvas, antialias: true })
    this.scene.background = new Color(colours.sheet)
    this.camera.up.set(0, 0, 1)
    this.controls = new OrbitControls(this.camera, canvas)
    this.controls.addEventListener('change', () => this.draw())
    const sun = new DirectionalLight(0xffffff, 2)
    sun.position.set(-0.6, -1, 1.4)
    this.scene.add(new AmbientLight(0xffffff, 1.4), sun, this.holder)
  }

  /** Shows other parts; the first ones are looked at from the front right. */
  show(parts: readonly PartMesh[]): void {
    const first = this.parts.length === 0
    this.clear()
    this.parts = parts.map((mesh) => ({ mesh, group: this.groupOf(mesh) }))
    for (const { group } of this.parts) this.holder.add(group)
    const [wood, all] = [new Box3(), new Box3()]
    for (const { mesh, group } of this.parts) {
      all.expandByObject(group)
      if (mesh.kind !== 'tool') wood.expandByObject(group)
    }
    all.getCenter(this.middle)
    this.size = all.getSize(new Vector3()).length()
    this.holder.add(this.wall(wood))
    if (first) this.home()
    this.draw()
  }

  /** Takes the holder apart. @param how far, 0 to 1 @param tools whether they are shown */
  arrange(how: number, tools: boolean): void {
    for (const { mesh, group } of this.parts) {
      group.position.set(mesh.apart.x * how, mesh.apart.y * how, mesh.apart.z * how)
      group.visible = tools || mesh.kind !== 'tool'
    }
    this.draw()
  }

  /** Looks from the front right, a little from above. */
  home(): void {
    const away = new Vector3(0.7, -1.5, 0.7).normalize().multiplyScalar(this.size * 2)
    this.controls.target.copy(this.middle)
    this.camera.position.copy(this.middle).add(away)
    this.controls.update()
    this.draw()
  }

  /** Turns about the holder. @param right, @param up in radians */
  turn(right: number, up: number): void {
    const offset = this.camera.position.clone().sub(this.controls.target)
    const flat = Math.hypot(offset.x, offset.y)
    const around = Math.atan2(offset.y, offset.x) + right
    const over = Math.max(-1.5, Math.min(1.5, Math.atan2(offset.z, flat) + up))
    const far = offset.length()
    offset.set(Math.cos(around) * Math.cos(over), Math.sin(around) * Math.cos(over), Math.sin(over)).multiplyScalar(far)
    this.camera.position.copy(this.controls.target).add(offset)
    this.controls.update()
    this.draw()
  }

  /** Goes nearer or farther. @param times the distance */
  approach(times: number): void {
    const offset = this.camera.position.clone().sub(this.controls.target).multiplyScalar(times)
    this.camera.position.copy(this.controls.target).add(offset)
    this.controls.update()
    this.draw()
  }

  resize(width: number, height: number): void {
    this.renderer.setPixelRatio(Math.min(window.devicePixelRatio, 2))
    this.renderer.setSize(width, height, false)
    this.camera.aspect = width / height
    this.camera.updateProjectionMatrix()
    this.draw()
  }

  dispose(): void {
    cancelAnimationFrame(this.frame)
    this.clear()
    this.controls.dispose()
    this.renderer.dispose()
  }

  private draw(): void {
    cancelAnimationFrame(this.frame)
    this.frame = requestAnimationFrame(() => this.renderer.render(this.scene, this.camera))
  }

  private groupOf(part: PartMesh): Group {
    const geometry = new BufferGeometry()
    geometry.setAttribute('position', new BufferAttribute(part.corners, 3))
    geometry.setIndex(new BufferAttribute(part.triangles, 1))
    const faceted = geometry.toNonIndexed()
    faceted.computeVertexNormals()
    const tool = part.kind === 'tool'
    const material = new MeshLambertMaterial({
      color: tool || part.kind === 'bought' ? this.colours.tool : this.colours.wood,
      transparent: tool,
      opacity: tool ? 0.55 : 1,
    })
    const edges = new LineSegments(
      new EdgesGeometry(geometry, SHARP),
      new LineBasicMaterial({ color: this.colours.edge }),
    )
    geometry.dispose()
    return new Group().add(new Mesh(faceted, material), edges)
  }

  /** A piece of wall behind the holder, at y = 0. The meshes' y points into the wall. */
  private wall({ min, max }: Box3): Mesh {
    const [wide, high] = [max.x - min.x + 2 * WALL, max.z - min.z + 2 * WALL]
    const wall = new Mesh(new PlaneGeometry(wide, high), new MeshLambertMaterial({ color: this.colours.wall }))
    wall.rotation.x = Math.PI / 2
    wall.position.set((min.x + max.x) / 2, 0.5, (min.z + max.z) / 2)
    wall.material.side = DoubleSide
    return wall
  }

  private clear(): void {
    this.holder.traverse((part) => {
      if (!(part instanceof Mesh) && !(part instanceof LineSegments)) return
      ;(part.geometry as BufferGeometry).dispose()
      ;(part.material as MeshLambertMaterial).dispose()
    })
    this.holder.clear()
    this.parts = []
  }
}
