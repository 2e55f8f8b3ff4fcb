import { describe, expect, it } from 'vitest'
import { isDone, mergeWork, type Work } from './work'

const work = (ticks: Work['ticks'], name = 'Rail'): Work => ({ id: 'h', name, ticks })
const at = (minute: number) => `2026-03-01T09:${String(minute).padStart(2, '0')}:00.000Z`

describe('work that two have ticked off', () => {
  it('keeps what either did', () => {
    const mine = work({ a: { at: at(1), done: true } })
    const theirs = work({ b: { at: at(2), done: true } })
    expect(mergeWork(mine, theirs).ticks).toEqual({ a: mine.ticks.a, b: theirs.ticks.b })
  })
  it('takes the later word about one step, whoever said it', () => {
    const off = work({ a: { at: at(5), done: false } })
    const on = work({ a: { at: at(3), done: true } })
    expect(isDone(mergeWork(off, on), 'a')).toBe(false)
    expect(isDone(mergeWork(on, off), 'a')).toBe(false)
    expect(isDone(mergeWork(work({ a: { at: at(7), done: true } }), off), 'a')).toBe(true)
  })
  it('comes to the same whichever way it is brought together', () => {
    const one = work({ a: { at: at(1), done: true }, b: { at: at(4), done: false } })
    const two = work({ a: { at: at(1), done: false }, b: { at: at(2), done: true } })
    expect(mergeWork(one, two).ticks).toEqual(mergeWork(two, one).ticks)
  })
  it('is not done where nobody said so', () =>
    expect([isDone(null, 'a'), isDone(work({}), 'a')]).toEqual([false, false]))
})
