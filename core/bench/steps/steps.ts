import { blankSteps } from './blank-steps'
import { cuttingSteps } from './cutting-steps'
import { hangingSteps } from './hanging-steps'
import { joiningSteps } from './joining-steps'
import { markSteps } from './mark-steps'
import { outlineSteps } from './outline-steps'
import { boreSteps, easeStep, shapeSteps } from './opening-steps'
import { inOrder, type Order } from './order'
import { pipeSteps } from './pipe-steps'
import { isWall, type Bench } from './step'
import { wallSteps } from './wall-steps'

/**
 * The work on a holder as cards for the bench, from the first cut to the proof, in an order that its joints allow.
 * Sentences are in the shop's words and units.
 * @param holder id of the holder, by which its parts are named in the plans of cutting
 */
export function benchSteps(bench: Bench, holder: string): Order {
  const marks = markSteps(bench)
  const marked = new Set(marks.flatMap((s) => s.makes))
  const steps = [
    ...cuttingSteps(bench, holder),
    ...blankSteps(bench),
    ...marks,
    ...boreSteps(bench),
    ...shapeSteps(bench),
    ...outlineSteps(bench, marked),
    ...pipeSteps(bench),
    easeStep(bench),
    ...joiningSteps(bench),
    ...(isWall(bench) ? wallSteps(bench) : hangingSteps(bench)),
  ]
  return inOrder(steps, bench.shop.settings.pace)
}
