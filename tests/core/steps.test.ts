import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cutOf, featuresOf, openingFeatures } from '#core/bench/steps/features'
import { drillFor, sawFor } from '#core/bench/steps/machines'
import { inOrder } from '#core/bench/steps/order'
import { stepDrawings } from '#core/bench/steps/step-drawing'
import { step, wants, wantsDry } from '#core/bench/steps/step'
import { benchSteps } from '#core/bench/steps/steps'
import { design } from '#core/choose/design'
import { jobsOf } from '#core/cutting/from-holders'
import { quickCuts } from '#core/cutting/quick-cuts'
import type { SheetCuts } from '#core/cutting/sheets-used'
import { boardOutline } from '#core/drawing/project'
import { allForms } from '#core/forms/all-forms'
import { boxesMeet, driverBox } from '#core/forms/fastening/places'
import type { PlanInput } from '#core/forms/form'
import type { HolderModel } from '#core/model/model'
import { boardBox, rodBox } from '#core/model/standing'
import { usualShop } from '#core/shop/usual'
import { plainTool } from '#core/footprint/tool'
import { formatLength, gridStep } from '#core/units/format-length'
import { toGrid } from '#core/units/grid'
import { wallDesign } from '#core/wall/backing/wall-model'
import { newWall } from '#core/wall/wall'
import { anyHolder } from './any-holder'

/** How a holder's pieces are cut, after a short search. */
const cutsFor = (input: PlanInput, model: HolderModel): SheetCuts[] =>
  quickCuts(input.shop, [{ id: input.holder.id, model }])

const worked = allForms.flatMap((form) =>
  fc.sample(anyHolder(form), { numRuns: 10, seed: 11 }).flatMap((input) => {
    const { model } = design(input)
    return model ? [{ input, model }] : []
  }),
)

describe('the steps of any holder', () => {
  it('make everything that the model has, each thing once, and nothing else of it', () => {
    for (const { input, model } of worked)
      for (const cuts of [[], cutsFor(input, model)]) {
        const { steps } = benchSteps({ model, shop: input.shop, cuts }, 'h')
        const made = steps.flatMap((s) => s.makes)
        expect(new Set(made).size).toBe(made.length)
        const wanted = featuresOf(model)
        expect(wanted.filter((f) => !made.includes(f))).toEqual([])
        const own = /^(cut|layers|bevel|bore|dust|flare|file|saw|outline|joint|drive):/
        expect(made.filter((f) => own.test(f)).sort()).toEqual([...wanted].sort())
        expect(new Set(steps.map((s) => s.id)).size).toBe(steps.length)
      }
  })

  it('use no part before it is there, nor glue before it has set', () => {
    for (const { input, model } of worked) {
      const { steps } = benchSteps({ model, shop: input.shop, cuts: [] }, 'h')
      const at = new Map<string, { ends: number; sets: number }>()
      for (const s of steps) {
        for (const want of s.wants) {
          const made = at.get(want.feature)
          expect(made, `${s.id} wants ${want.feature}`).toBeDefined()
          expect(s.begins).toBeGreaterThanOrEqual(made!.ends + (want.dry ? made!.sets : 0) - 1e-9)
        }
        for (const feature of s.makes) at.set(feature, { ends: s.ends, sets: s.sets })
      }
    }
  })

  /** Carries the steps out on parts that know nothing but what was done to them. */
  it('carried out one after the other give the model, with no way to a screw closed', () => {
    for (const { input, model } of worked) {
      const { steps } = benchSteps({ model, shop: input.shop, cuts: [] }, 'h')
      const cut = new Set<string>()
      const shaped = new Map<string, string[]>()
      const standing = new Set<string>()
      const joined: number[] = []
      const driven: string[] = []
      for (const s of steps) {
        for (const made of s.makes) {
          const [what, id] = [made.slice(0, made.indexOf(':')), made.slice(made.indexOf(':') + 1)]
          if (what === 'cut') cut.add(id.slice(0, id.lastIndexOf('#')))
          if (['bore', 'dust', 'flare', 'file', 'saw'].includes(what)) {
            const board = id.split('/')[0]!
            expect(cut.has(board)).toBe(true)
            expect(standing.has(board), `${made} when the board is already joined`).toBe(false)
            shaped.set(board, [...(shaped.get(board) ?? []), made])
          }
          if (what === 'joint') {
            const joint = model.joints.find((j) => j.order === Number(id))!
            for (const part of joint.parts) expect(cut.has(part)).toBe(true)
            joined.push(joint.order)
          }
          if (what === 'drive') {
            const f = model.fasteners.find((x) => x.id === id)!
            for (const b of model.boards)
              if (standing.has(b.id) && b.id !== f.through) expect(boxesMeet(driverBox(f), boardBox(b))).toBe(false)
            for (const r of model.rods) if (standing.has(r.id)) expect(boxesMeet(driverBox(f), rodBox(r))).toBe(false)
            driven.push(id)
          }
        }
        // parts stand once the step is over
        for (const made of s.makes.filter((m) => m.startsWith('joint:')))
          for (const part of model.joints.find((j) => j.order === Number(made.slice(6)))!.parts) standing.add(part)
      }
      expect([...cut].sort()).toEqual([...model.boards, ...model.rods].map((p) => p.id).sort())
      for (const b of model.boards)
        expect((shaped.get(b.id) ?? []).sort()).toEqual(b.openings.flatMap((o) => openingFeatures(b, o)).sort())
      expect(joined.sort((a, b) => a - b)).toEqual(model.joints.map((j) => j.order).sort((a, b) => a - b))
      expect(driven.sort()).toEqual(model.fasteners.map((f) => f.id).sort())
    }
  })

  it('bore with each bit and depth once', () => {
    for (const { input, model } of worked) {
      const bores = benchSteps({ model, shop: input.shop, cuts: [] }, 'h').steps.filter((s) => s.kind === 'bore')
      const setUps = bores.map((s) => JSON.stringify(s.settings))
      expect(new Set(setUps).size).toBe(setUps.length)
    }
  })

  it('name no machine that the shop has not', () => {
    const names = (shop: ReturnType<typeof usualShop>) => [...shop.saws, ...shop.machines].map((m) => m.name)
    const all = names(usualShop('s', 'mm', 'full'))
    for (const { input, model } of worked) {
      const own = names(input.shop)
      const { steps } = benchSteps({ model, shop: input.shop, cuts: cutsFor(input, model) }, 'h')
      for (const { value } of steps.flatMap((s) => s.settings)) if (all.includes(value)) expect(own).toContain(value)
    }
  })

  it('lose no piece between holder, cutting and steps', () => {
    for (const { input, model } of worked) {
      const jobs = jobsOf(input.shop, [{ id: 'h', model }])
      const pieces = jobs.flatMap((j) => j.instance.parts).reduce((sum, p) => sum + p.count, 0)
      const cuts = benchSteps({ model, shop: input.shop, cuts: cutsFor(input, model) }, 'h').steps.flatMap((s) => s.makes.filter((m) => m.startsWith('cut:'))) // prettier-ignore
      expect(cuts.length).toBe(model.boards.reduce((sum, b) => sum + b.layers, 0) + model.rods.length)
      expect(pieces).toBe(cuts.length)
    }
  })
})

describe('the drawing of a step', () => {
  it('shows every board that is worked on, once for those alike, with what is made now', () => {
    for (const { input, model } of worked.slice(0, 30)) {
      const bench = { model, shop: input.shop, cuts: cutsFor(input, model) }
      for (const s of benchSteps(bench, 'h').steps) {
        const drawn = stepDrawings(bench, s)
        expect(drawn.length > 0).toBe(s.show !== null && s.show.boards.length > 0)
        for (const d of drawn) {
          expect(d.bounds.maxX).toBeGreaterThan(d.bounds.minX)
          expect(JSON.stringify(d)).not.toMatch(/null|NaN/)
        }
        if (s.kind === 'bore' || (s.kind === 'cut' && s.show))
          expect(drawn[0]!.outlines.some((o) => o.ink === 'now')).toBe(true)
      }
    }
  })

  it('lays what is nearer over what is behind it', () => {
    let pairs = 0
    for (const { input, model } of worked)
      for (const s of benchSteps({ model, shop: input.shop, cuts: [] }, 'h').steps) {
        if (s.kind !== 'hang' || s.show?.look !== 'front') continue
        const [drawing] = stepDrawings({ model, cuts: [], shop: input.shop }, s)
        const drawn = drawing!.outlines.map(({ outline }) => JSON.stringify(outline))
        const near = model.boards
          .map((b) => ({ y: boardBox(b).y[1], outline: JSON.stringify(boardOutline(b, 'front')) }))
          .sort((a, b) => a.y - b.y)
        // boards that look alike follow each other from the wall on
        const places = near.map((b, i) => drawn.flatMap((o, at) => (o === b.outline ? [at] : []))[near.slice(0, i).filter((o) => o.outline === b.outline).length]!) // prettier-ignore
        for (const [i, b] of near.entries())
          for (const [k, o] of near.entries()) if (b.y < o.y - 1e-9) expect(places[i]).toBeLessThan(places[k]!)
        pairs += near.length - 1
      }
    expect(pairs).toBeGreaterThan(50)
  })

  it('shows each screw where it is driven: a cross, or a line as long as it is', () => {
    let screws = 0
    for (const { input, model } of worked)
      for (const s of benchSteps({ model, shop: input.shop, cuts: [] }, 'h').steps) {
        if (s.show?.look !== 'front' && s.show?.look !== 'side') continue
        const [drawing] = stepDrawings({ model, cuts: [], shop: input.shop }, s)
        const driven = model.fasteners.filter((f) => s.makes.includes(`drive:${f.id}`))
        screws += driven.length
        expect(drawing!.lines).toHaveLength(2 * driven.length)
        for (const f of driven) {
          const seen = s.show.look === 'front' ? { x: f.at.x, y: f.at.z } : { x: f.at.y, y: f.at.z }
          const near = drawing!.lines.filter((l) => Math.hypot((l.from.x + l.to.x) / 2 - seen.x, (l.from.y + l.to.y) / 2 - seen.y) < 1e-6) // prettier-ignore
          expect(near.length, `${s.id} ${f.id}`).toBeGreaterThan(0)
          for (const { from, to } of near) {
            expect(Math.min(from.x, to.x)).toBeGreaterThanOrEqual(drawing!.bounds.minX - 1e-9)
            expect(Math.max(from.y, to.y)).toBeLessThanOrEqual(drawing!.bounds.maxY + 1e-9)
          }
        }
      }
    expect(screws).toBeGreaterThan(300)
  })
})

describe('the order of steps', () => {
  const glued = step({ id: 'a', kind: 'layer', title: 'A', minutes: 5, sets: 60, makes: ['a'] })
  const after = step({ id: 'b', kind: 'mark', title: 'B', minutes: 2, wants: wantsDry('a'), makes: ['b'] })
  const other = step({ id: 'c', kind: 'wall', title: 'C', minutes: 10, makes: ['c'] })

  it('does other work while glue sets, and tells what is waited for', () => {
    const { steps, handsOn, elapsed } = inOrder([after, other, glued])
    expect(steps.map((s) => s.id)).toEqual(['a', 'c', 'b'])
    expect(steps.map((s) => s.idle)).toEqual([0, 0, 50])
    expect([handsOn, elapsed]).toEqual([17, 67])
    expect(inOrder([after, other, glued], 2).handsOn).toBe(34)
  })
  it('refuses what can’t be done', () => {
    expect(() => inOrder([step({ id: 'x', kind: 'cut', title: 'X', minutes: 1, wants: wants('nothing') })])).toThrow('which no step makes') // prettier-ignore
    const round = [
      step({ id: 'x', kind: 'cut', title: 'X', minutes: 1, makes: ['x'], wants: wants('y') }),
      step({ id: 'y', kind: 'cut', title: 'Y', minutes: 1, makes: ['y'], wants: wants('x') }),
    ]
    expect(() => inOrder(round)).toThrow('wait for each other')
  })
})

describe('the machine for it', () => {
  const full = usualShop('s', 'mm', 'full')
  const hand = usualShop('s', 'mm', 'hand')
  const rip = { long: 700, fence: 100, thickness: 18, tilt: 0 }
  it('is the usual one, or what there is', () => {
    expect(sawFor(full, 'rip', rip)!.kind).toBe('table saw')
    expect(sawFor(full, 'rip', { ...rip, fence: 900 })!.kind).toBe('track saw')
    expect(sawFor(full, 'cross', { ...rip, long: 600 })!.kind).toBe('table saw')
    expect(sawFor(full, 'cross', rip)!.kind).toBe('track saw')
    expect(sawFor(full, 'cross', { ...rip, long: 200 })!.kind).toBe('mitre saw')
    expect(sawFor(hand, 'rip', rip)!.kind).toBe('jigsaw')
    expect(sawFor(hand, 'rip', { ...rip, thickness: 90 })!.kind).toBe('handsaw')
    expect(sawFor(full, 'slot', rip)!.kind).toBe('band saw')
    expect(sawFor(full, 'rip', { ...rip, tilt: 50 })).toBeNull()
    expect(sawFor({ saws: [] }, 'rip', rip)).toBeNull()
  })
  it('is the drill press only as far as it reaches', () => {
    const hole = { diameter: 32, deep: 18, fromEdge: 50, slant: 0 }
    expect(drillFor(full, hole).machine!.kind).toBe('drill press')
    expect(drillFor(full, { ...hole, fromEdge: 200 }).machine!.kind).toBe('drill guide')
    expect(drillFor(full, { ...hole, deep: 70 })).toMatchObject({ says: 'Drill press does not reach so far.' })
    expect(drillFor(hand, { ...hole, deep: 100 }).machine!.kind).toBe('hand drill')
    expect(drillFor({ machines: [] }, hole)).toMatchObject({ machine: null })
  })
})

it('names the layers of a board one by one', () => expect(cutOf('rail', 2)).toBe('cut:rail#2'))

describe('parts that lean', () => {
  it('are marked on what they stand against by both ends of their line', () => {
    const plane = { ...plainTool('p', 'plane', 'Plane'), measures: { soleLength: 160, soleWidth: 42, height: 55 } }
    const input = { shop: usualShop(), tools: new Map([['p', plane]]), holder: { id: 'h', name: 'Planes', form: 'berth', seats: [{ id: 's', tool: 'p', turn: 0 as const }], choices: { tilt: '10' } } } // prettier-ignore
    const model = design(input).model!
    const { steps } = benchSteps({ model, shop: input.shop, cuts: [] }, 'h')
    const says = steps.find((s) => s.id === 'mark:left')!.says.join(' ')
    const [shelf, cheek] = ['shelf', 'left'].map((id) => model.boards.find((b) => b.id === id)!)
    const { at } = shelf!.placement
    const [s, c] = [Math.sin(Math.PI / 18), Math.cos(Math.PI / 18)]
    // the shelf's lower edge, turned about its upper back edge, seen from the cheek's lower back corner
    const end = (y: number) => [at.y + c * y + s * shelf!.thickness - cheek!.placement.at.y, at.z + s * y - c * shelf!.thickness - cheek!.placement.at.z] // prettier-ignore
    const printed = (v: number) => formatLength(toGrid(v, gridStep(input.shop)), input.shop)
    for (const [x, y] of [end(0), end(shelf!.width)]) expect(says).toContain(`${printed(x!)} from the datum end and ${printed(y!)} from the lower edge`) // prettier-ignore
    expect(says).toContain('leans by 10°')
  })

  it('have all bevels of one size ripped in one set-up', () => {
    const wall = wallDesign({ ...newWall('w', 'mm'), holds: 'strips' }, usualShop())
    const { steps } = benchSteps({ model: wall.model!, shop: usualShop(), cuts: [] }, 'w')
    expect(steps.filter((s) => s.kind === 'bevel')).toHaveLength(1)
    expect(steps.filter((s) => s.kind === 'mark')).toHaveLength(1)
    expect(steps.find((s) => s.kind === 'bevel')!.parts).toHaveLength(wall.model!.boards.length)
  })
})
