import type { Design } from '../../choose/design'
import type { Shop } from '../../shop/shop'
import type { Working } from '../../working/figure'
import { at, wallPiece } from '../extent'
import { wallDesign } from '../backing/wall-model'
import { hangsBy, inPost, postsOf } from '../holding'
import { placedOn } from '../may-hang'
import { heightsFor, rowsOn } from '../strips'
import type { Wall } from '../wall'
import { stripPull } from './strip-pull'

/** What one length of strip carries. */
export interface StripLoad {
  id: string
  name: string
  /** kg that hangs on it */
  mass: number
  /** pull on its most loaded screw, and what that holds against being pulled out; N, null where only its maker knows */
  pull: number
  holds: number | null
  level: 'pass' | 'watch' | 'stop'
  /** the holder that pulls most, and how its pull and what holds it are reckoned */
  by: string
  working: Working
}

/** What one stud carries. */
export interface StudLoad {
  at: number
  mass: number
}

/** The load on every strip and stud of a wall, from what hangs on it; holders that were not weighed count by their wood. */
export function wallLoads(
  wall: Wall,
  designs: ReadonlyMap<string, Design>,
  shop: Shop,
): { strips: StripLoad[]; studs: StudLoad[] } {
  const pieces = [...designs.values()].flatMap((d) => wallPiece(d) ?? [])
  const placed = placedOn(wall, pieces)
  const onStud = new Map<number, number>()
  const share = (x: number, mass: number): void => {
    const [stud] = [...wall.studs].sort((a, b) => Math.abs(a - x) - Math.abs(b - x))
    if (stud !== undefined) onStud.set(stud, (onStud.get(stud) ?? 0) + mass)
  }
  const backing = wallDesign(wall, shop).model
  const rows = rowsOn(wall, shop)
  const [by, posts, near] = [hangsBy(wall), postsOf(wall), inPost(wall)]
  const inWall = (backing?.fasteners ?? []).filter((f) => f.into === null)
  const strips = new Map<string, StripLoad>()
  for (const { hung, piece } of placed) {
    const mass = piece.mass ?? 0
    if (by !== 'strips' || !backing) {
      // a rack stands on the floor
      if (wall.holds === 'rack') continue
      const into = piece.screws.map((s) => s + hung.x).filter((x) => by === 'anywhere' || posts.some((s) => Math.abs(s - x) <= near)) // prettier-ignore
      for (const x of into) share(x, mass / into.length)
      continue
    }
    const row = heightsFor(rows, piece, shop).findIndex((h) => Math.abs(h - hung.z) <= 1)
    if (row < 0) continue
    const box = at(piece.boards, hung.x, hung.z)
    const carrying = backing.boards.filter((b) => b.role === 'strip' && Math.abs(b.placement.at.z - rows[row]!.low) < 1 && b.placement.at.x < box.x1 && b.placement.at.x + b.length > box.x0) // prettier-ignore
    const screws = backing.fasteners.filter((f) => carrying.some((b) => b.id === f.through || b.id === f.into))
    const middle = (box.x0 + box.x1) / 2
    const covered = screws.filter((f) => f.at.x > box.x0 && f.at.x < box.x1)
    const own = covered.length > 0 ? covered : [...screws].sort((a, b) => Math.abs(a.at.x - middle) - Math.abs(b.at.x - middle)).slice(0, 1) // prettier-ignore
    // a panel hands it on to its own screws
    const bearing = wall.holds === 'framed' ? inWall : own
    for (const f of bearing) share(f.at.x, mass / bearing.length)
    const design = designs.get(piece.holder)!
    const here = own.length > 0 ? stripPull(design, mass, own, shop) : { pull: 0, holds: 0, working: [] }
    for (const b of carrying) {
      const old = strips.get(b.id)
      const worst = old && old.pull >= here.pull ? old : { ...here, by: piece.holder }
      const { pull, holds, working, by } = worst
      const level =
        holds === null ? 'watch' : holds === 0 || pull > holds ? 'stop' : pull > holds / 2 ? 'watch' : 'pass'
      strips.set(b.id, { id: b.id, name: b.name, mass: (old?.mass ?? 0) + mass / carrying.length, pull, holds, working, by, level }) // prettier-ignore
    }
  }
  const byName = [...strips.values()].sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }))
  return { strips: byName, studs: wall.studs.map((s) => ({ at: s, mass: onStud.get(s) ?? 0 })) }
}
