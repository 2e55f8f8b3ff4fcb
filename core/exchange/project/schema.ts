import { allKinds } from '../../footprint/kinds'
import { SURENESS, USES } from '../../footprint/tool'
import { allForms } from '../../forms/all-forms'
import type { Choice } from '../../forms/form'
import { SETTINGS, settingKeys } from '../../shop/settings'
import { INCH_GRIDS, MM_GRIDS } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { LARGEST_MASS } from '../../units/mass'
import { ID_PATTERN, LONGEST_NAME, LONGEST_NOTE } from './checked'
import { MOST_SEATS } from './holder.dto'
import { MOST_HOLDERS, MOST_TOOLS, PROJECT_FORMAT, PROJECT_VERSION } from './project.dto'
import { BORE_LIMITS, MOST_BITS, MOST_STOCK, THICKNESS_LIMITS } from './shop.dto'

type Schema = Record<string, unknown>

const text = (longest: number, more: Schema = {}): Schema => ({ type: 'string', maxLength: longest, ...more })
const name = text(LONGEST_NAME, { minLength: 1, pattern: '\\S' })
const id: Schema = { type: 'string', pattern: ID_PATTERN.source }
const choice = (values: readonly (string | number)[]): Schema => ({ enum: [...values] })
const between = (min: number, max: number): Schema => ({ type: 'number', minimum: min, maximum: max })
const size: Schema = { type: 'number', exclusiveMinimum: 0, maximum: LARGEST_SIZE }
const list = (items: Schema, most: number): Schema => ({ type: 'array', maxItems: most, items })

/** An object whose properties are all known. */
const record = (properties: Record<string, Schema>, required: string[] = []): Schema => ({
  type: 'object',
  properties,
  ...(required.length > 0 ? { required } : {}),
  additionalProperties: false,
})

const described = (schema: Schema, description: string): Schema => ({ ...schema, description })

const shop = (): Schema =>
  record({
    name,
    unit: described(choice(['mm', 'in']), 'the unit in which the shop reads and prints; lengths in this file are mm'),
    gridMm: described(choice(MM_GRIDS), 'printed figures go to this grid, mm'),
    gridIn: described(choice(INCH_GRIDS), 'printed figures go to this part of an inch'),
    settings: record(
      Object.fromEntries(
        settingKeys.map((key) => {
          const { min, max, label, about, value, quantity } = SETTINGS[key]
          return [key, { ...between(min, max), title: label, description: `${about} (${quantity})`, default: value }]
        }),
      ),
    ),
    bits: list(
      {
        anyOf: [
          described(between(...BORE_LIMITS), 'a diameter alone, mm'),
          record(
            {
              diameter: described(between(...BORE_LIMITS), 'stamped on it, mm'),
              testBore: described({ anyOf: [between(...BORE_LIMITS), { type: 'null' }] }, 'of a hole it made, mm'),
              toBuy: { type: 'boolean' },
            },
            ['diameter'],
          ),
        ],
      },
      MOST_BITS,
    ),
    stock: list(
      record({ id, name, material: name, thickness: described(between(...THICKNESS_LIMITS), 'as it really is, mm') }, [
        'id',
        'name',
        'material',
        'thickness',
      ]),
      MOST_STOCK,
    ),
  })

/** A tool of each kind: what is measured and chosen differs. */
const tool = (): Schema => ({
  oneOf: allKinds.map((kind) => ({
    title: kind.name,
    ...record(
      {
        id,
        name,
        kind: { const: kind.id },
        group: text(LONGEST_NAME),
        measures: record(
          Object.fromEntries(kind.fields.map((f) => [f.key, { ...size, title: f.label, description: `${f.hold} mm` }])),
        ),
        options: record(
          Object.fromEntries(
            kind.options.map((o) => [o.key, { ...choice(o.values.map((v) => v.value)), title: o.label }]),
          ),
        ),
        sure: choice(SURENESS),
        sureOf: record(Object.fromEntries(kind.fields.map((f) => [f.key, choice(SURENESS)]))),
        mass: {
          anyOf: [{ type: 'number', exclusiveMinimum: 0, maximum: LARGEST_MASS }, { type: 'null' }],
          description: 'kg',
        },
        use: choice(USES),
        note: text(LONGEST_NOTE),
      },
      ['name', 'kind'],
    ),
  })),
})

const choiceSchema = (c: Choice): Schema => {
  const about = { title: c.label, description: c.about }
  if (c.type === 'option') return { ...choice(c.values.map((v) => v.value)), ...about, default: c.usual }
  if (c.type === 'stock') return { ...id, ...about }
  return { ...between(c.min, c.max), ...about }
}

const seat: Schema = {
  anyOf: [
    described(id, 'a tool’s id alone'),
    record(
      { id, tool: id, turn: described(choice([0, 1, 2, 3]), 'quarter turns from face out, by way of the right') },
      ['tool'],
    ),
  ],
}

/** A holder of each form: what is chosen differs. */
const holder = (): Schema => ({
  oneOf: allForms.map((form) => ({
    title: form.name,
    ...record(
      {
        id,
        name,
        form: { const: form.id },
        seats: list(seat, MOST_SEATS),
        choices: record(Object.fromEntries(form.choices.map((c) => [c.key, choiceSchema(c)]))),
      },
      ['name', 'form'],
    ),
  })),
})

/**
 * The JSON Schema (2020-12) of a project file, made from the declarations of kinds, forms and settings.
 * What it can't say (ids that stand twice, tools that aren't in the file) is told when a file is read.
 */
export const projectSchema = (): Schema => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Fingerling project',
  description: 'One shop, its tools and its holders. Lengths mm, masses kg.',
  ...record(
    {
      format: { const: PROJECT_FORMAT },
      formatVersion: { const: PROJECT_VERSION },
      shop: shop(),
      tools: list(tool(), MOST_TOOLS),
      holders: list(holder(), MOST_HOLDERS),
    },
    ['format', 'formatVersion'],
  ),
})
