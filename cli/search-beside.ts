import { fork, type ChildProcess } from 'node:child_process'
import { extname } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { CutInstance, CutPlan } from '#core/cutting/instance'

/** What the process is told; it may search until a moment, ms since 1970. `beside` is which search beside the first it is, from 1. */
export interface ToSearchBeside {
  readonly instance: CutInstance
  readonly beside: number
  readonly seed: number
  readonly until: number
}

/** What it tells: each plan that is better than those before, and in the end the last one, laid out better. */
export interface FromSearchBeside {
  readonly plan: CutPlan
  readonly isLast: boolean
}

/** How much longer than it may search its last plan is waited for, ms. */
const GRACE = 300

/** A search in a process of its own, beside the one that goes on here. */
export class SearchBeside {
  private readonly process: ChildProcess
  /** Its plan, when it is through. */
  plan: CutPlan | null = null
  /** The best that it told of before. */
  private best: CutPlan | null = null
  private readonly ended: Promise<void>

  constructor(what: ToSearchBeside) {
    // beside this file, as it is written or bundled
    const file = fileURLToPath(new URL(`./search-beside-process${extname(import.meta.url)}`, import.meta.url))
    this.process = fork(file, { stdio: ['ignore', 'ignore', 'ignore', 'ipc'], serialization: 'advanced' })
    this.ended = new Promise((resolve) => {
      this.process.on('message', (told) => {
        const { plan, isLast } = told as FromSearchBeside
        this.best = plan
        if (!isLast) return
        this.plan = plan
        resolve()
      })
      this.process.on('error', () => resolve())
      this.process.once('exit', () => resolve())
    })
    this.process.send(what, () => {
      // what doesn't reach it has no search beside it: the first goes on alone
    })
  }

  /** Its plan, if it is through or nearly so; else the best that it found, null for none. It ends. */
  async last(): Promise<CutPlan | null> {
    let timer: NodeJS.Timeout | undefined
    const late = new Promise<void>((resolve) => (timer = setTimeout(resolve, GRACE)))
    await Promise.race([this.ended, late])
    this.stop()
    clearTimeout(timer)
    return this.best
  }

  stop(): void {
    this.process.kill()
  }
}
