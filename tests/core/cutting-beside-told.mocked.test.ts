import { EventEmitter } from 'node:events'
import { describe, expect, it, vi } from 'vitest'
import type { CutInstance, CutPlan } from '#core/cutting/instance'
import type { FromSearchBeside } from '../../cli/search-beside'

/** The process that a search beside the first goes on in. */
class Process extends EventEmitter {
  killed = 0
  send = vi.fn()
  kill(): void {
    this.killed++
  }
  tell(bought: number, isLast: boolean): void {
    this.emit('message', { plan: { bought } as CutPlan, isLast } satisfies FromSearchBeside)
  }
}

const { forked } = vi.hoisted(() => ({ forked: { process: null as unknown } }))
vi.mock('node:child_process', () => ({ fork: () => forked.process }))
const { SearchBeside } = await import('../../cli/search-beside')

const begin = () => {
  const process = (forked.process = new Process()) as Process
  const instance = {} as CutInstance
  return { process, search: new SearchBeside({ instance, beside: 1, seed: 1, until: 0 }) }
}

describe('what a search beside the first tells', () => {
  it('is its last plan, which ends it', async () => {
    const { process, search } = begin()
    process.tell(3, false)
    expect(search.plan).toBeNull()
    process.tell(2, true)
    expect(search.plan).toEqual({ bought: 2 })
    expect(await search.last()).toEqual({ bought: 2 })
    expect(process.killed).toBe(1)
  })

  it('is the best it has found where the time is up before that is laid out better', async () => {
    const { process, search } = begin()
    process.tell(4, false)
    process.tell(3, false)
    expect(await search.last()).toEqual({ bought: 3 })
    expect(process.killed).toBe(1)
  })

  it('is nothing where it comes to an end, or can’t begin', async () => {
    for (const event of ['exit', 'error']) {
      const { process, search } = begin()
      process.emit(event)
      expect(await search.last()).toBeNull()
    }
  })
})
