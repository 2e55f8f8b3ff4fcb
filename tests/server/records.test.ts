import { describe, expect, it } from 'vitest'
import { demoProjects } from '../../demo/projects'
import { aTool, api, newShop } from './api'

describe('records', () => {
  it('are made, read, changed, listed and deleted', async () => {
    const shop = await newShop()
    const made = await api('POST', '/api/tools', aTool(shop))
    expect(made.status).toBe(201)
    expect(made.body).toMatchObject({ version: 1, name: 'Mallet', shop, deleted: false, sure: 'rule', mass: null })
    expect(made.body.createdAt).toMatch(/^\d{4}-\d\d-\d\dT.*Z$/)

    const changed = await api('PUT', `/api/tools/${made.body.id}`, { ...made.body, name: 'Beetle' })
    expect(changed.body).toMatchObject({ version: 2, name: 'Beetle' })
    expect((await api('GET', `/api/tools/${made.body.id}`)).body).toEqual(changed.body)
    expect((await api('GET', `/api/tools?shop=${shop}`)).body).toHaveLength(1)

    const gone = await api('DELETE', `/api/tools/${made.body.id}?version=2`)
    expect(gone.body).toMatchObject({ version: 3, deleted: true })
    expect((await api('GET', `/api/tools?shop=${shop}`)).body).toHaveLength(0)

    const back = await api('PUT', `/api/tools/${made.body.id}`, gone.body)
    expect(back.body).toMatchObject({ version: 4, deleted: false, name: 'Beetle' })
  })

  it('refuse a stale save and send what is stored', async () => {
    const shop = await newShop()
    const { body } = await api('POST', '/api/tools', aTool(shop))
    await api('PUT', `/api/tools/${body.id}`, { ...body, name: 'First' })
    const second = await api('PUT', `/api/tools/${body.id}`, { ...body, name: 'Second' })
    expect(second.status).toBe(409)
    expect(second.type).toContain('application/problem+json')
    expect(second.body.current).toMatchObject({ name: 'First', version: 2 })
    expect((await api('DELETE', `/api/tools/${body.id}?version=1`)).status).toBe(409)
    expect((await api('DELETE', `/api/tools/${body.id}`)).status).toBe(400)
  })

  it('let exactly one of many savers at once win', async () => {
    const shop = await newShop()
    const { body } = await api('POST', '/api/tools', aTool(shop))
    const answers = await Promise.all(
      Array.from({ length: 20 }, (_, i) => api('PUT', `/api/tools/${body.id}`, { ...body, name: `Saver ${i}` })),
    )
    expect(answers.filter((a) => a.status === 200)).toHaveLength(1)
    expect(answers.filter((a) => a.status === 409)).toHaveLength(19)
  })

  it('are made once, however often a new one is sent', async () => {
    const shop = await newShop()
    const put = () => api('PUT', `/api/tools/once-${shop}`, aTool(shop, { version: 0 }))
    const answers = await Promise.all([put(), put(), put()])
    expect(answers.map((a) => a.status).sort()).toEqual([200, 409, 409])
    expect((await api('GET', `/api/tools?shop=${shop}`)).body).toHaveLength(1)
  })

  it('are deleted once, however often that is sent, and not where they were changed or brought back since', async () => {
    const shop = await newShop()
    const { body } = await api('POST', '/api/tools', aTool(shop))
    const remove = (version: number) => api('DELETE', `/api/tools/${body.id}?version=${version}`)
    const gone = await remove(1)
    // the first answer may have been lost
    expect(await remove(1)).toMatchObject({ status: 200, body: gone.body })
    const many = await api('POST', '/api/changes', {
      changes: [{ kind: 'tools', remove: { id: body.id, version: 1 } }],
    })
    expect(many.body.results[0]).toMatchObject({ status: 200, record: { version: 2, deleted: true } })
    await api('PUT', `/api/tools/${body.id}`, gone.body)
    expect((await remove(1)).status).toBe(409)
    expect((await remove(2)).status).toBe(409)
    expect((await remove(3)).body).toMatchObject({ version: 4, deleted: true })
    expect((await remove(2)).status).toBe(409)
  })

  it('keep text just as it was written', async () => {
    const shop = await newShop()
    const name = '<b onclick="x">Ⅷ “½” 🪵</b>'
    const { body } = await api('POST', '/api/tools', aTool(shop, { name }))
    expect((await api('GET', `/api/tools/${body.id}`)).body.name).toBe(name)
  })

  it('keep lengths to the last digit', async () => {
    const shop = await newShop()
    const { body } = await api(
      'POST',
      '/api/tools',
      aTool(shop, { measures: { handleWidth: 1.125 * 25.4, headWidth: 70.00000001 } }),
    )
    expect((await api('GET', `/api/tools/${body.id}`)).body.measures).toEqual({
      handleWidth: 1.125 * 25.4,
      headWidth: 70.00000001,
    })
  })
})

describe('what can’t be used', () => {
  it.each([
    ['no name', { name: ' ' }, 'name'],
    ['a name of 5,000 characters', { name: 'x'.repeat(5000) }, 'name'],
    ['a kind that is none', { kind: 'spoon' }, 'kind'],
    ['a negative size', { measures: { handleWidth: -1 } }, 'measures'],
    ['a size of nought', { measures: { handleWidth: 0 } }, 'measures'],
    ['an absurd size', { measures: { handleWidth: 1e9 } }, 'measures'],
    ['text for a size', { measures: { handleWidth: '28' } }, 'measures'],
    ['a measure of another kind', { measures: { soleLength: 200 } }, 'measures'],
    ['an unknown property', { colour: 'red' }, 'colour'],
    ['no weight', { mass: -2 }, 'mass'],
    ['another shop', { shop: 'nowhere' }, 'shop'],
    ['an odd id', { id: '../x' }, 'id'],
  ])('%s', async (_, more, field) => {
    const shop = await newShop()
    const answer = await api('POST', '/api/tools', aTool(shop, more))
    expect(answer.status).toBe(400)
    expect(answer.type).toContain('application/problem+json')
    expect(answer.body.errors.map((e: { field: string }) => e.field)).toContain(field)
    expect((await api('GET', `/api/tools?shop=${shop}`)).body).toEqual([])
  })

  it('is told for holders and shops too', async () => {
    const shop = await newShop()
    const holder = { shop, name: 'Rail', form: 'finger-rail', seats: [], choices: {} }
    const wrong = async (kind: string, body: object) => (await api('POST', `/api/${kind}`, body)).status
    expect(await wrong('holders', holder)).toBe(201)
    expect(await wrong('holders', { ...holder, form: 'spoon rack' })).toBe(400)
    expect(await wrong('holders', { ...holder, choices: { gap: -3 } })).toBe(400)
    expect(await wrong('holders', { ...holder, choices: { fit: 'tight' } })).toBe(400)
    expect(
      await wrong('holders', {
        ...holder,
        seats: [
          { id: 's', tool: 't' },
          { id: 's', tool: 't' },
        ],
      }),
    ).toBe(400)
    expect(await wrong('shops', { name: 'S', settings: { gap: 1e9 } })).toBe(400)
    expect(await wrong('shops', { name: 'S', settings: { nonsense: 1 } })).toBe(400)
    expect(await wrong('shops', { name: 'S', bits: [{ diameter: 20 }, { diameter: 20 }] })).toBe(400)
    expect(await wrong('shops', { name: 'S', gridMm: 0.3 })).toBe(400)
  })

  it('is no JSON, no object, too large, or not JSON at all', async () => {
    expect((await api('POST', '/api/tools', '{"name": NaN}')).status).toBe(400)
    expect((await api('POST', '/api/tools', '[]')).status).toBe(400)
    expect((await api('POST', '/api/tools', 'null')).status).toBe(400)
    expect((await api('POST', '/api/tools', JSON.stringify({ name: 'x'.repeat(1024 * 1024) }))).status).toBe(413)
    expect((await api('POST', '/api/tools', 'name=x', { 'content-type': 'text/plain' })).status).toBe(415)
  })

  it('comes from a page of another site', async () => {
    const shop = await newShop()
    expect((await api('POST', '/api/tools', aTool(shop), { origin: 'http://elsewhere.example' })).status).toBe(403)
  })

  it('is not there', async () => {
    for (const path of ['/api/tools/none', '/api/spoons', '/api/tools/none/project', '/api/a/b/c']) {
      const answer = await api('GET', path)
      expect([answer.status, answer.type], path).toEqual([404, 'application/problem+json'])
    }
    expect((await api('PUT', '/api/tools/none', aTool(await newShop(), { version: 3 }))).status).toBe(404)
  })
})

describe('whole projects', () => {
  it('come with the demo, and go out as a file that plans', async () => {
    const shops = (await api('GET', '/api/shops')).body as { id: string }[]
    expect(shops.map((s) => s.id)).toEqual(expect.arrayContaining(['net-store', 'bee-shed']))
    const file = (await api('GET', '/api/shops/net-store/project')).body
    const answer = await api('POST', '/api/plan', file)
    expect(answer.status).toBe(200)
    expect(answer.body.plans).toHaveLength(file.holders.length)
    expect(answer.body.plans[0].boards[0].openings).toHaveLength(3)
  })

  it('keep the order of what they hold, though all of it is put in at once', async () => {
    for (const { shopId, project } of demoProjects())
      for (const kind of ['tools', 'holders'] as const) {
        const ids = project[kind].map((record) => `${shopId}-${record.id}`)
        const listed = (await api('GET', `/api/${kind}?shop=${shopId}`)).body as { id: string }[]
        expect(listed.map((record) => record.id).filter((id) => ids.includes(id))).toEqual(ids)
      }
  })

  it('that can’t be used are refused with the place of each slip', async () => {
    const answer = await api('POST', '/api/plan', {
      format: 'fingerling-project',
      formatVersion: 1,
      tools: [{ name: 'a', kind: 'headed', measures: { headWidth: -1 } }],
    })
    expect(answer.status).toBe(400)
    expect(answer.body.errors[0].field).toBe('tools[0].measures')
  })
})

it('tells every page that listens what was saved', async () => {
  const { inject } = await import('vitest')
  const shop = await newShop()
  const abort = new AbortController()
  const stream = await fetch(`${inject('address')}/api/events`, { signal: abort.signal })
  const reader = stream.body!.pipeThrough(new TextDecoderStream()).getReader()
  const { body } = await api('POST', '/api/tools', aTool(shop))
  let heard = ''
  while (!heard.includes(body.id)) heard += (await reader.read()).value
  abort.abort()
  expect(heard).toContain('event: change')
  expect(heard).toContain(`"version":1`)
})

it('bring the sample shops back, whatever became of them, and leave the others alone', async () => {
  const own = await newShop()
  const { body: shop } = await api('GET', '/api/shops/bee-shed')
  const before = (await api('GET', '/api/tools?shop=bee-shed')).body
  const [first, second] = before
  await api('PUT', '/api/shops/bee-shed', { ...shop, name: 'Another name' })
  await api('PUT', `/api/tools/${first.id}`, { ...first, name: 'Another tool' })
  await api('DELETE', `/api/tools/${second.id}?version=${second.version}`)
  const { body: extra } = await api('POST', '/api/tools', aTool('bee-shed'))

  expect((await api('POST', '/api/demo')).body).toEqual({ shops: ['net-store', 'bee-shed'] })
  expect((await api('GET', '/api/shops/bee-shed')).body).toMatchObject({ name: shop.name, version: shop.version + 2 })
  const after = (await api('GET', '/api/tools?shop=bee-shed')).body
  expect(after.map((t: { name: string }) => t.name)).toEqual(before.map((t: { name: string }) => t.name))
  expect((await api('GET', `/api/tools/${extra.id}`)).body).toMatchObject({ deleted: true, version: 2 })
  expect((await api('GET', `/api/shops/${own}`)).body).toMatchObject({ version: 1, name: 'Test shop' })
})
