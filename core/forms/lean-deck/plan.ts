import { polygon } from '../../geometry/outline'
import { MODEL_VERSION, type Board, type Joint } from '../../model/model'
import { tipBoard } from '../../model/tilt'
import { formatLength } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { Trail } from '../../working/trail'
import { lengthOf, optionOf } from '../choice-value'
import type { Plan, PlanInput, Refusal } from '../form'
import { plainBoard } from '../plain-board'
import { spreadSpots } from '../spread'
import { NO_STOCK, stocksFor } from '../stocks'
import { cosine, sine } from '../tilting'
import { tipping } from './balance'
import { cheekSize, heldAt, offBack, upDeck } from './across'
import { choices } from './choices'
import { backRule, deckLengthRule } from './rules'
import { seatOn } from './seat'
import { slotClash, slotIn } from './slots'
import { stood } from './stood'

/** Plans a lean deck: a deck between two cheeks that leans out of the wall down to a stop, and a back behind the cheeks. */
export function planLeanDeck(input: PlanInput): Plan {
  const trail = new Trail()
  const refuse = (...refusals: Refusal[]): Plan => ({ model: null, trail, refusals })
  const stocks = stocksFor(choices, input, trail, ['shelf', 'lip', 'cheek', 'back'])
  if (!stocks) return refuse(NO_STOCK)
  const { stood: all, refusals } = stood(input, trail)
  if (all.length === 0) {
    if (refusals.length > 0) return refuse(...refusals)
    return refuse({ id: 'empty', says: 'No tools in this holder yet. Add the first one from those that could join.' })
  }
  lengthOf(choices, input, trail, 'gap')
  lengthOf(choices, input, trail, 'margin')
  const { shelf, lip, cheek, back } = stocks
  const even = optionOf(choices, input, 'pitch') === 'even'
  const { centres, length } = spreadSpots(trail, all, even, { id: 'thickness:cheek', value: cheek.thickness })
  if (length > LARGEST_SIZE)
    return refuse(...refusals, { id: 'too long', says: `The deck would be ${formatLength(length, input.shop)} long. Split the tools over several holders.` }) // prettier-ignore
  const up = upDeck(input, trail, all)
  if (up.refusal) return refuse(...refusals, up.refusal)
  const { depth } = up
  const clash = slotClash(all, centres, [cheek.thickness, length - cheek.thickness])
  if (clash) return refuse(...refusals, clash)

  const tilt = Number(optionOf(choices, input, 'angle'))
  trail.given('tilt', 'Deck leans at', tilt, { kind: 'choice', key: 'angle' }, { quantity: 'angle' })
  const rise = lengthOf(choices, input, trail, 'lip')
  const held = heldAt(input, trail, rise)
  const off = offBack(trail, all, { depth, tilt, thickness: shelf.thickness })
  const size = cheekSize(trail, { off, depth, rise, tilt, deck: shelf.thickness, stop: lip.thickness })
  const inner = trail.derive('deckLength', 'Deck, length', length - 2 * cheek.thickness, deckLengthRule, '{length} − 2 × {thickness:cheek}') // prettier-ignore
  const height = Math.max(lengthOf(choices, input, trail, 'backHeight'), size.tall)
  trail.derive('backHigh', 'Back, height', height, backRule, 'max({backHeight}, {cheekHeight})', { print: 'up' })

  // level first, then tipped about the upper back edge of the deck
  const [tc, tb, ts] = [cheek.thickness, back.thickness, shelf.thickness]
  const about = { y: tb + off, z: 0 }
  const low = -(sine(tilt) * (depth + lip.thickness) + cosine(tilt) * ts)
  const tipped = (board: Board): Board => tipBoard(board, -tilt, about)
  const deck = tipped(
    plainBoard(shelf, {
      id: 'deck',
      name: 'Deck',
      role: 'shelf',
      length: inner,
      width: depth,
      openings: all.flatMap((s, i) => slotIn(trail, s, centres[i]!, depth, tc) ?? []),
      placement: { lies: 'flat', at: { x: tc, y: about.y, z: 0 } },
      figures: { length: 'deckLength', width: 'depth', thickness: 'thickness:shelf' },
    }),
  )
  const stop = tipped(
    plainBoard(lip, {
      id: 'stop',
      name: 'Stop',
      role: 'lip',
      length: inner,
      width: held.board,
      placement: { lies: 'upright', at: { x: tc, y: about.y + depth, z: -ts } },
      figures: { length: 'deckLength', width: 'stopBoard', thickness: 'thickness:lip' },
    }),
  )
  const over = held.lip === null ? [] : [
    tipped(plainBoard(lip, {
      id: 'lip',
      name: 'Lip',
      role: 'lip',
      length: inner,
      width: held.lip,
      placement: { lies: 'flat', at: { x: tc, y: about.y + depth + lip.thickness - held.lip, z: held.stop + lip.thickness } }, // prettier-ignore
      figures: { length: 'deckLength', width: 'lipWidth', thickness: 'thickness:lip' },
    })),
  ] // prettier-ignore
  const side = (id: string, name: string, x: number): Board =>
    plainBoard(cheek, {
      id,
      name,
      role: 'end',
      length: size.out,
      width: size.tall,
      outline: polygon([[0, 0], [size.out, 0], [size.out, size.nose], [0, size.tall]]), // prettier-ignore
      placement: { lies: 'end', at: { x, y: tb, z: low } },
      figures: { length: 'cheekLength', width: 'cheekHeight', thickness: 'thickness:cheek' },
    })
  const behind = plainBoard(back, {
    id: 'back',
    name: 'Back',
    role: 'back',
    length,
    width: height,
    placement: { lies: 'upright', at: { x: 0, y: 0, z: low } },
    figures: { length: 'length', width: 'backHigh', thickness: 'thickness:back' },
  })
  const cheeks = [side('left', 'Left cheek', 0), side('right', 'Right cheek', length - tc)]
  if (held.bears) for (const s of all) tipping(input, trail, s, held.bears, tilt)
  return {
    trail,
    refusals,
    model: {
      version: MODEL_VERSION,
      form: 'lean-deck',
      name: input.holder.name,
      boards: [deck, stop, ...over, ...cheeks, behind],
      rods: [],
      reach: { value: tb + size.out, formula: '{thickness:back} + {cheekLength}' },
      joints: joints(over, cheeks),
      fasteners: [],
      seats: all.map((s, i) => seatOn(s, centres[i]!, { tilt, depth, about })),
    },
  }
}

/** The stop onto the deck, the lip onto it, the cheeks onto the deck's ends, and the back onto the cheeks. */
const joints = (over: readonly Board[], cheeks: readonly Board[]): Joint[] =>
  [
    {
      parts: ['stop', 'deck'] as [string, string],
      fixing: 'Glue, and screws through the stop into the deck’s lower edge',
    },
    ...over.map((b) => ({ parts: [b.id, 'stop'] as [string, string], fixing: 'Glue, and screws through the lip into the stop, its back edge over the deck' })), // prettier-ignore
    ...cheeks.map((b) => ({ parts: [b.id, 'deck'] as [string, string], fixing: 'Glue, and screws through the cheek into the deck’s end, on the line drawn at its slope' })), // prettier-ignore
    ...cheeks.map((b) => ({ parts: ['back', b.id] as [string, string], fixing: 'Glue, and screws from behind through the back into the cheek' })), // prettier-ignore
  ].map((joint, i) => ({ order: i + 1, ...joint, glued: true, by: 'screws' as const }))
