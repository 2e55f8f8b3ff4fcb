import type { Tool } from '#core/footprint/tool'
import type { HolderModel } from '#core/model/model'
import type { Shop } from '#core/shop/shop'
import type { SolidScene } from '#core/solid/scene'
import type { TakenOut } from '#core/solid/taking'

/** What the page asks of the worker that builds solids. */
export interface ToSolid {
  id: number
  model: HolderModel
  tools: Tool[]
  shop: Shop
}

/** What the worker answers, by the id of the question. */
export type FromSolid =
  { id: number; scene: SolidScene } | { id: number; ways: TakenOut[] } | { id: number; failed: string }
