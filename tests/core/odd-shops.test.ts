import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { featuresOf } from '#core/bench/steps/features'
import { benchSteps } from '#core/bench/steps/steps'
import { remediesFor } from '#core/choose/remedies'
import { quickPlan } from '#core/cutting/quick-cuts'
import { cuttingCsv } from '#core/exchange/csv'
import { allForms } from '#core/forms/all-forms'
import { outlineBounds } from '#core/geometry/outline'
import { wallDesign } from '#core/wall/backing/wall-model'
import { anyHolder, slippedTool } from './any-holder'
import { oddShop } from './any-shop'
import { anyWall } from './any-wall'
import { likelyHolder } from './likely-holder'
import { plannedOnce } from './planned-once'
import { wrongIn } from './worked-out'

/** Where in some data a figure is no number, or a text has such a one in it; null where all is well. */
function nonsense(data: unknown, path = ''): string | null {
  if (typeof data === 'number') return Number.isFinite(data) ? null : path
  if (typeof data === 'string') return /NaN|undefined|Infinity|\[object/.test(data) ? `${path}: ${data}` : null
  if (data === null || typeof data !== 'object') return null
  for (const [key, value] of Object.entries(data)) {
    const found = nonsense(value, `${path}.${key}`)
    if (found) return found
  }
  return null
}

describe.each(allForms.map((form) => [form.name, form] as const))(
  'any %s of an odd shop, from tools with slips in their figures',
  (_, form) => {
    const holders = fc.oneof(anyHolder(form, oddShop, slippedTool), likelyHolder(form, oddShop))
    const each = plannedOnce(holders, { numRuns: 40, seed: 29 })

    it('has parts of a size that parts can have, and openings within them, or says why not', () =>
      each(({ model, refusals }) => {
        if (!model) expect(refusals.length).toBeGreaterThan(0)
        for (const { length, width, thickness, openings } of model?.boards ?? []) {
          for (const size of [length, width, thickness]) expect(size).toBeGreaterThanOrEqual(1)
          for (const { outline, depth } of openings) {
            const box = outlineBounds(outline)
            expect(Math.min(box.minX, box.minY)).toBeGreaterThan(-1e-6)
            expect(Math.max(box.maxX - length, box.maxY - width)).toBeLessThan(1e-6)
            if (depth !== null) expect(depth).toBeLessThan(thickness)
          }
        }
        for (const rod of model?.rods ?? []) expect(Math.min(rod.length, rod.diameter)).toBeGreaterThanOrEqual(1)
      }))

    it('says nothing that is no figure or not what its working comes to, nor offers it', () =>
      each((d) => {
        expect(wrongIn(d.working)).toEqual([])
        expect(nonsense([d.model, d.verdicts, d.refusals])).toBeNull()
        for (const verdict of d.verdicts) expect(nonsense(remediesFor(d, verdict).map((r) => r.label))).toBeNull()
      }))

    it('is cut and made, each thing once', () =>
      each(({ model, input: { shop } }) => {
        if (!model) return
        const planned = quickPlan(shop, [{ id: 'h', model }])
        expect(nonsense(cuttingCsv(planned))).toBeNull()
        const { steps } = benchSteps({ model, shop, cuts: planned.cuts }, 'h')
        expect(nonsense(steps)).toBeNull()
        const made = steps.flatMap((s) => s.makes)
        expect(new Set(made).size).toBe(made.length)
      }))
  },
)

describe('any wall of an odd shop', () => {
  it('is of parts that can be, cut and made, or says why not', () =>
    fc.assert(
      fc.property(anyWall, oddShop, (wall, shop) => {
        const { model, verdicts, working } = wallDesign(wall, shop)
        expect(wrongIn(working)).toEqual([])
        expect(nonsense([model, verdicts])).toBeNull()
        if (!model) {
          expect(verdicts.some((v) => v.level === 'stop')).toBe(true)
          return
        }
        for (const { length, width, thickness } of model.boards)
          expect(Math.min(length, width, thickness)).toBeGreaterThan(0)
        const planned = quickPlan(shop, [{ id: wall.id, model }])
        const { steps } = benchSteps({ model, shop, cuts: planned.cuts }, wall.id)
        expect(nonsense(steps)).toBeNull()
        const made = steps.flatMap((s) => s.makes)
        expect(new Set(made).size).toBe(made.length)
        for (const feature of featuresOf(model)) expect(made).toContain(feature)
      }),
      { numRuns: 40, seed: 31 },
    ))
})
