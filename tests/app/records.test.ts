import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Kept } from '../../app/stores/record'
import { useRecords } from '../../app/stores/records'
import { mallet, shopWith } from '../core/samples'

const kept = (kind: Kept['kind'], id: string, data: object): Kept =>
  ({ kind, id, shop: 'shop', version: 1, data: { id, ...data } }) as unknown as Kept

const rail = (id: string, tools: string[], choices = {}) =>
  kept('holders', id, {
    shop: 'shop',
    name: id,
    form: 'finger-rail',
    seats: tools.map((tool, i) => ({ id: `s${i}`, tool, turn: 0 })),
    choices,
  })

describe('the records of a shop', () => {
  const store = () => {
    const records = useRecords()
    records.set(kept('shops', 'shop', shopWith()))
    for (const id of ['a', 'b', 'c']) records.set(kept('tools', id, mallet(id, 25, 50)))
    records.shopId = 'shop'
    return records
  }
  beforeEach(() => {
    vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined })
    setActivePinia(createPinia())
  })

  it('leave what follows from other kinds, and which tools have a place, as it is when a figure of a holder changes', () => {
    const records = store()
    records.set(rail('one', ['a', 'b']))
    const [tools, byId, walls, housed] = [records.tools, records.toolsById, records.walls, records.housed]
    expect([...housed]).toEqual(['a', 'b'])
    records.set(rail('one', ['b', 'a'], { gap: 31 }))
    expect(records.holders[0]!.choices).toEqual({ gap: 31 })
    expect(records.tools).toBe(tools)
    expect(records.toolsById).toBe(byId)
    expect(records.walls).toBe(walls)
    expect(records.housed).toBe(housed)
  })

  it('tell when a tool gets a place or loses it', () => {
    const records = store()
    records.set(rail('one', ['a']))
    expect([...records.housed]).toEqual(['a'])
    records.set(rail('two', ['c']))
    expect([...records.housed].sort()).toEqual(['a', 'c'])
    records.set(rail('two', ['b']))
    expect([...records.housed].sort()).toEqual(['a', 'b'])
    records.set({ ...rail('two', []), data: null })
    expect([...records.housed]).toEqual(['a'])
  })

  it('are found by their key, whatever stands in their name', () => {
    const records = store()
    records.set(rail('by/the/door', ['a']))
    expect(records.at('holders/by/the/door')?.id).toBe('by/the/door')
    expect(records.at('holders/none')).toBeUndefined()
    expect(records.get('tools', 'a')?.version).toBe(1)
  })
})
