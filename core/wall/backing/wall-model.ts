import type { Design } from '../../choose/design'
import { MODEL_VERSION, WALL_FORM, type Board, type HolderModel } from '../../model/model'
import { boardBox } from '../../model/standing'
import type { Shop } from '../../shop/shop'
import { Trail } from '../../working/trail'
import type { Holds, Wall } from '../wall'
import { backed } from './backed'
import { framed } from './framed'
import { NOTHING, type Made } from './made'
import { sheets } from './sheets'
import { strips } from './strips-up'
import { uprights } from './uprights'
import { wallVerdicts } from './wall-verdicts'

/** What goes up on a wall, by what it holds by. */
const GOES_UP: Record<Holds, (wall: Wall, shop: Shop, trail: Trail) => Made> = {
  panel: sheets,
  studs: () => NOTHING,
  strips: (wall, shop, trail) => strips(wall, shop, trail),
  backed,
  framed,
  uprights,
  rack: uprights,
}

const reachOf = (boards: readonly Board[]): number => Math.max(...boards.map((b) => boardBox(b).y[1]))

/**
 * What goes up on a wall before any holder: sheets or bevelled strips with their screws, as a model like a holder's, so
 * that it is cut, worked off and taken along like one. Its parts stand where they are on the wall, from its left corner
 * and the floor.
 */
export function wallDesign(wall: Wall, shop: Shop): Design {
  const trail = new Trail()
  const measured = (key: 'width' | 'height', label: string): number => trail.given(`wall:${key}`, label, wall[key], { kind: 'wall', id: wall.id, key }) // prettier-ignore
  measured('width', 'Width of the wall')
  measured('height', 'Height of the wall')
  wall.studs.forEach((s, i) =>
    trail.given(`stud:${i}`, `Stud ${i + 1}`, s, { kind: 'wall', id: wall.id, key: 'studs' }),
  )
  const made = GOES_UP[wall.holds](wall, shop, trail)
  const working = trail.all()
  const model: HolderModel | null = made.boards.length === 0 ? null : {
    version: MODEL_VERSION,
    form: WALL_FORM,
    name: wall.name,
    boards: made.boards,
    rods: [],
    reach: { value: reachOf(made.boards), formula: String(reachOf(made.boards)) },
    joints: made.joints ?? [],
    fasteners: made.fasteners,
    seats: [],
    working,
  } // prettier-ignore
  const holder = { id: wall.id, name: wall.name, form: WALL_FORM, seats: [], choices: {} }
  return {
    input: { shop, tools: new Map(), holder },
    model,
    working,
    verdicts: wallVerdicts(wall, shop, model),
    refusals: [],
  }
}
