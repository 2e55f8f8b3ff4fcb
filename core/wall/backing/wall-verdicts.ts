import type { Verdict } from '../../checks/verdict'
import type { HolderModel } from '../../model/model'
import { newPiece } from '../../shop/pieces-of-stock'
import type { Shop } from '../../shop/shop'
import { formatLength } from '../../units/format-length'
import { frameOn, hangsBy, rackOn, uprightsOf } from '../holding'
import { rowsOn } from '../strips'
import type { Thing, Wall } from '../wall'
import { anchorAdvice } from './anchors'
import { fitsSheet } from './framed'
import { sheetStock, stripStock } from './made'
import { sheetPieces } from './sheet-pieces'
import { DRIVER } from './uprights'

const say = (id: string, level: Verdict['level'], says: string): Verdict => ({ id, check: 'wall', title: 'Wall', level, says, seats: [], candidates: [] }) // prettier-ignore

/** What has to be known before a wall is covered, in plain words. */
export function wallVerdicts(wall: Wall, shop: Shop, model: HolderModel | null): Verdict[] {
  const advice = anchorAdvice(wall, shop)
  const found = advice === null ? [] : [say('anchors', 'watch', advice)]
  if (wall.holds === 'studs') return found
  if (wall.behind !== 'masonry') found.push(...ofStuds(wall))
  if (!model) return [...found, say('nothing', 'stop', whyNothing(wall, shop))]
  const into = model.fasteners.filter((f) => f.into === null)
  const bearing = wall.behind === 'masonry' || wall.studs.length > 0
  if (bearing && into.length === 0) found.push(say('no screw', 'stop', wall.holds === 'uprights' || wall.holds === 'rack' ? 'No screw reaches a stud that no upright hides: move the uprights along, or buy longer screws.' : `No screw you own goes through ${formatLength(model.boards[0]!.thickness, shop)} and a lining of ${formatLength(shop.settings.wallLining, shop)} far enough into a stud.`)) // prettier-ignore
  if (wall.holds === 'backed' && into.length > 0 && !into.some((f) => model.boards.some((b) => b.bevel && b.id === f.through))) found.push(say('sheet alone', 'watch', `No screw you own goes through strip, sheet and lining into a stud: the strips are screwed to the sheets alone. ${longer(shop)}`)) // prettier-ignore
  // strips on sheets are held by those too
  const hung = model.boards.filter((b) => (wall.holds === 'strips' && b.role === 'strip') || (b.role === 'rail' && wall.holds === 'uprights')) // prettier-ignore
  const loose = hung.filter((b) => new Set(into.filter((f) => f.through === b.id).map((f) => f.at.x)).size < 2)
  if (loose.length > 0 && into.length > 0) found.push(say('loose strips', 'watch', `${loose.map((b) => b.name).join(', ')}: on fewer than two studs. Leave ${loose.length === 1 ? 'it' : 'them'} out, or hang nothing heavy there.`)) // prettier-ignore
  return [...found, ...ofSeams(wall, shop), ...ofFrame(wall, shop, model), ...ofUprights(wall, shop, model)]
}

/** How long a screw through all of it would have to be. */
function longer(shop: Shop): string {
  const side = (stripStock(shop)?.thickness ?? 0) + (sheetStock(shop)?.thickness ?? 0) + shop.settings.wallLining
  return `Screws of ${formatLength(side + LEAST_IN_STUD, shop, 'up')} and more would do.`
}

/** A screw in a stud wants to bite so deep at least, mm. */
const LEAST_IN_STUD = 25

const WHAT: Record<Wall['holds'], string> = { panel: 'Sheets', studs: 'Holders', strips: 'Strips', backed: 'Sheets and strips', framed: 'The panel', uprights: 'Ledgers', rack: 'The upper ledger' } // prettier-ignore

function ofStuds({ studs, holds }: Wall): Verdict[] {
  const are = holds === 'framed' || holds === 'rack' ? 'is' : 'are'
  if (studs.length === 0) return [say('no studs', 'stop', `${WHAT[holds]} ${are} screwed into studs: find them first.`)]
  if (studs.length > 1) return []
  return [say('one stud', 'watch', 'One stud alone carries everything: look for the next ones, or frame the wall out.')]
}

function whyNothing(wall: Wall, shop: Shop): string {
  if (wall.holds === 'panel' || wall.holds === 'backed') return 'The shop has no sheet to cover this wall with.'
  if (wall.holds === 'framed') return sheetStock(shop) && stripStock(shop) ? 'The panel is larger than a sheet of the shop: make it smaller.' : 'The shop has no sheet for the panel, or no board for its edges.' // prettier-ignore
  if (hangsBy(wall) === 'posts') return uprightsOf(wall).length === 0 ? 'No upright has room: what is on the wall is in their way, or the pitch is wider than the wall.' : 'The uprights are too short for their ledgers, or the shop has no board for them.' // prettier-ignore
  return rowsOn(wall, shop).length === 0 ? 'No strip finds room between the lowest one and the top.' : 'Nothing is left of the strips: what is on the wall is in their way.' // prettier-ignore
}

function ofSeams(wall: Wall, shop: Shop): Verdict[] {
  const stock = sheetStock(shop)
  if ((wall.holds !== 'panel' && wall.holds !== 'backed') || !stock || wall.behind === 'masonry') return []
  return sheetPieces(wall, shop, stock).every((p) => p.seamHolds)
    ? []
    : [say('seams', 'watch', 'A seam between two sheets lies on no stud: screw a batten behind it, or cut a sheet back.')] // prettier-ignore
}

const COVERED: readonly Thing['kind'][] = ['outlet', 'switch', 'window', 'door']

function ofFrame(wall: Wall, shop: Shop, model: HolderModel): Verdict[] {
  const stock = sheetStock(shop)
  if (wall.holds !== 'framed' || !stock || !fitsSheet(frameOn(wall), { ...stock, ...newPiece(shop, stock) })) return []
  const { x, z, width, height } = frameOn(wall)
  const off = x < -1e-6 || x + width > wall.width + 1e-6 || z < -1e-6 || z + height > wall.height + 1e-6
  const over = wall.things.filter((t) => COVERED.includes(t.kind) && t.x < x + width && t.x + t.width > x && t.z < z + height && t.z + t.height > z) // prettier-ignore
  const columns = new Set(model.fasteners.filter((f) => f.into === null).map((f) => f.at.x)).size
  return [
    ...(off ? [say('panel off', 'stop', 'The panel reaches past the wall.')] : []),
    ...over.map((t) => say(`panel over ${t.id}`, 'stop', `The panel covers ${t.name || `the ${t.kind}`}: move it, or make it smaller.`)), // prettier-ignore
    ...(columns === 1 ? [say('panel on one', 'watch', 'The panel is on one stud only: move it so that it lies on two.')] : []), // prettier-ignore
    ...(model.boards.some((b) => b.role === 'strip') ? [] : [say('bare panel', 'stop', 'The panel has no room for a strip: make it higher or wider.')]), // prettier-ignore
  ]
}

function ofUprights(wall: Wall, shop: Shop, model: HolderModel): Verdict[] {
  if (wall.holds !== 'uprights' && wall.holds !== 'rack') return []
  const posts = model.boards.filter((b) => b.placement.lies === 'post')
  const swaying = posts.filter((p) => model.joints.filter((j) => j.parts[1] === p.id).length < 2)
  const rack = rackOn(wall)
  const half = (posts[0]?.thickness ?? 0) / 2
  const hidden = wall.holds === 'uprights' ? wall.studs.filter((s) => uprightsOf(wall).some((m) => Math.abs(m - s) < half + DRIVER)) : [] // prettier-ignore
  const off = posts.some((p) => p.placement.at.x < -1e-6 || p.placement.at.x + 2 * half > wall.width + 1e-6) || rack.high > wall.height + 1e-6 // prettier-ignore
  return [
    ...(off ? [say('uprights off', 'stop', 'The uprights reach past the wall.')] : []),
    ...(swaying.length > 0 ? [say('one ledger', 'stop', `${swaying.map((p) => p.name).join(', ')}: on fewer than two ledgers. What is on the wall parts them there.`)] : []), // prettier-ignore
    ...(hidden.length > 0 ? [say('hidden studs', 'watch', `Studs at ${hidden.map((s) => formatLength(s, shop)).join(', ')} lie behind uprights: no screw gets at them there.`)] : []), // prettier-ignore
    ...(wall.holds === 'rack' ? [say('held at the top', 'watch', `A rack that leans is held at the top: screws through its uppermost ledger, or a strap. Keep what is heavy below ${formatLength(rack.high / 2, shop)}.`)] : []), // prettier-ignore
  ]
}
