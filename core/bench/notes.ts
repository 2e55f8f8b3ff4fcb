import { drilled, type HolderModel, type Opening } from '../model/model'
import { bitName } from '../shop/bit-name'
import type { Shop } from '../shop/shop'
import { formatAngle } from '../units/angle'
import { formatLength, type LengthFormat } from '../units/format-length'

/** From here on a bit wants the work clamped and a low speed, mm. */
const LARGE_BIT = 25

/** How often each bit bores in a holder, the largest first; by the diameter stamped on it, mm. */
export function boresByBit(model: Pick<HolderModel, 'boards'>): { bit: number; times: number }[] {
  const count = new Map<number, number>()
  for (const { bit } of model.boards.flatMap((b) => b.openings).flatMap(drilled))
    count.set(bit, (count.get(bit) ?? 0) + 1)
  return [...count].map(([bit, times]) => ({ bit, times })).sort((a, b) => b.bit - a.bit)
}

/**
 * What is said at the bench before the work begins: drilling, boring and sawing as the openings want it, with the
 * cautions that apply to them.
 * @returns sentences, in the order of the work
 */
export function workNotes(model: Pick<HolderModel, 'boards'>, format: LengthFormat & Pick<Shop, 'unit'>): string[] {
  const openings = model.boards.flatMap((b) => b.openings)
  const has = (is: (o: Opening) => boolean): boolean => openings.some(is)
  const bits = boresByBit(model)
  const notes: string[] = []
  for (const b of model.boards.filter((x) => x.bevel))
    notes.push(
      `${b.name}: rip one edge with the saw tilted to ${formatAngle(b.bevel!.tilt)}; its wide face is ${formatLength(b.width, format)}. Push block, the offcut on the free side of the blade, never trapped between a tilted blade and the fence; then flatten the sharp edge a little.`, // prettier-ignore
    )
  for (const b of model.boards.filter((x) => x.layers > 1))
    notes.push(`${b.name}: glue ${b.layers} layers up and let them set before you drill; the lines stay on the face that is marked.`) // prettier-ignore
  if (bits.length > 0) {
    const each = bits.map(({ bit, times }) => `${times} with the ${bitName(bit, format)} bit`).join(', ')
    notes.push(`${has((o) => o.opensTo !== null && o.cut === 'bored') ? 'Drill before you saw' : 'Drill'}: ${each}.`)
  }
  const slanted = openings.find((o) => o.slant !== 0)
  if (slanted)
    notes.push(`Bore at ${formatAngle(slanted.slant)} from square, so that what goes in leans up: mark and bore from the front, the drill sloping down as it goes in.`) // prettier-ignore
  if (has((o) => o.depth !== null))
    notes.push('Set the depth stop from the tip of the bit’s cutting edge, and try it in waste: its point goes deeper.')
  if (has((o) => (o.steps?.length ?? 0) > 0)) notes.push('Stepped bores: the largest first, so that each smaller bit finds the centre; every depth counts from the face.') // prettier-ignore
  if (has((o) => o.flare !== undefined)) notes.push('Flare the mouths last, with a countersink.')
  const dusty = openings.find((o) => o.dust !== null)
  if (dusty)
    notes.push(`Dust holes: through the middle of each blind bore’s floor, ${formatLength(dusty.dust!, format)} wide, from above, over waste.`) // prettier-ignore
  if (bits.some(({ bit }) => bit >= LARGE_BIT))
    notes.push('Large bits: clamp the work, low speed, a backer under the hole.')
  if (has((o) => o.bores.length > 1)) notes.push('Two bores: drill both before you file, then file straight from one to the other.') // prettier-ignore
  if (has((o) => o.cut === 'sawn')) notes.push('Saw to the line: clamp the board, the line beside the clamp, both hands on the saw.') // prettier-ignore
  return notes
}

/**
 * How the parts are put together, in order. Joints on end that are fixed alike to one part are told together.
 * @returns sentences
 */
export function joiningNotes(model: Pick<HolderModel, 'boards' | 'rods' | 'joints'>): string[] {
  const name = (id: string): string => [...model.boards, ...model.rods].find((p) => p.id === id)?.name ?? id
  const told: { to: string; others: string[]; fixing: string }[] = []
  for (const { parts, fixing } of [...model.joints].sort((a, b) => a.order - b.order)) {
    const [to, other] = parts.map(name) as [string, string]
    const last = told.at(-1)
    if (last?.to === to && last.fixing === fixing) last.others.push(other)
    else told.push({ to, others: [other], fixing })
  }
  return told.map(({ to, others, fixing }) => {
    const few = others.length <= 3 ? others.map((o) => o.toLowerCase()).join(', ') : `${others.length} parts, ${others[0]!.toLowerCase()} to ${others.at(-1)!.toLowerCase()}` // prettier-ignore
    return `${to} and ${few}: ${fixing}.`
  })
}
