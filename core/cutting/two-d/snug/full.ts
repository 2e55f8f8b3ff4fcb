import type { Block } from '../blocks'
import type { FullSheet } from '../build-up'
import type { PackedCounts } from '../packed-counts'
import type { SnugBlock } from './block'
import type { SnugSheet } from './sheets'

/** A sheet with little waste, the same as other full sheets are. */
export function fullSheet(packing: PackedCounts, { sheet, waste, holds, rest, last }: SnugSheet): FullSheet {
  let all = { block: blockOf(last.block), turned: last.turned }
  for (let { taken } = rest; taken; { taken } = taken.from) {
    const { axis, side } = taken
    const { l, w } = taken.from
    const parts = [{ block: blockOf(side.block), turned: side.turned }, all] as const
    all = { block: { l, w, area: l * w, turns: false, made: { axis, parts } }, turned: false }
  }
  return { sheet, waste, built: { block: all.block, counts: packing.counts(holds), waste } }
}

/** A block of which shapes are settled as one of the others. */
export function blockOf({ l, w, turns, made }: SnugBlock): Block {
  const area = l * w
  if (typeof made === 'number') return { l, w, area, turns, made: { piece: made } }
  const [a, b] = made.parts
  const parts = [
    { block: blockOf(a.block), turned: a.turned },
    { block: blockOf(b.block), turned: b.turned },
  ] as const
  return { l, w, area, turns, made: { axis: made.axis, parts } }
}
