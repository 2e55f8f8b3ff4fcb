import { readFileSync } from 'node:fs'
import Ajv2020 from 'ajv/dist/2020'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readProject } from '#core/exchange/project/read'
import { projectSchema } from '#core/exchange/project/schema'
import { documents } from '../../scripts/write-docs'

const demo = (name: string) => readFileSync(new URL(`../../demo/${name}.json`, import.meta.url), 'utf8')
const validate = new Ajv2020({ strict: false, allErrors: true }).compile(projectSchema())
const read = (data: unknown) => readProject(JSON.stringify(data))
const problems = (data: unknown) => {
  const project = read(data)
  return project.ok ? [] : project.problems
}
const base = { format: 'fingerling-project', formatVersion: 1 }
const mallet = { name: 'Mallet', kind: 'headed', measures: { handleWidth: 28, headWidth: 70, headLength: 120 } }

describe('a project file', () => {
  it('written by hand may leave out what is usual', () => {
    const project = read({ ...base, tools: [mallet], holders: [{ name: 'Rail', form: 'finger-rail', seats: ['t1'] }] })
    expect(project).toMatchObject({
      ok: true,
      value: {
        shop: { unit: 'mm', settings: { gap: 25 } },
        tools: [{ id: 't1', sure: 'rule', mass: null }],
        holders: [{ id: 'h1', seats: [{ id: 's1', tool: 't1', turn: 0 }], choices: {} }],
      },
    })
    const bits = read({ ...base, shop: { name: 'S', unit: 'in', bits: [25.4, 31.75] } })
    expect(bits.ok && bits.value.shop.bits.map((b) => b.diameter)).toEqual([25.4, 31.75])
  })

  it.each([
    ['not JSON', '{', 'this is no JSON'],
    ['NaN', '{"format": NaN}', 'JSON has no “NaN”'],
    ['a list', '[]', 'an object is expected'],
    ['nothing', '', 'this is no JSON'],
  ])('that is %s is told so', (_, text, says) => {
    const project = readProject(text)
    expect(project.ok).toBe(false)
    if (!project.ok) expect(project.problems[0]!.message).toContain(says)
  })

  it.each([
    ['another format', { format: 'other' }, 'format'],
    ['a later version', { formatVersion: 2 }, 'formatVersion'],
    ['an unknown property', { spoons: 3 }, 'spoons'],
    ['a negative size', { tools: [{ ...mallet, measures: { headWidth: -1 } }] }, 'tools[0].measures'],
    ['an unknown setting', { shop: { name: 'S', settings: { colour: 1 } } }, 'shop.settings'],
    [
      'two tools of one id',
      {
        tools: [
          { ...mallet, id: 'a' },
          { ...mallet, id: 'a' },
        ],
      },
      'tools',
    ],
    ['a tool that is not there', { holders: [{ name: 'R', form: 'finger-rail', seats: ['none'] }] }, 'holders'],
    [
      'a choice that is none',
      { holders: [{ name: 'R', form: 'finger-rail', choices: { fit: 'tight' } }] },
      'holders[0].choices',
    ],
    ['text for a list', { tools: 'all of them' }, 'tools'],
    ['a number for a shop', { shop: 3 }, 'shop'],
    ['null for a tool', { tools: [null] }, 'tools[0]'],
  ])('with %s names the place', (_, more, path) => {
    expect(problems({ ...base, ...more }).map((p) => p.path)).toContain(path)
  })

  it('never throws, whatever JSON it is', () =>
    fc.assert(
      fc.property(
        fc.jsonValue(),
        (data) => void [read(data), read({ ...base, tools: data, holders: data, shop: data })],
      ),
    ))
})

describe('its JSON Schema', () => {
  it('holds for both sample shops', () => {
    for (const name of ['net-store', 'bee-shed']) {
      expect(validate(JSON.parse(demo(name))), JSON.stringify(validate.errors)).toBe(true)
      expect(readProject(demo(name)).ok).toBe(true)
    }
  })

  it('agrees with what is read, for slips of every sort', () => {
    const slips = fc.constantFrom<[string, unknown]>(
      ['shop.unit', 'cm'],
      ['shop.unit', 'in'],
      ['shop.gridIn', 12],
      ['shop.settings.gap', -1],
      ['shop.settings.gap', 30],
      ['shop.bits.0', 0.1],
      ['shop.bits.0', { diameter: 21.5, testBore: 21.8 }],
      ['shop.stock.0.thickness', 'thick'],
      ['tools.0.name', ''],
      ['tools.0.name', '<b>'],
      ['tools.0.measures.headWidth', 0],
      ['tools.0.measures.headWidth', 1e9],
      ['tools.0.measures.soleLength', 3],
      ['tools.0.options.head', 'square'],
      ['tools.0.mass', null],
      ['tools.0.mass', -1],
      ['tools.0.sure', 'guess'],
      ['holders.0.form', 'spoon rack'],
      ['holders.0.choices.gap', 501],
      ['holders.0.choices.slots', 'filed'],
      ['holders.0.seats.0.turn', 4],
      ['colour', 'red'],
    )
    fc.assert(
      fc.property(slips, ([path, value]) => {
        const data = JSON.parse(demo('net-store'))
        const steps = path.split('.')
        const last = steps.pop()!
        const owner = steps.reduce((at, step) => (at[step] ??= {}), data)
        owner[last] = value
        expect(validate(data), path).toBe(read(data).ok)
      }),
    )
  })
})

it('keeps the documents that are made from the code as the code says', async () => {
  for (const [path, text] of Object.entries(await documents())) {
    const kept = readFileSync(new URL(`../../${path}`, import.meta.url), 'utf8')
    expect(kept === text, `${path} is out of date: npm run docs`).toBe(true)
  }
})
