import type { Framed, Rack, Wall } from './wall'

/** How a holder is held by a wall: by its strip on one of the wall's, by screws anywhere, or by screws into posts. */
export type Hanging = 'strips' | 'anywhere' | 'posts'

/** How holders hang on a wall. */
export function hangsBy({ holds, behind }: Pick<Wall, 'holds' | 'behind'>): Hanging {
  if (holds === 'strips' || holds === 'backed' || holds === 'framed') return 'strips'
  if (holds === 'uprights' || holds === 'rack') return 'posts'
  // masonry has no studs: a plug holds wherever it is drilled
  return holds === 'studs' && behind !== 'masonry' ? 'posts' : 'anywhere'
}

/** From one plug to the next along masonry, mm, and from an end. */
const PLUGS = 300
const FROM_END = 75

/** Where what goes up is screwed to the wall itself: its studs, or columns of plugs where there are none. mm */
export function bearersOf({ behind, studs, width }: Pick<Wall, 'behind' | 'studs' | 'width'>): number[] {
  if (behind !== 'masonry') return [...studs].sort((a, b) => a - b)
  const inner = Math.max(0, width - 2 * FROM_END)
  const gaps = Math.max(1, Math.ceil(inner / PLUGS))
  return Array.from({ length: gaps + 1 }, (_, i) => FROM_END + (i * inner) / gaps)
}

/** A panel as it usually is: in the middle of the wall, in good reach; mm. */
export function frameOn({ frame, width, height }: Pick<Wall, 'frame' | 'width' | 'height'>): Framed {
  if (frame) return frame
  const [w, h] = [Math.min(1400, width), Math.min(900, height)]
  return { x: (width - w) / 2, z: Math.max(0, Math.min(900, height - h)), width: w, height: h }
}

/** So much above a bench uprights usually begin, and so long they are at least; mm. */
const OVER_BENCH = 50
const LEAST_LONG = 500

/** Uprights as they usually are: over the whole wall, above a bench, a rack from the floor; mm. */
export function rackOn({
  rack,
  holds,
  width,
  height,
  things,
}: Pick<Wall, 'rack' | 'holds' | 'width' | 'height' | 'things'>): Rack {
  // prettier-ignore
  if (rack) return rack
  const high = Math.min(2000, height)
  const bench = Math.max(0, ...things.filter((t) => t.kind === 'bench').map((t) => t.z + t.height + OVER_BENCH))
  const low = Math.max(Math.min(600, high / 4), bench)
  return { from: Math.min(100, width / 4), to: width - Math.min(100, width / 4), low: holds === 'rack' || high - low < LEAST_LONG ? 0 : low, high, pitch: 300, ledgers: 2, lean: 6 } // prettier-ignore
}

/** Room for an upright beside what stands on the wall, from its middle, mm. */
const BESIDE = 30

/** Middles of the uprights, from the left: none before what stands on the wall. mm */
export function uprightsOf(wall: Wall): number[] {
  const { from, to, low, high, pitch } = rackOn(wall)
  const count = pitch <= 0 || to < from ? 0 : Math.floor((to - from) / pitch + 1e-9) + 1
  return Array.from({ length: Math.min(count, 500) }, (_, i) => from + i * pitch).filter(
    (x) =>
    wall.things.every((t) => t.kind === 'bench' || t.kind === 'pipe' || x < t.x - BESIDE || x > t.x + t.width + BESIDE || t.z >= high || t.z + t.height <= low), // prettier-ignore
  )
}

/** What holders are screwed into along a wall, where not anywhere. mm */
export const postsOf = (wall: Wall): number[] =>
  wall.holds === 'uprights' || wall.holds === 'rack' ? uprightsOf(wall) : wall.studs

/** A screw within this of a stud's middle is in it, and of an upright's; mm. */
const IN_STUD = 15
const IN_UPRIGHT = 5

/** How near to the middle of a post a screw has to be, mm. */
export const inPost = ({ holds }: Pick<Wall, 'holds'>): number =>
  holds === 'uprights' || holds === 'rack' ? IN_UPRIGHT : IN_STUD

/** What a post is called. */
export const postName = ({ holds }: Pick<Wall, 'holds'>): 'stud' | 'upright' =>
  holds === 'uprights' || holds === 'rack' ? 'upright' : 'stud'
