import { plainBoard } from '../../forms/plain-board'
import type { Board, Fastener, Joint } from '../../model/model'
import { newPiece } from '../../shop/pieces-of-stock'
import type { Shop, Stock } from '../../shop/shop'
import type { Trail } from '../../working/trail'
import { bearersOf, rackOn, uprightsOf } from '../holding'
import type { Rack, Thing, Wall } from '../wall'
import { intoBoard, lengthText, NOTHING, plus, screwed, stripStock, thicknessOf, type Made } from './made'
import { ledgerHighRule, ledgerRule, leanLongRule, leanOutRule, uprightMarkRule, uprightRule } from './rules'
import { freeBetween } from './stretches'
import { joined, screwsOf } from './strip-pieces'

/** From an end of the uprights to the ledger there, where they are long enough; mm. */
const INSET = 100

/** Beside an upright a driver wants so much, mm. */
export const DRIVER = 8

/** Things on the wall keep a ledger so far off, mm. */
const ROOM = 10

/** Two screws in a ledger stand so far from its middle, of its width. */
const APART = 0.25

/** Lower edges of the ledgers, from below; mm. */
export function ledgerHeights({ low, high, ledgers }: Rack, width: number): number[] {
  const count = Math.max(2, ledgers)
  const inset = Math.max(0, Math.min(INSET, (high - low - count * width) / (count + 1)))
  const [first, last] = [low + inset, high - inset - width]
  return Array.from({ length: count }, (_, i) => first + (i * (last - first)) / (count - 1))
}

interface Ledger {
  board: Board
  low: number
}

/**
 * Boards on edge that ledgers along the wall carry. They are screwed together on the bench, from behind through the
 * ledgers; then the ledgers go on the studs, or, of a rack that stands and leans, the uppermost alone is held there.
 */
export function uprights(wall: Wall, shop: Shop, trail: Trail): Made {
  const stock = stripStock(shop)
  const rack = rackOn(wall)
  const middles = uprightsOf(wall)
  if (!stock || middles.length === 0 || rack.high - rack.low < 3 * shop.settings.ledgerWidth) return NOTHING
  const t = thicknessOf(trail, stock, 'upright')
  trail.given('ledgerWidth', 'Width of a ledger', shop.settings.ledgerWidth, { kind: 'shop', key: 'ledgerWidth' })
  trail.given('uprightDepth', 'Depth of an upright', shop.settings.uprightDepth, { kind: 'shop', key: 'uprightDepth' })
  const drawn = (id: string, label: string, value: number): number => trail.given(`rack:${id}`, label, value, { kind: 'wall', id: wall.id, key: 'rack' }) // prettier-ignore
  drawn('low', 'Uprights from, over the floor', rack.low)
  drawn('high', 'Uprights up to', rack.high)
  drawn('from', 'Middle of the first upright', rack.from)
  drawn('pitch', 'Pitch of the uprights', rack.pitch)
  const ledgers = ledgersOf(wall, shop, trail, stock, middles)
  const posts = postsUp(wall, shop, trail, stock, middles)
  const joints: Joint[] = []
  const fasteners: Fastener[] = []
  for (const { board, low } of ledgers)
    for (const post of posts.filter((p) => crosses(p, board, t))) {
      const order = joints.length + 1
      joints.push({ order, parts: [board.id, post.id], glued: false, by: 'screws', fixing: 'On its mark, square; screws from behind through the ledger into the upright’s back edge' }) // prettier-ignore
      fasteners.push(...fromBehind(shop, board, post, low, t).map((f) => ({ ...f, joint: order })))
    }
  const top = ledgers.at(-1)?.low
  const held = wall.holds === 'rack' ? ledgers.filter((l) => l.low === top) : ledgers
  return { boards: [...ledgers.map((l) => l.board), ...posts], joints, fasteners: [...fasteners, ...held.flatMap((l) => intoWall(wall, shop, l, middles, t))] } // prettier-ignore
}

const crosses = (post: Board, ledger: Board, t: number): boolean => {
  const middle = post.placement.at.x + t / 2
  const { x } = ledger.placement.at
  return middle >= x + t / 2 - 1e-6 && middle <= x + ledger.length - t / 2 + 1e-6
}

function ledgersOf(wall: Wall, shop: Shop, trail: Trail, stock: Stock, middles: readonly number[]): Ledger[] {
  const wide = shop.settings.ledgerWidth
  const over = stock.thickness / 2
  const [from, to] = [Math.max(0, middles[0]! - over), Math.min(wall.width, middles.at(-1)! + over)]
  // lengths meet on a stud that no upright hides, so that each upright has a whole ledger behind it
  const bearers = bearersOf(wall).filter((s) => middles.every((m) => Math.abs(m - s) >= over + DRIVER))
  const keep = ({ kind }: Thing): number => kind === 'outlet' || kind === 'switch' ? shop.settings.outletKeep : kind === 'bench' ? 0 : ROOM // prettier-ignore
  return ledgerHeights(rackOn(wall), wide).flatMap((low, row) => {
    trail.derive(`ledger-${row + 1}:low`, `Ledger ${row + 1}, lower edge over the floor`, low, ledgerHighRule, `{rack:low}${plus(low - rackOn(wall).low)}`) // prettier-ignore
    return freeBetween(wall, low, low + wide, keep)
      .map((s) => ({ from: Math.max(s.from, from), to: Math.min(s.to, to) }))
      .filter((s) => s.to - s.from > wide)
      .flatMap((s) => joined(s, bearers, newPiece(shop, stock).length))
      .map((s, i): Ledger => {
        const id = `ledger-${row + 1}-${i + 1}`
        const name = `Ledger ${row + 1}.${i + 1}`
        const long = trail.derive(
          `${id}:long`,
          `${name}, length`,
          s.to - s.from,
          ledgerRule,
          lengthText(wall, s.from, s.to),
        )
        const board = plainBoard(stock, { id, name, role: 'rail', length: long, width: wide, placement: { lies: 'upright', at: { x: s.from, y: 0, z: low } }, figures: { length: `${id}:long`, width: 'ledgerWidth', thickness: 'thickness:upright' } }) // prettier-ignore
        return { board, low }
      })
  })
}

function postsUp(wall: Wall, shop: Shop, trail: Trail, stock: Stock, middles: readonly number[]): Board[] {
  const { low, high, lean, from, pitch } = rackOn(wall)
  const t = stock.thickness
  let length = trail.derive(
    'upright:high',
    'Uprights, from end to end',
    high - low,
    uprightRule,
    '{rack:high} − {rack:low}',
  )
  const leans = wall.holds === 'rack' && lean > 0
  if (leans) {
    const angle = (lean * Math.PI) / 180
    trail.given('lean', 'How far it leans', lean, { kind: 'wall', id: wall.id, key: 'rack' }, { quantity: 'angle' })
    length = trail.derive('upright:long', 'Uprights, length', length / Math.cos(angle), leanLongRule, '{upright:high} / cos({lean})', { print: 'up' }) // prettier-ignore
    trail.derive('lean:out', 'Feet out from the wall', length * Math.sin(angle), leanOutRule, '{upright:long} × sin({lean})') // prettier-ignore
  }
  return middles.map((middle, i) => {
    trail.derive(`upright-${i + 1}:mark`, `Mark of upright ${i + 1} from the wall’s left corner`, middle - t / 2, uprightMarkRule, `{rack:from} + ${Math.round((middle - from) / pitch)} × {rack:pitch} − {thickness:upright} / 2`) // prettier-ignore
    return plainBoard(stock, {
      id: `upright-${i + 1}`,
      name: `Upright ${i + 1}`,
      role: 'end',
      length,
      width: shop.settings.uprightDepth,
      placement: { lies: 'post', at: { x: middle - t / 2, y: t, z: low } },
      figures: { length: leans ? 'upright:long' : 'upright:high', width: 'uprightDepth', thickness: 'thickness:upright' }, // prettier-ignore
    })
  })
}

function fromBehind(shop: Shop, ledger: Board, post: Board, low: number, t: number): Fastener[] {
  const screw = intoBoard(shop, t, post, { room: post.width, edge: t / 2 })
  if (!screw) return []
  const x = post.placement.at.x + t / 2
  return [-APART, APART].map((part, i) => ({ ...screw, id: `${ledger.id}-${post.id}-${i + 1}`, at: { x, y: 0, z: low + ledger.width * (0.5 + part) }, toward: { x: 0, y: 1, z: 0 }, through: ledger.id })) // prettier-ignore
}

/** Two screws of a ledger in each stud that no upright hides; of a rack that stands, in the first and the last alone. */
function intoWall(wall: Wall, shop: Shop, { board, low }: Ledger, middles: readonly number[], t: number): Fastener[] {
  const from = board.placement.at.x
  const free = screwsOf({ from, to: from + board.length }, bearersOf(wall)).filter((s) => middles.every((m) => Math.abs(m - s) >= t / 2 + DRIVER)) // prettier-ignore
  const taken = wall.holds === 'rack' ? free.filter((_, n) => n === 0 || n === free.length - 1) : free
  return screwed(wall, shop, board, taken.flatMap((x) => [-APART, APART].map((part) => ({ x, z: low + board.width * (0.5 + part) })))) // prettier-ignore
}
