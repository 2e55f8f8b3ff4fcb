import { beforeAll, describe, expect, inject, it } from 'vitest'
import { aTool, api, newShop } from './api'

/** A holder of one mallet in a shop of its own. */
async function aHolder(seats = true): Promise<string> {
  const shop = await newShop()
  const tool = await api('POST', '/api/tools', aTool(shop, { measures: { handleWidth: 28, headWidth: 70, headLength: 120 }, mass: 0.6 })) // prettier-ignore
  const holder = { shop, name: 'Rail', form: 'finger-rail', seats: seats ? [{ id: 's1', tool: tool.body.id, turn: 0 }] : [], choices: {} } // prettier-ignore
  const made = await api('POST', '/api/holders', holder)
  expect([tool.status, made.status]).toEqual([201, 201])
  return made.body.id
}

describe('files of a holder', { timeout: 60000 }, () => {
  it('are listed, and each can be fetched', async () => {
    const id = await aHolder()
    const { files } = (await api('GET', `/api/holders/${id}/files`)).body as { files: string[] }
    expect(files).toEqual(expect.arrayContaining(['templates.pdf', 'dossier.pdf', 'rail.dxf', 'rail.stl', 'holder.glb', 'parts.3mf'])) // prettier-ignore
    const starts: Record<string, string> = { pdf: '%PDF', glb: 'glTF', '3mf': 'PK', json: '{', svg: '<?xml' }
    for (const name of files) {
      const answer = await fetch(`${inject('address')}/api/holders/${id}/files/${name}?paper=Letter`)
      expect(answer.status, name).toBe(200)
      const bytes = Buffer.from(await answer.arrayBuffer())
      const start = starts[name.slice(name.lastIndexOf('.') + 1)]
      if (start) expect(bytes.subarray(0, start.length).toString('latin1'), name).toBe(start)
      expect(answer.headers.get('content-disposition')).toContain(name)
    }
  })

  it('are refused in the shop’s words', async () => {
    const id = await aHolder()
    expect((await api('GET', `/api/holders/${id}/files/lid.dxf`)).status).toBe(404)
    const paper = await api('GET', `/api/holders/${id}/files/templates.pdf?paper=B5`)
    expect([paper.status, paper.body.detail]).toEqual([400, expect.stringContaining('A4, A3, Letter')])
    const bar = await api('GET', `/api/holders/${id}/files/templates.pdf?measured=nan`)
    expect(bar.body.detail).toContain('between 90 and 110')
    const empty = await api('GET', `/api/holders/${await aHolder(false)}/files/dossier.pdf`)
    expect([empty.status, empty.body.detail]).toEqual([400, expect.stringContaining('nothing to draw')])
    expect((await api('GET', '/api/holders/nobody/files/templates.pdf')).status).toBe(404)
  })
})

describe('work that is ticked off', () => {
  it('is kept with its shop, checked, and refused when it is stale', async () => {
    const shop = await newShop()
    const at = '2026-03-01T09:30:00.000Z'
    const work = { id: `w-${shop}`, shop, name: 'Rail', ticks: { 'cut:pine 0': { at, done: true } } }
    expect((await api('POST', '/api/works', work)).status).toBe(201)
    const saved = await api('PUT', `/api/works/${work.id}`, { ...work, version: 1, ticks: { ...work.ticks, ease: { at, done: true } } }) // prettier-ignore
    expect(saved.body).toMatchObject({ version: 2 })
    expect((await api('PUT', `/api/works/${work.id}`, { ...work, version: 1 })).status).toBe(409)
    expect((await api('GET', `/api/works?shop=${shop}`)).body).toHaveLength(1)
    const wrong = await api('POST', '/api/works', { shop, name: 'x', ticks: { ease: { at: 'noon', done: true } } })
    expect([wrong.status, wrong.body.errors[0].field]).toEqual([400, 'ticks'])
  })
})

describe('a wall', { timeout: 60000 }, () => {
  const wall = { id: '', shop: '', name: 'North wall', width: 3000, height: 2300, studs: [600, 1200, 1800, 2400], corners: { left: [0, 3, 6], right: [0, 0, 0] } } // prettier-ignore

  beforeAll(async () => {
    wall.shop = await newShop()
    wall.id = `${wall.shop}-wall`
  })

  it('is taken along with its sheets, what hangs on it, and where', async () => {
    expect((await api('POST', '/api/walls', wall)).status).toBe(201)
    const { body } = await api('GET', `/api/walls/${wall.id}/files`)
    expect(body.files).toEqual(expect.arrayContaining(['wall.svg', 'wall.dxf', 'locating.pdf', 'positions.csv', 'dossier.pdf', 'sheet-1.svg'])) // prettier-ignore
    for (const file of body.files as string[]) {
      const answer = await fetch(`${inject('address')}/api/walls/${wall.id}/files/${file}`)
      expect(`${file} ${answer.status}`).toBe(`${file} 200`)
      expect((await answer.arrayBuffer()).byteLength).toBeGreaterThan(40)
    }
    // nobody joins a wall from paper
    expect(body.files).not.toContain('templates.pdf')
    expect((await api('GET', `/api/walls/${wall.id}/files/templates.pdf`)).status).toBe(404)
    expect((await api('GET', `/api/walls/${wall.id}/files/nothing.svg`)).status).toBe(404)
    expect((await api('GET', '/api/tools/x/files')).status).toBe(404)
  })

  it('refuses corners that can’t be, in the shop’s words', async () => {
    const wrong = await api('POST', '/api/walls', { ...wall, id: `${wall.shop}-wrong`, corners: { left: [0, 1], right: [0, 0, 0] } }) // prettier-ignore
    expect(wrong.status).toBe(400)
    expect(JSON.stringify(wrong.body)).toContain('corners are')
  })

  it('is walked along with the finder, each pass another one', async () => {
    const [a, b] = [await api('POST', '/api/finder', { wall: wall.id, anew: true }), await api('POST', '/api/finder', { wall: wall.id })] // prettier-ignore
    expect([a.status, b.status, a.body.pass, b.body.pass]).toEqual([200, 200, 1, 2])
    expect(a.body.hits).not.toEqual(b.body.hits)
    expect((await api('POST', '/api/finder', { wall: 'nowhere' })).status).toBe(404)
    expect((await api('POST', '/api/finder', {})).status).toBe(400)
  })
})
