import fc from 'fast-check'
import type { Kind } from '#core/footprint/kind'
import { PRESENCES, SURENESS, USES, type Tool } from '#core/footprint/tool'
import { circle, rectangle, roundedRectangle } from '#core/geometry/outline'

const mm = (min = 0.001) => fc.double({ min, max: 5000, noNaN: true })
const text = (most: number) => fc.string({ unit: 'grapheme', maxLength: most / 4 }).filter((s) => s.length <= most)
const kg = fc.option(fc.double({ min: 0.001, max: 400, noNaN: true }), { nil: null })

const someOf = <T>(keys: readonly string[], value: fc.Arbitrary<T>): fc.Arbitrary<Record<string, T>> =>
  fc.record(Object.fromEntries(keys.map((k) => [k, value])), { requiredKeys: [] }) as fc.Arbitrary<Record<string, T>>

const outlines = fc.oneof(
  fc.tuple(mm(2), mm(2)).map(([w, h]) => rectangle(-w / 2, -h, w / 2, 0)),
  fc.tuple(mm(4), mm(4), mm(0.1)).map(([w, h, r]) => roundedRectangle(0, 0, w, h, r)),
  mm(2).map((r) => circle(0, -r, r)),
)
const profiles = fc
  .uniqueArray(fc.tuple(fc.integer({ min: 0, max: 1500 }), mm()), { maxLength: 6, selector: ([at]) => at })
  .map((list) => list.sort((a, b) => a[0] - b[0]).map(([at, diameter]) => ({ at, diameter })))

/** Any tool of a kind that can be kept: every figure, option and text there or not, at random. */
export function anyTool(kind: Kind): fc.Arbitrary<Tool> {
  const keys = kind.fields.map((f) => f.key)
  const date = fc.date({ min: new Date('2020-01-01'), max: new Date('2030-12-31'), noInvalidDate: true })
  return fc.record({
    id: fc.stringMatching(/^[A-Za-z0-9_-]{1,20}$/),
    name: text(120).filter((s) => s.trim() !== ''),
    kind: fc.constant(kind.id),
    group: text(60),
    count: fc.integer({ min: 1, max: 999 }),
    measures: someOf(keys, mm()),
    options: fc.record(
      Object.fromEntries(kind.options.map((o) => [o.key, fc.constantFrom(...o.values.map((v) => v.value))])),
      { requiredKeys: [] },
    ) as fc.Arbitrary<Record<string, string>>,
    sure: fc.constantFrom(...SURENESS),
    sureOf: someOf(keys, fc.constantFrom(...SURENESS)),
    spread: someOf(keys, fc.double({ min: 0, max: 5, noNaN: true })),
    profile: kind.profile ? profiles : fc.constant([]),
    outline: kind.outline ? fc.option(outlines, { nil: null }) : fc.constant(null),
    mass: kg,
    massWithBattery: kind.battery ? kg : fc.constant(null),
    use: fc.constantFrom(...USES),
    usedAt: text(60),
    presence: fc.constantFrom(...PRESENCES),
    seen: fc.option(
      date.map((d) => d.toISOString().slice(0, 10)),
      { nil: null },
    ),
    note: text(400),
  })
}
