import type { Level } from '../checks/verdict'
import type { Shop } from '../shop/shop'
import { formatLength } from '../units/format-length'
import { formatMass, massUnitFor } from '../units/mass'
import { at, meets, type WallPiece } from './extent'
import { CARRIED, carriedBy } from './backing/carried'
import { stripRuns, type StripRun } from './backing/strip-pieces'
import { hangsBy, inPost, postName, postsOf } from './holding'
import { standsOff } from './backing/stands-off'
import { inBox, keepOuts, placedOn, roomOf, postsHit, type Placed } from './may-hang'
import { heightsFor, rowAt, rowsOn, type Row } from './strips'
import type { Wall } from './wall'

/** What is found at one holder on the wall. */
export interface WallVerdict {
  id: string
  level: Exclude<Level, 'pass'>
  /** ids of the holders it is about */
  holders: string[]
  says: string
}

/** Looks over where everything hangs: what is covered, what meets, what hangs too high, what misses the studs. */
export function inspectWall(wall: Wall, pieces: readonly WallPiece[], shop: Shop): WallVerdict[] {
  const placed = placedOn(wall, pieces)
  const rows = rowsOn(wall, shop)
  const runs = stripRuns(wall, shop)
  return [
    ...placed.flatMap((p) => [
      ...offStrips(wall, rows, p, shop),
      ...bare(rows, runs, p, shop),
      ...offTheWall(wall, p),
      ...covers(wall, p, shop),
      ...tooHigh(p, shop),
      ...pastTheLine(wall, p, shop),
      ...misses(wall, p, shop),
      ...sticksOn(wall, rows, runs, placed, p, shop),
    ]),
    ...meeting(placed),
  ]
}

function offTheWall(wall: Wall, { hung, piece }: Placed): WallVerdict[] {
  const own = at(piece.all, hung.x, hung.z)
  const over = [
    own.x0 < -1e-6 ? 'past the left corner' : '',
    own.x1 > wall.width + 1e-6 ? 'past the right end' : '',
    own.z0 < -1e-6 ? 'through the floor' : '',
    own.z1 > wall.height + 1e-6 ? 'above the wall' : '',
  ].filter(Boolean)
  if (over.length === 0) return []
  return [{ id: `off:${piece.holder}`, level: 'stop', holders: [piece.holder], says: `${piece.name} hangs ${over.join(' and ')}, with its tools.` }] // prettier-ignore
}

function covers(wall: Wall, { hung, piece }: Placed, shop: Shop): WallVerdict[] {
  const own = at(piece.all, hung.x, hung.z)
  return keepOuts(wall, shop)
    .filter(({ box, of }) =>
      of === 'screws' ? piece.fixings.some((f) => inBox({ x: f.x + hung.x, z: f.z + hung.z }, box)) : meets(own, box),
    ) // prettier-ignore
    .map(({ thing, of }) => {
      const what = thing.name || `the ${thing.kind}`
      const about = { level: 'stop' as const, holders: [piece.holder] }
      if (of === 'screws') return { ...about, id: `drills:${piece.holder}:${thing.id}`, says: `A screw of ${piece.name} goes in nearer than ${formatLength(shop.settings.outletKeep, shop)} to ${what}: move it, or move the screw.` } // prettier-ignore
      if (of === 'swing') return { ...about, id: `swing:${piece.holder}:${thing.id}`, says: `${piece.name} hangs where ${what} lies when it is open.` } // prettier-ignore
      const near = !meets(own, { x0: thing.x, x1: thing.x + thing.width, z0: thing.z, z1: thing.z + thing.height })
      const says = near ? `${piece.name} hangs nearer than ${formatLength(shop.settings.outletKeep, shop)} to ${what}.` : `${piece.name} covers ${what}.` // prettier-ignore
      return { ...about, id: `covers:${piece.holder}:${thing.id}`, says }
    })
}

function tooHigh({ hung, piece }: Placed, shop: Shop): WallVerdict[] {
  const { userHeight, easyTo, reachTo, highLoad } = shop.settings
  const top = at(piece.boards, hung.x, hung.z).z1
  const found: WallVerdict[] = []
  if (piece.mass !== null && piece.mass > highLoad && top > easyTo * userHeight)
    found.push({ id: `heavy:${piece.holder}`, level: 'watch', holders: [piece.holder], says: `${piece.name} weighs ${formatMass(piece.mass, massUnitFor(shop.unit))} with its tools and hangs at ${formatLength(top, shop)}: nothing over ${formatMass(highLoad, massUnitFor(shop.unit))} above ${formatLength(easyTo * userHeight, shop, 'down')}.` }) // prettier-ignore
  if (top > reachTo * userHeight)
    found.push({ id: `reach:${piece.holder}`, level: 'watch', holders: [piece.holder], says: `${piece.name} hangs out of reach: its upper edge is at ${formatLength(top, shop)}, you reach to ${formatLength(reachTo * userHeight, shop, 'down')}.` }) // prettier-ignore
  return found
}

/** What sticks out past the line that its owner drew, as for a car's door. */
function pastTheLine(wall: Wall, { hung, piece }: Placed, shop: Shop): WallVerdict[] {
  if (wall.line === undefined) return []
  const out = piece.out + standsOff(wall, shop, hung.z)
  if (out <= wall.line + 1e-6) return []
  return [{ id: `line:${piece.holder}`, level: 'stop', holders: [piece.holder], says: `${piece.name} sticks out ${formatLength(out, shop, 'up')} with its tools, ${formatLength(out - wall.line, shop, 'up')} past the line at ${formatLength(wall.line, shop)}.` }] // prettier-ignore
}

/** On a wall of strips a holder hangs by its own strip on one of the wall's. */
function offStrips(wall: Wall, rows: readonly Row[], { hung, piece }: Placed, shop: Shop): WallVerdict[] {
  if (hangsBy(wall) !== 'strips') return []
  const about = { id: `strip:${piece.holder}`, level: 'stop' as const, holders: [piece.holder] }
  if (piece.hook === null) return [{ ...about, says: `${piece.name} is made to be screwed on: choose ‘on a strip’ in its drawing.` }] // prettier-ignore
  if (rowAt(rows, piece, hung.z, shop) !== null) return []
  const near = heightsFor(rows, piece, shop).sort((a, b) => Math.abs(a - hung.z) - Math.abs(b - hung.z))[0]
  if (near === undefined)
    return [{ ...about, says: `There is no room for a strip on this wall to hang ${piece.name} on.` }]
  const way = `${formatLength(Math.abs(near - hung.z), shop)} ${near > hung.z ? 'higher' : 'lower'}`
  return [{ ...about, says: `${piece.name} hangs on no strip: ${way} it does.` }]
}

/** Strips stop at things and may be in pieces: a holder wants strip behind it on both sides of its middle. */
function bare(rows: readonly Row[], runs: readonly StripRun[], { hung, piece }: Placed, shop: Shop): WallVerdict[] {
  const row = rowAt(rows, piece, hung.z, shop)
  if (row === null) return []
  const { x0, x1 } = at(piece.boards, hung.x, hung.z)
  const { left, right } = carriedBy(runs, row, x0, x1)
  if (Math.min(left, right) >= CARRIED) return []
  const side = left + right === 0 ? 'has no strip behind it' : left < right ? 'has too little strip behind its left half' : 'has too little strip behind its right half' // prettier-ignore
  return [{ id: `bare:${piece.holder}`, level: 'stop', holders: [piece.holder], says: `${piece.name} ${side}: move it along row ${row} to where there is some.` }] // prettier-ignore
}

/** On studs or uprights a holder wants its screws in them; told with the shift that would do. */
function misses(wall: Wall, { hung, piece }: Placed, shop: Shop): WallVerdict[] {
  if (hangsBy(wall) !== 'posts' || piece.screws.length === 0) return []
  const post = postName(wall)
  const hit = postsHit(wall, piece, hung.x)
  if (hit.length >= 2) return []
  const shifts = piece.screws.flatMap((s) => postsOf(wall).map((stud) => stud - s - hung.x))
  const better = shifts
    .filter((dx) => postsHit(wall, piece, hung.x + dx).length > hit.length)
    .sort((a, b) => Math.abs(a) - Math.abs(b))[0]
  const move = better === undefined ? 'Screws may be moved along the back to meet them.' : `${formatLength(Math.abs(better), shop)} to the ${better > 0 ? 'right' : 'left'} it meets ${postsHit(wall, piece, hung.x + better).length}.` // prettier-ignore
  const says = hit.length === 0 ? `No screw of ${piece.name} meets ${post === 'stud' ? 'a stud' : 'an upright'} within ${formatLength(inPost(wall), shop)}. ${move}` : `${piece.name} is in one ${post} only. ${move}` // prettier-ignore
  return [{ id: `studs:${piece.holder}`, level: hit.length === 0 ? 'stop' : 'watch', holders: [piece.holder], says }]
}

/** What hooks under its strip too is slid on from an end of it: its whole length has to be free beside one. */
function sticksOn(
  wall: Wall,
  rows: readonly Row[],
  runs: readonly StripRun[],
  placed: readonly Placed[],
  p: Placed,
  shop: Shop,
): WallVerdict[] {
  const row = p.piece.slides ? rowAt(rows, p.piece, p.hung.z, shop) : null
  if (row === null) return []
  const own = at(p.piece.all, p.hung.x, p.hung.z)
  const long = own.x1 - own.x0
  const middle = (own.x0 + own.x1) / 2
  const stretch = runs.find((s) => s.row === row && s.from <= middle && s.to >= middle)
  if (!stretch) return []
  const free = (from: number, to: number): boolean =>
    from >= -1e-6 &&
    to <= wall.width + 1e-6 &&
    placed.every((o) => o === p || !meets(at(o.piece.all, o.hung.x, o.hung.z), { ...own, x0: from, x1: to })) &&
    wall.things.every((t) => !meets({ x0: t.x, x1: t.x + t.width, z0: t.z, z1: t.z + t.height }, { ...own, x0: from, x1: to })) // prettier-ignore
  // beyond its end no other piece of the row is in the way
  const off = (from: number): boolean => runs.every((r) => r.row !== row || r.to <= from + 1e-6 || r.from >= from + long - 1e-6) // prettier-ignore
  if (off(stretch.from - long) && free(stretch.from - long, own.x0)) return []
  if (off(stretch.to) && free(own.x1, stretch.to + long)) return []
  return [{ id: `slides:${p.piece.holder}`, level: 'watch', holders: [p.piece.holder], says: `${p.piece.name} hooks over and under its strip and is slid on from an end, but neither end of strip ${row} has its length free: a foot and a lock slat hold it as well, and it lifts off.` }] // prettier-ignore
}

function meeting(placed: readonly Placed[]): WallVerdict[] {
  // boxes once: every pair of holders is looked at, on each move of one that is dragged
  const boxes = placed.map(({ piece, hung }) => ({ own: at(piece.all, hung.x, hung.z), room: at(roomOf(piece), hung.x, hung.z) })) // prettier-ignore
  return placed.flatMap((a, i) =>
    boxes.flatMap(({ own: q, room: roomOfB }, j): WallVerdict[] => {
      const { own: p, room } = boxes[i]!
      if (j <= i || !(meets(room, q) || meets(roomOfB, p))) return []
      const b = placed[j]!
      const holders = [a.piece.holder, b.piece.holder]
      if (meets(p, q)) return [{ id: `meet:${holders.join('+')}`, level: 'stop', holders, says: `${a.piece.name} and ${b.piece.name} take up the same room, with their tools.` }] // prettier-ignore
      const over = meets(room, q) ? [a, b] : [b, a]
      return [{ id: `room:${holders.join('+')}`, level: 'watch', holders, says: `${over[1]!.piece.name} hangs so close above ${over[0]!.piece.name} that a hand has no room to take tools out.` }] // prettier-ignore
    }),
  )
}
