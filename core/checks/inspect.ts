import type { Plan, PlanInput } from '../forms/form'
import { checkAcross } from './across'
import { checkArms } from './arms'
import { checkBearings } from './bearing'
import { checkBits } from './bit'
import { checkBoardLengths } from './board-length'
import { checkCutBefore } from './cut-before'
import { checkDrawnOut } from './drawn-out'
import { checkFingers } from './finger'
import { checkHooks } from './hooks'
import { checkKnocking } from './knocking'
import { checkMagnets } from './magnets'
import { checkMeasurements } from './measurements'
import { checkNeckRoom } from './neck-room'
import { refusalVerdicts } from './refusals'
import { checkPins } from './pins'
import { checkReach } from './reach'
import { checkRocking } from './rocking'
import { checkRods } from './rods'
import { checkSag } from './sag'
import { checkScrews } from './screws'
import { checkSeen } from './seen'
import { checkSockets } from './socket'
import { checkCheekSag } from './cheek-sag'
import { checkStock } from './stock'
import type { Check } from './subject'
import type { Verdict } from './verdict'
import { checkTaking } from './taking'
import { checkTipping } from './tipping'
import { checkWebs } from './web'

/** Every check, in the order in which a person would look. */
const CHECKS: readonly Check[] = [
  checkBits,
  checkBearings,
  checkSockets,
  checkNeckRoom,
  checkWebs,
  checkFingers,
  checkSag,
  checkRods,
  checkPins,
  checkArms,
  checkHooks,
  checkMagnets,
  checkCheekSag,
  checkTipping,
  checkKnocking,
  checkSeen,
  checkRocking,
  checkScrews,
  checkAcross,
  checkTaking,
  checkDrawnOut,
  checkReach,
  checkBoardLengths,
  checkStock,
  checkCutBefore,
]

/**
 * Looks a plan over. The checks' own figures are added to the plan's trail.
 * @returns verdicts in the order of the checks; refusals and doubtful measurements first
 */
export function inspect(plan: Plan, input: PlanInput): Verdict[] {
  const before = [...refusalVerdicts(plan, input), ...checkMeasurements(input)]
  const { model, trail } = plan
  if (!model) return before
  return [...before, ...CHECKS.flatMap((check) => check({ input, plan, model, trail }))]
}
