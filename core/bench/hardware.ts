import { drilled, type HolderModel } from '../model/model'
import { bitName } from '../shop/bit-name'
import { usualGlue } from '../shop/usual-choice'
import type { Shop } from '../shop/shop'

/** Something that is used up or put in besides wood, and how many. */
export interface Hardware {
  kind: 'screw' | 'brad' | 'glue' | 'bit' | 'bought'
  name: string
  count: number
  /** what it is for */
  use: string
  /** it is not in the shop yet */
  toBuy: boolean
}

/** Screws, brads, glue and bits that some holders take, alike ones together. */
export function hardwareOf(models: readonly HolderModel[], shop: Shop): Hardware[] {
  const found = new Map<string, Hardware>()
  const add = (h: Omit<Hardware, 'count'>, count: number): void => {
    const key = `${h.kind} ${h.name} ${h.use}`
    const old = found.get(key)
    found.set(key, { ...h, count: (old?.count ?? 0) + count })
  }
  for (const { fasteners, joints, boards, bought = [] } of models) {
    for (const b of bought) add({ kind: 'bought', name: b.name, use: 'put in', toBuy: b.toBuy }, b.count)
    for (const f of fasteners) {
      const toBuy = f.kind === 'screw' && (shop.screws.find((s) => s.id === f.item)?.toBuy ?? false)
      add({ kind: f.kind, name: f.name, use: f.into === null ? 'into the wall' : 'between parts', toBuy }, 1)
    }
    const glue = usualGlue(shop)
    const glued = joints.filter((j) => j.glued).length + boards.reduce((sum, b) => sum + b.layers - 1, 0)
    if (glued > 0) add({ kind: 'glue', name: glue?.name ?? 'wood glue', use: 'joints', toBuy: glue?.toBuy ?? true }, glued) // prettier-ignore
    for (const bit of new Set(boards.flatMap((b) => b.openings.flatMap((o) => drilled(o).map((x) => x.bit))))) {
      const owned = shop.bits.find((b) => Math.abs(b.diameter - bit) < 1e-6)
      if (owned?.toBuy) add({ kind: 'bit', name: bitName(bit, shop), use: 'bores', toBuy: true }, 0)
    }
  }
  return [...found.values()].map((h) => (h.kind === 'bit' ? { ...h, count: 1 } : h))
}
