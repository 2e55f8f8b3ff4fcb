import type { Stock } from '../shop/shop'
import type { CuttingJob } from './from-holders'
import type { CutPlan } from './instance'

/** A part that no piece of its stock is large enough for. mm */
export interface NoPlace {
  stock: Stock
  /** id of the part: its holder's, a stroke, its own */
  id: string
  holder: string
  part: string
  count: number
  length: number
  /** 0 of rods and pipe */
  width: number
}

/** The parts that a plan of a job has no place for. */
export const noPlaceIn = ({ stock, instance, names }: CuttingJob, { unplaced }: CutPlan): NoPlace[] =>
  unplaced.map(({ partId, count }) => {
    const { length, width } = instance.parts.find((p) => p.id === partId)!
    return { stock, id: partId, ...names[partId]!, count, length, width }
  })
