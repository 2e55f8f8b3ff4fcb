import {
  BEHIND,
  HOLDS,
  LEAST_PITCH,
  LEAST_SIZE,
  LEAST_WALL,
  LONGEST_WALL,
  MOST_LEAN,
  SWINGS,
  THING_KINDS,
} from '../../wall/wall'
import { MOST_ON_WALL, MOST_LEDGERS } from './wall.dto'
import { LONGEST_STEP, MOST_TICKS } from './work.dto'
import { allKinds } from '../../footprint/kinds'
import { PRESENCES, SURENESS, USES } from '../../footprint/tool'
import { allForms } from '../../forms/all-forms'
import type { Choice } from '../../forms/form'
import { LISTS, listKeys, type Column, type ListKey } from '../../shop/lists'
import { SETTINGS, settingKeys } from '../../shop/settings'
import { BIT_KINDS, BORE_LIMITS, DEPTH_LIMITS } from '../../shop/shop'
import { INCH_GRIDS, MM_GRIDS } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { LARGEST_MASS } from '../../units/mass'
import { STORED_IN } from '../../units/stored-units'
import { ID_PATTERN, LONGEST_NAME, LONGEST_NOTE } from './checked'
import { MOST_SEATS } from './holder.dto'
import { MOST_HOLDERS, MOST_WALLS, MOST_TOOLS, PROJECT_FORMAT, PROJECT_VERSION } from './project.dto'
import { MOST_ROWS } from './list-rows'
import { MOST_BITS } from './shop.dto'
import { LONGEST_OUTLINE, MOST_COUNT, MOST_PROFILE } from './tool.dto'

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

const cell = (column: Column): Schema => {
  if (column.type === 'name' || column.type === 'material') return { ...name, title: column.label }
  if (column.type === 'text') return { ...text(LONGEST_NOTE), title: column.label }
  if (column.type === 'places')
    return {
      ...text(LONGEST_NOTE),
      title: column.label,
      description: 'mm along the piece, and across it: 310 to 350; 500 to 540 × 0 to 60',
    }
  if (column.type === 'option') return { ...choice(column.values), title: column.label }
  if (column.type === 'flag') return { type: 'boolean', title: column.label }
  const figure = between(column.min, column.max)
  const title = column.type === 'number' ? column.label : `${column.label} (${STORED_IN[column.type]})`
  return column.empty === undefined
    ? { ...figure, title }
    : { anyOf: [figure, { type: 'null' }], title, description: `null: ${column.empty}` }
}

/** A list of the shop; of a row only the name must be there. */
const shopList = (key: ListKey): Schema => {
  const { title, about, columns } = LISTS[key] as { title: string; about: string; columns: readonly Column[] }
  const needed = columns.some((c) => c.type === 'material') ? ['name', 'material'] : ['name']
  const row = record({ id, ...Object.fromEntries(columns.map((c) => [c.key, cell(c)])) }, needed)
  return { ...list(row, MOST_ROWS), title, description: about }
}

const point: Schema = record({ x: between(-LARGEST_SIZE, LARGEST_SIZE), y: between(-LARGEST_SIZE, LARGEST_SIZE) }, [
  'x',
  'y',
])

/** A closed outline of lines and true arcs. */
const outline: Schema = record(
  {
    start: point,
    segments: {
      ...list(
        {
          anyOf: [
            record({ kind: { const: 'line' }, to: point }, ['kind', 'to']),
            record({ kind: { const: 'arc' }, to: point, centre: point, radius: size, clockwise: { type: 'boolean' } }, [
              'kind',
              'to',
              'centre',
              'radius',
              'clockwise',
            ]),
          ],
        },
        LONGEST_OUTLINE,
      ),
      minItems: 2,
    },
  },
  ['start', 'segments'],
)

const orNull = (schema: Schema): Schema => ({ anyOf: [schema, { type: 'null' }] })

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
          return [
            key,
            {
              ...between(min, max),
              title: label,
              description: quantity === 'ratio' ? about : `${about} (${STORED_IN[quantity]})`,
              default: value,
            },
          ]
        }),
      ),
    ),
    bits: list(
      {
        anyOf: [
          described(between(...BORE_LIMITS), 'a diameter alone, mm'),
          record(
            {
              kind: choice(BIT_KINDS),
              diameter: described(between(...BORE_LIMITS), 'stamped on it, mm'),
              testBore: described({ anyOf: [between(...BORE_LIMITS), { type: 'null' }] }, 'of a hole it made, mm'),
              depth: described({ anyOf: [between(...DEPTH_LIMITS), { type: 'null' }] }, 'how deep it bores, mm'),
              toBuy: { type: 'boolean' },
            },
            ['diameter'],
          ),
        ],
      },
      MOST_BITS,
    ),
    ...Object.fromEntries(listKeys.map((key) => [key, shopList(key)])),
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
        count: { type: 'integer', minimum: 1, maximum: MOST_COUNT, description: 'how many like this one' },
        measures: record(
          Object.fromEntries(
            kind.fields.map((f) => [
              f.key,
              { ...(f.noughtAllowed ? between(0, LARGEST_SIZE) : size), title: f.label, description: `${f.hold} mm` },
            ]),
          ),
        ),
        options: record(
          Object.fromEntries(
            kind.options.map((o) => [o.key, { ...choice(o.values.map((v) => v.value)), title: o.label }]),
          ),
        ),
        sure: choice(SURENESS),
        sureOf: record(Object.fromEntries(kind.fields.map((f) => [f.key, choice(SURENESS)]))),
        spread: record(Object.fromEntries(kind.fields.map((f) => [f.key, described(between(0, LARGEST_SIZE), 'mm')]))),
        ...(kind.profile
          ? {
              profile: described(
                list(record({ at: between(0, LARGEST_SIZE), diameter: size }, ['at', 'diameter']), MOST_PROFILE),
                `diameters of the handle at heights from ${kind.profile.from}, rising; mm`,
              ),
            }
          : { profile: { type: 'array', maxItems: 0 } }),
        outline: kind.outline ? described(orNull(outline), 'mm, y up') : { type: 'null' },
        mass: described(orNull({ type: 'number', exclusiveMinimum: 0, maximum: LARGEST_MASS }), 'kg'),
        massWithBattery: kind.battery
          ? described(orNull({ type: 'number', exclusiveMinimum: 0, maximum: LARGEST_MASS }), 'kg')
          : { type: 'null' },
        use: choice(USES),
        usedAt: text(LONGEST_NAME),
        presence: choice(PRESENCES),
        seen: described(orNull({ type: 'string', pattern: '^\\d{4}-\\d{2}-\\d{2}$' }), 'date of the last stocktaking'),
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

const onWall = between(-LONGEST_WALL, LONGEST_WALL)

const corner = { ...list(between(-500, 500), 3), minItems: 3 }

/** A wall, what is on it, and where holders hang. */
const wall: Schema = record(
  {
    id,
    name,
    width: described(between(LEAST_WALL, LONGEST_WALL), 'mm'),
    height: described(between(LEAST_WALL, LONGEST_WALL), 'mm'),
    holds: choice(HOLDS),
    behind: choice(BEHIND),
    line: described(between(LEAST_SIZE, LONGEST_WALL), 'nothing may stick out further from the wall, mm'),
    frame: described(record({ x: onWall, z: onWall, width: between(LEAST_WALL, LONGEST_WALL), height: between(LEAST_WALL, LONGEST_WALL) }, ['x', 'z', 'width', 'height']), 'the panel of a framed one: its lower left corner and its size, mm'), // prettier-ignore
    rack: described(record({ from: onWall, to: onWall, low: between(0, LONGEST_WALL), high: between(0, LONGEST_WALL), pitch: between(LEAST_PITCH, LONGEST_WALL), ledgers: between(2, MOST_LEDGERS), lean: between(0, MOST_LEAN) }, ['from', 'to', 'low', 'high', 'pitch']), 'uprights on ledgers: mm along the wall and over the floor; lean in degrees'), // prettier-ignore
    strips: record({ first: between(0, LONGEST_WALL), gap: between(LEAST_SIZE, LONGEST_WALL), top: between(0, LONGEST_WALL), piece: described(between(0, LONGEST_WALL), 'length of short pieces, mm; left out or 0: whole lengths'), apart: between(0, LONGEST_WALL) }), // prettier-ignore
    studs: described(list(between(0, LONGEST_WALL), MOST_ON_WALL), 'centres from the left corner, mm'),
    things: list(
      record(
        { id, kind: choice(THING_KINDS), name: text(LONGEST_NAME), x: onWall, z: onWall, width: between(LEAST_SIZE, LONGEST_WALL), height: between(LEAST_SIZE, LONGEST_WALL), swing: described(choice(SWINGS), 'of a door: on which side the open leaf lies over the wall') }, // prettier-ignore
        ['id', 'kind', 'x', 'z', 'width', 'height'],
      ),
      MOST_ON_WALL,
    ),
    hung: list(
      record({ holder: id, x: onWall, z: onWall, fixed: { type: 'boolean' } }, ['holder', 'x', 'z']),
      MOST_ON_WALL,
    ),
    corners: described(record({ left: corner, right: corner }, ['left', 'right']), 'how far right of plumb each corner is at the floor, in the middle, at the ceiling; mm'), // prettier-ignore
  },
  ['name', 'width', 'height'],
)

/** What is ticked off of the work on a holder. */
const work: Schema = record(
  {
    id,
    name,
    ticks: {
      type: 'object',
      maxProperties: MOST_TICKS,
      propertyNames: { maxLength: LONGEST_STEP },
      additionalProperties: record({ at: { type: 'string', pattern: '^\\d{4}-\\d{2}-\\d{2}T' }, done: { type: 'boolean' }, as: { type: 'string', maxLength: LONGEST_STEP } }, ['at', 'done']), // prettier-ignore
    },
  },
  ['id', 'name'],
)

/**
 * The JSON Schema (2020-12) of a project file, made from the declarations of kinds, forms and settings.
 * What it can't say (ids that stand twice, tools that aren't in the file) is told when a file is read.
 */
export const projectSchema = (): Schema => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Fingerling project',
  description: 'One shop, its tools, holders and walls. Lengths mm, masses kg.',
  ...record(
    {
      format: { const: PROJECT_FORMAT },
      formatVersion: { const: PROJECT_VERSION },
      shop: shop(),
      tools: list(tool(), MOST_TOOLS),
      holders: list(holder(), MOST_HOLDERS),
      walls: list(wall, MOST_WALLS),
      works: list(work, MOST_HOLDERS),
    },
    ['format', 'formatVersion'],
  ),
})
