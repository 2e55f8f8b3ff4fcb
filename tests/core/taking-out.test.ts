import fc from 'fast-check'
import Module from 'manifold-3d'
import { describe, expect, it } from 'vitest'
import { design } from '#core/choose/design'
import { allForms } from '#core/forms/all-forms'
import { rectangle } from '#core/geometry/outline'
import { collisions, partSolids } from '#core/solid/collisions'
import { takenOut, waysOut } from '#core/solid/taking'
import { likelyHolder } from './likely-holder'
import { mallet, railOf, threeMallets } from './samples'

const kernel = await Module()
kernel.setup()

describe.each(allForms.map((form) => [form.name, form] as const))('a likely %s', { timeout: 300_000 }, (_, form) => {
  it('has no tool in wood or in another, and lets each out, where the checks stop nothing', () => {
    let sound = 0
    fc.assert(
      fc.property(likelyHolder(form), (input) => {
        const { model, verdicts } = design(input)
        if (!model || verdicts.some((v) => v.level === 'stop')) return
        sound++
        const parts = partSolids(kernel, model, input.tools)
        const found = collisions(kernel, parts).map((c) => `${c.a.name} in ${c.b.name}: ${c.volume.toFixed(0)} mm³`)
        const stuck = takenOut(kernel, model, input.tools, parts).filter((o) => !o.way && o.before.length === 0)
        for (const { solid } of parts) solid.delete()
        expect(found).toEqual([])
        expect(stuck).toEqual([])
      }),
      // heads on pins mostly want them glued up, or are too narrow
      { numRuns: form.id === 'peg-rail' ? 100 : 25, seed: 5 },
    )
    // a few forms stop most of what is thrown at them: heavy steel on magnets
    expect(sound).toBeGreaterThanOrEqual(form.id === 'magnet-ledge' ? 0 : 1)
  })
})

describe('ways out', () => {
  it('lead forward out of an open slot', () => {
    const { model, input } = design(railOf(threeMallets()))
    for (const o of waysOut(kernel, model!, input.tools)) expect(o.way).toEqual({ lift: 0, then: 'forward' })
  })

  it('name what is in the way', () => {
    const { model, input } = design(railOf([mallet('t1', 28, 90)]))
    // a board across the front, and one over the top
    const [rail, back] = model!.boards
    const front = { ...back!, id: 'wall', name: 'Fascia', width: 900, outline: rectangle(0, 0, back!.length, 900), placement: { lies: 'upright' as const, at: { x: 0, y: 18 + rail!.width + 60, z: -450 } } } // prettier-ignore
    const lid = { ...rail!, id: 'lid', name: 'Lid', width: 400, openings: [], outline: rectangle(0, 0, rail!.length, 400), placement: { lies: 'flat' as const, at: { x: 0, y: 0, z: 300 } } } // prettier-ignore
    const boxed = { ...model!, boards: [...model!.boards, front, lid] }
    const [out] = waysOut(kernel, boxed, input.tools)
    expect(out!.way).toBeNull()
    expect(out!.blockedBy.length).toBeGreaterThan(0)
  })
})

it('lets an oval handle rest forward where its end meets the bore', () => {
  const oval = mallet('t1', 20.5, 60, { measures: { handleWidth: 20.5, handleThickness: 30, headWidth: 60, handleLength: 280, headHeight: 40 } }) // prettier-ignore
  const { model, working, input } = design(railOf([oval], { layers: '2' }))
  const end = working.find((f) => f.id === 'slot:s1')!.value
  expect(working.find((f) => f.id === 'rest:s1')!.value).toBeCloseTo((30 - end) / 2)
  const parts = partSolids(kernel, model!, input.tools)
  expect(collisions(kernel, parts)).toEqual([])
  for (const { solid } of parts) solid.delete()
})
