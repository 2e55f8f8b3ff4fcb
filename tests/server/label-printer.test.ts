import { beforeEach, expect, it } from 'vitest'
import { api } from './api'

const send = (body: unknown) => api('POST', '/api/label-printer', body)
const label = { name: 'Bench chisel', size: '19 mm', room: 60 }

beforeEach(async () => {
  await send({ press: 'bring back' })
  await send({ press: 'new tape' })
})

it('prints a run, each label no wider than it may be, and counts the tape', async () => {
  const { status, body } = await send({ print: [label, { name: 'A name that is far too long for it', room: 20 }] })
  expect(status).toBe(200)
  expect(body.labels.map((l: { name: string }) => l.name)).toEqual([
    'Bench chisel',
    'A name that is far too long for it',
  ])
  expect(body.labels[1].width).toBe(20)
  expect(body.tape).toBeCloseTo(8000 - body.used)
})

it('prints nothing of a run that its tape is too short for, and goes on with a new one', async () => {
  const run = { print: Array.from({ length: 90 }, () => ({ ...label, name: 'x'.repeat(60), room: 90 })) }
  const { status, body } = await send(run)
  expect([status, body.title]).toEqual([409, 'No tape'])
  const after = (await send({ print: [label] })).body
  expect(after.tape).toBeCloseTo(8000 - after.used)
})

it('says when it is out of reach', async () => {
  await send({ press: 'carry away' })
  const { status, body } = await send({ print: [label] })
  expect([status, body.title]).toEqual([409, 'Out of reach'])
})

it.each([
  [{}, 'print'],
  [{ print: [] }, 'print'],
  [{ print: [label, { name: '' }] }, 'print.1'],
  [{ print: [{ ...label, room: -3 }] }, 'print.0'],
  [{ print: [{ ...label, room: 1e9 }] }, 'print.0'],
  [{ press: 'self-destruct' }, 'print'],
  [null, 'print'],
])('refuses %j, and says what is wrong', async (body, field) => {
  const answer = await send(body)
  expect(answer.status).toBe(400)
  expect(answer.body.errors[0].field).toBe(field)
})
