import { describe, expect, inject, it } from 'vitest'
import { aTool, api, newShop } from './api'

const save = (shop: string, id: string, more: object = {}) => ({
  kind: 'tools',
  save: { ...aTool(shop, more), id: `${shop}-${id}`, version: 0 },
})
const change = (changes: object[], headers = {}) => api('POST', '/api/changes', { changes }, headers)
const names = async (shop: string) =>
  ((await api('GET', `/api/tools?shop=${shop}`)).body as { name: string }[]).map((t) => t.name).sort()

describe('many changes at once', () => {
  it('are made together, each answered by itself', async () => {
    const shop = await newShop()
    const first = await change([save(shop, 'a', { name: 'A' }), save(shop, 'b', { name: 'B' })])
    expect(first.status).toBe(200)
    expect(first.body.results.map((r: { status: number }) => r.status)).toEqual([200, 200])
    const [a, b] = first.body.results.map((r: { record: object }) => r.record)
    const second = await change([
      { kind: 'tools', save: { ...a, name: 'A2' } },
      { kind: 'tools', save: { ...b, name: 'never', version: 7 } },
      { kind: 'tools', save: { ...a, id: `${shop}-x`, version: 0, name: 'X', measures: { handleWidth: -4 } } },
      { kind: 'tools', remove: { id: b.id, version: 1 } },
      { kind: 'tools', remove: { id: 'nobody', version: 1 } },
      { kind: 'spoons', save: {} },
      save(`${shop}-unknown`, 'c'),
      save(shop, 'd', { name: 'D' }),
    ])
    expect(second.body.results.map((r: { status: number }) => r.status)).toEqual([
      200, 409, 400, 200, 404, 400, 400, 200,
    ])
    expect(second.body.results[1].problem.current).toMatchObject({ name: 'B', version: 1 })
    expect(second.body.results[2].problem.detail).toMatch(/handle ?width/i)
    expect(await names(shop)).toEqual(['A2', 'D'])
  })

  it('refuse what is no list of changes, or too long a one, and change nothing', async () => {
    const shop = await newShop()
    for (const body of [
      {},
      { changes: 'all' },
      [],
      { changes: Array.from({ length: 501 }, (_, i) => save(shop, `${i}`)) },
    ])
      expect((await api('POST', '/api/changes', body)).status).toBe(400)
    expect(await names(shop)).toEqual([])
  })

  it('of two windows at once: each version is given once', async () => {
    const shop = await newShop()
    const made = await change(Array.from({ length: 50 }, (_, i) => save(shop, `${i}`, { name: `T${i}` })))
    const records = made.body.results.map((r: { record: object }) => r.record)
    const all = (name: string) => change(records.map((r: object) => ({ kind: 'tools', save: { ...r, name } })))
    const answers = await Promise.all([all('one'), all('two')])
    const statuses = answers.flatMap((a) => a.body.results.map((r: { status: number }) => r.status))
    expect(statuses.filter((s) => s === 200)).toHaveLength(50)
    expect(statuses.filter((s) => s === 409)).toHaveLength(50)
  })

  it('are told to other windows in one word', async () => {
    const shop = await newShop()
    const stop = new AbortController()
    const stream = await fetch(`${inject('address')}/api/events`, { signal: stop.signal })
    const reader = stream.body!.pipeThrough(new TextDecoderStream()).getReader()
    await reader.read()
    await change([save(shop, 'a'), save(shop, 'b')], { 'x-window': 'mine' })
    let heard = ''
    while (!heard.includes('event: many')) heard += (await reader.read()).value
    stop.abort()
    expect(heard).toContain(JSON.stringify({ shops: [shop], by: 'mine' }))
    expect(heard).not.toContain('event: change')
  })
})

describe('the list of a shop’s tools', () => {
  it('is CSV in its unit or in another, or JSON', async () => {
    const shop = await newShop()
    await change([save(shop, 'a', { name: '=1+1, "so"', mass: 0.5 })])
    const read = async (query: string) => {
      const answer = await fetch(`${inject('address')}/api/shops/${shop}/tools${query}`)
      return { type: answer.headers.get('content-type'), text: await answer.text(), status: answer.status }
    }
    const mm = await read('')
    expect(mm.type).toContain('text/csv')
    expect(mm.text.split('\r\n')[0]).toContain('Handle width (mm)')
    expect(mm.text).toContain(`"'=1+1, ""so"""`)
    expect((await read('?unit=in')).text).toContain('Handle width (in)')
    expect(JSON.parse((await read('?as=json')).text)).toMatchObject({
      format: 'fingerling-tools',
      tools: [{ mass: 0.5 }],
    })
    expect((await read('?unit=furlong')).status).toBe(400)
    expect((await read('?as=xls')).status).toBe(400)
    expect((await api('GET', '/api/shops/nobody/tools')).status).toBe(404)
    expect((await api('GET', '/api/tools/nobody/tools')).status).toBe(404)
  })
})
