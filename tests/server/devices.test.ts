import { afterAll, beforeAll, expect, inject, it } from 'vitest'
import { api } from './api'

interface State {
  device: string
  unit: string
  battery: number
  connected: boolean
  relative: boolean
  display: string
}
interface Said {
  event: string
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- states and readings
  data: any
}

const said: Said[] = []
const states = new Map<string, State>()
const stop = new AbortController()

/** Listens to the stream as a page does. */
beforeAll(async () => {
  const stream = await fetch(`${inject('address')}/api/devices`, { signal: stop.signal })
  const reader = stream.body!.pipeThrough(new TextDecoderStream()).getReader()
  let rest = ''
  const hear = async () => {
    for (;;) {
      const { value, done } = await reader.read()
      if (done) return
      const parts = (rest + value).split('\n\n')
      rest = parts.pop()!
      for (const part of parts) {
        const [, event = '', data = ''] = /event: (\w+)\ndata: ?(.*)/.exec(part) ?? []
        if (event === 'state') states.set(JSON.parse(data).device, JSON.parse(data))
        else if (event === 'reading') said.push({ event, data: JSON.parse(data) })
      }
    }
  }
  void hear().catch(() => undefined)
  while (states.size < 3) await new Promise((resolve) => setTimeout(resolve, 20))
})
afterAll(() => stop.abort())

const tell = (device: string, body: object) => api('POST', `/api/devices/${device}`, body, { 'x-window': 'mine' })
const of = { tool: 'net-store-caulking-long', kind: 'headed', field: 'handleWidth' }
async function reading(device: string, what: object = of): Promise<{ value: number; text: string; low: boolean }> {
  const before = said.length
  expect((await tell(device, { of: what })).status).toBe(200)
  while (said.length === before) await new Promise((resolve) => setTimeout(resolve, 10))
  expect(said.at(-1)!.data.by).toBe('mine')
  return said.at(-1)!.data.reading
}

it('reads what a sample tool measures, with a caliper’s noise', async () => {
  const values: number[] = []
  for (let i = 0; i < 12; i++) values.push((await reading('caliper')).value)
  for (const v of values) expect(Math.abs(v - 29)).toBeLessThan(0.2)
  expect(new Set(values).size).toBeGreaterThan(3)
  expect((await reading('scale', { ...of, field: 'mass' })).value).toBeCloseTo(1.35, 1)
})

it('steps its unit, and is set to nought on something', async () => {
  expect((await tell('caliper', { press: 'unit' })).body.unit ?? states.get('caliper')!.unit).toBe('in')
  const inches = await reading('caliper')
  expect(inches.text).toMatch(/^1\.1\d+ in$/)
  expect(inches.value).toBeCloseTo(29, 0)
  await tell('caliper', { press: 'unit' })
  await tell('caliper', { press: 'zero' })
  expect(Math.abs((await reading('caliper')).value)).toBeLessThan(0.4)
  await tell('caliper', { press: 'zero' })
  expect((await reading('caliper')).value).toBeCloseTo(29, 0)
})

it('runs its battery down, and reads nothing more until it is changed', async () => {
  await tell('scale', { press: 'run down' })
  expect((await reading('scale', { ...of, field: 'mass' })).low).toBe(true)
  for (let i = 0; i < 20; i++) await tell('scale', { of })
  const dead = await tell('scale', { of })
  expect([dead.status, dead.type]).toEqual([409, 'application/problem+json'])
  expect(dead.body.detail).toContain('battery')
  await tell('scale', { press: 'battery' })
  expect((await reading('scale', { ...of, field: 'mass' })).low).toBe(false)
})

it('reads nothing out of reach', async () => {
  await tell('gauge', { press: 'carry away' })
  expect((await tell('gauge', { of })).status).toBe(409)
  await tell('gauge', { press: 'bring back' })
  expect((await reading('gauge')).value).toBeGreaterThan(0)
})

it('refuses what is no device, no button and no figure', async () => {
  expect((await tell('sextant', { press: 'unit' })).status).toBe(404)
  expect((await tell('caliper', { press: 'hard' })).status).toBe(400)
  expect((await tell('caliper', {})).status).toBe(400)
  expect((await tell('caliper', { of: 5 })).status).toBe(400)
})
