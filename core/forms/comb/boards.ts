import type { Board, Joint } from '../../model/model'
import type { Stock } from '../../shop/shop'
import type { Trail } from '../../working/trail'
import { plainBoard } from '../plain-board'
import type { Across } from './across'
import { backHighRule, frameRule } from './rules'

/** Boards of a comb, and how they are joined. */
interface Built {
  boards: Board[]
  joints: Joint[]
}

const joined = (parts: [string, string], fixing: string, i: number): Joint => ({ order: i + 1, parts, glued: true, by: 'screws', fixing }) // prettier-ignore

/** Posts straight on a back. @param span, @param tall of the back, mm */
export function onBack(stock: Stock, posts: readonly Board[], span: number, tall: number): Built {
  const back = plainBoard(stock, {
    id: 'back',
    name: 'Back',
    role: 'back',
    length: span,
    width: tall,
    placement: { lies: 'upright', at: { x: 0, y: 0, z: 0 } },
    figures: { length: 'span', width: 'postLength', thickness: 'thickness:back' },
  })
  return {
    boards: [...posts, back],
    joints: posts.map((b, i) => joined(['back', b.id], 'Glue, and screws from behind through the back into the post’s back edge', i)), // prettier-ignore
  }
}

/** Posts that stand off the back between a top and a bottom, so that bars lie in both their edges; mm. */
export function framed(
  trail: Trail,
  stock: Stock,
  posts: readonly Board[],
  { span, tall, across }: { span: number; tall: number; across: Across },
): Built {
  const t = stock.thickness
  const out = trail.derive('frameDepth', 'Top and bottom, from the back', across.behind + across.depth, frameRule, '{behind} + {depth}', { print: 'up' }) // prettier-ignore
  const high = trail.derive('backHigh', 'Back, height', tall + 2 * t, backHighRule, '{postLength} + 2 × {thickness:back}', { print: 'up' }) // prettier-ignore
  const plate = (id: string, name: string, z: number): Board =>
    plainBoard(stock, {
      id,
      name,
      role: 'shelf',
      length: span,
      width: out,
      placement: { lies: 'flat', at: { x: 0, y: t, z } },
      figures: { length: 'span', width: 'frameDepth', thickness: 'thickness:back' },
    })
  const back = plainBoard(stock, {
    id: 'back',
    name: 'Back',
    role: 'back',
    length: span,
    width: high,
    placement: { lies: 'upright', at: { x: 0, y: 0, z: -t } },
    figures: { length: 'span', width: 'backHigh', thickness: 'thickness:back' },
  })
  const ends = [plate('bottom', 'Bottom', 0), plate('top', 'Top', tall + t)]
  const pairs = [
    ...ends.flatMap((e) => posts.map((p): [[string, string], string] => [[e.id, p.id], `Glue, and screws through the ${e.name.toLowerCase()} into the post’s end, its front edge flush`])), // prettier-ignore
    ...ends.map((e): [[string, string], string] => [['back', e.id], `Glue, and screws from behind through the back into the ${e.name.toLowerCase()}`]), // prettier-ignore
  ]
  return { boards: [...posts, ...ends, back], joints: pairs.map(([parts, fixing], i) => joined(parts, fixing, i)) }
}
