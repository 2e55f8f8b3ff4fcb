import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import knex from 'knex'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { startService, type Service } from '../service'
import { aTool, api as send } from './api'

let service: Service
const api = (method: string, path: string, body?: unknown) => send(method, path, body, {}, service.address)

beforeAll(async () => {
  service = await startService(mkdtempSync(join(tmpdir(), 'fingerling-trouble-')), { FINGERLING_NO_DEMO: '1' })
})
afterAll(async () => {
  await service.stop()
  rmSync(service.data, { recursive: true, force: true })
})

it('starts without the demo when asked to', async () => {
  expect((await api('GET', '/api/shops')).body).toEqual([])
})

it('keeps its password to itself, and its database user to its own database', async () => {
  const path = join(service.data, 'database.json')
  expect(statSync(path).mode & 0o077).toBe(0)
  const { user, password } = JSON.parse(readFileSync(path, 'utf8'))
  const { port } = JSON.parse(readFileSync(join(service.data, 'running-database.json'), 'utf8'))
  const db = knex({ client: 'mysql2', connection: { host: '127.0.0.1', port, user, password } })
  const [rows] = await db.raw('show databases')
  expect(rows.map((r: { Database: string }) => r.Database).sort()).toEqual(['fingerling', 'information_schema'])
  // another database that starts meanwhile clears its own temporary files away, not this one's
  const [[{ place }]] = await db.raw('select @@tmpdir place')
  expect(place).toBe(join(service.data, 'mariadb-temporary'))
  await expect(db.raw('select * from mysql.global_priv')).rejects.toThrow()
  const [tables] = await db.raw(
    'select table_name t from information_schema.tables where table_schema = "fingerling" and table_name not like "knex%"',
  )
  for (const { t } of tables) {
    const [columns] = await db.raw(
      'select column_name c from information_schema.columns where table_schema = "fingerling" and table_name = ?',
      [t],
    )
    expect(
      columns.map((x: { c: string }) => x.c),
      t,
    ).toEqual(expect.arrayContaining(['id', 'version', 'created_at', 'updated_at']))
  }
  await db.destroy()
})

it('says so while the database is away, and goes on when it is back', async () => {
  await api('POST', '/api/shops', { id: 'a', name: 'A' })
  await service.killDatabase()
  const away = await api('GET', '/api/shops')
  expect([away.status, away.type]).toEqual([503, 'application/problem+json'])
  expect((await api('POST', '/api/shops', { id: 'b', name: 'B' })).status).toBe(503)
  await service.startDatabase()
  expect((await api('POST', '/api/shops', { id: 'b', name: 'B' })).status).toBe(201)
  expect((await api('GET', '/api/shops')).body).toHaveLength(2)
}, 60000)

it('has every record whole after being killed in the middle of saving', async () => {
  const { body: first } = await api('POST', '/api/tools', aTool('a', { id: 'k', note: '0'.repeat(1900) }))
  let version = first.version as number
  let told = 1
  const saving = (async () => {
    for (let i = 1; ; i++) {
      const digit = String(i % 10)
      const answer = await api('PUT', '/api/tools/k', aTool('a', { version, note: digit.repeat(1900) }))
      version = told = answer.body.version
    }
  })().catch(() => {})
  await new Promise((resolve) => setTimeout(resolve, 400))
  await Promise.all([service.killApplication(), service.killDatabase()])
  await saving
  await service.startDatabase()
  await service.startApplication()
  const { body: kept } = await api('GET', '/api/tools/k')
  expect(kept.version).toBeGreaterThanOrEqual(told)
  expect(kept.version).toBeLessThanOrEqual(told + 1)
  expect(kept.note).toBe(String((kept.version - 1) % 10).repeat(1900))
}, 60000)

it('reads records of before, with everything that has come since filled in', async () => {
  const { user, password } = JSON.parse(readFileSync(join(service.data, 'database.json'), 'utf8'))
  const { port } = JSON.parse(readFileSync(join(service.data, 'running-database.json'), 'utf8'))
  const db = knex({ client: 'mysql2', connection: { host: '127.0.0.1', port, user, password, database: 'fingerling' } })
  const now = new Date()
  const row = (id: string, data: { name: string }) => ({
    id,
    name: data.name,
    version: 3,
    created_at: now,
    updated_at: now,
    data: JSON.stringify(data),
  })
  const { kind: _, depth: __, ...oldBit } = { kind: '', depth: 0, diameter: 28, testBore: 28.2, toBuy: false }
  const oldShop = { name: 'Old', unit: 'mm', gridMm: 0.5, gridIn: 16, settings: { gap: 31 }, bits: [oldBit], stock: [{ id: 'p', name: 'Pine', material: 'pine', thickness: 18 }] } // prettier-ignore
  const oldTool = { name: 'Maul', kind: 'headed', group: '', measures: { handleWidth: 38 }, options: {}, sure: 'rule', sureOf: {}, mass: 3.4, use: 'daily', note: '' } // prettier-ignore
  await db('shops').insert(row('old', oldShop))
  await db('tools').insert({ ...row('old-maul', oldTool), shop_id: 'old' })
  await db('knex_migrations').where('name', 'like', '0002%').delete()
  await db.destroy()
  await service.killApplication()
  await service.startApplication()
  const { body: shop } = await api('GET', '/api/shops/old')
  expect(shop).toMatchObject({ version: 3, bits: [{ kind: 'forstner', diameter: 28, testBore: 28.2, depth: null }] })
  expect(shop.settings).toMatchObject({ gap: 31, stripThickness: 18 })
  expect(shop.stock[0]).toMatchObject({ form: 'board', length: null, thickness: 18 })
  expect(shop.materials.length).toBeGreaterThan(15)
  const { body: maul } = await api('GET', '/api/tools/old-maul')
  expect(maul).toMatchObject({ name: 'Maul', count: 1, presence: 'here', profile: [], outline: null, mass: 3.4 })
  expect((await api('PUT', '/api/tools/old-maul', maul)).status).toBe(200)
  expect((await api('PUT', '/api/shops/old', shop)).status).toBe(200)
}, 60000)
