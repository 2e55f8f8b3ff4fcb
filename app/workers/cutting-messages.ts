import type { CutInstance, CutPlan } from '#core/cutting/instance'

/** What the page asks of the worker that plans the cutting. */
export interface ToCutting {
  jobs: { key: string; instance: CutInstance }[]
  /** for each job at most */
  seconds: number
}

/** What it says: the best plan so far of a job, and when all of them are through. */
export type FromCutting =
  { say: 'plan'; key: string; plan: CutPlan; done: boolean } | { say: 'through' } | { say: 'failed'; message: string }
