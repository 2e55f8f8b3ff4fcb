import fc from 'fast-check'
import Module from 'manifold-3d'
import { describe, expect, it } from 'vitest'
import { design } from '#core/choose/design'
import { plainTool } from '#core/footprint/tool'
import { allForms } from '#core/forms/all-forms'
import { outlineArea } from '#core/geometry/area'
import { placedBoard, boardSolid, rodSolid } from '#core/solid/board-solid'
import { collisions, partSolids } from '#core/solid/collisions'
import { boardLump, rodLump, weights } from '#core/solid/mass'
import { solidScene } from '#core/solid/scene'
import { seatMatrix } from '#core/solid/tool-solid'
import { anyHolder } from './any-holder'
import { mallet, railOf, threeMallets } from './samples'

const kernel = await Module()
kernel.setup()

/** Plans of each form: a fixed few in every run of the tests. */
const PLANS = Number(process.env.PLANS ?? 25)
const RUNS = { numRuns: PLANS, ...(process.env.PLANS ? {} : { seed: 17 }) }

describe.each(allForms.map((form) => [form.name, form] as const))(
  'the solid of any %s',
  { timeout: 600_000 },
  (_, form) => {
    it('has the volume that the formula gives, and the outline of each board at half its thickness', () =>
      fc.assert(
        fc.property(anyHolder(form), (input) => {
          const { model } = design(input)
          for (const board of model?.boards ?? []) {
            const solid = boardSolid(kernel, board)
            const { volume } = boardLump(board)
            expect(Math.abs(solid.volume() / volume - 1)).toBeLessThan(1e-3)
            const slice = solid.slice(board.thickness / 2)
            const open = board.openings.filter(
              (o) => o.slant === 0 && (o.depth === null || o.depth > board.thickness / 2),
            )
            const ripped = board.bevel
              ? (board.length * board.thickness * Math.tan((board.bevel.tilt * Math.PI) / 180)) / 2
              : 0
            const area =
              outlineArea(board.outline) - ripped - open.reduce((sum, o) => sum + Math.abs(outlineArea(o.outline)), 0)
            const dusty = board.openings.some(
              (o) => o.slant !== 0 || (o.depth !== null && o.depth <= board.thickness / 2),
            )
            if (!dusty) expect(Math.abs(slice.area() / area - 1)).toBeLessThan(1e-3)
            slice.delete()
            solid.delete()
          }
          for (const rod of model?.rods ?? []) {
            const solid = rodSolid(kernel, rod)
            expect(Math.abs(solid.volume() / rodLump(rod).volume - 1)).toBeLessThan(1e-3)
            solid.delete()
          }
        }),
        RUNS,
      ))

    it('has no board in another, and no rod in wood where no hole is', () =>
      fc.assert(
        fc.property(anyHolder(form), (input) => {
          const { model, verdicts } = design(input)
          // a rod in a hole that no bit makes is told by its check
          if (!model || verdicts.some((v) => v.check === 'bit' && v.level === 'stop')) return
          const wood = partSolids(kernel, { ...model, seats: [] }, input.tools)
          expect(collisions(kernel, wood).map((c) => `${c.a.id} in ${c.b.id}: ${c.volume}`)).toEqual([])
          for (const { solid } of wood) solid.delete()
        }),
        RUNS,
      ))
  },
)

describe('solids', () => {
  const { model, input } = design(railOf(threeMallets()))

  it('stand where the boards do', () => {
    const rail = placedBoard(kernel, model!.boards[0]!)
    const { min, max } = rail.boundingBox()
    expect([...min].map(Math.round)).toEqual([0, 18, -18])
    expect([...max].map((v) => Math.round(v * 10) / 10)).toEqual([304, 95.5, 0])
    rail.delete()
  })

  it('let three mallets hang in their slots without touching the wood or each other', () => {
    const parts = partSolids(kernel, model!, input.tools)
    expect(parts.filter((p) => p.kind === 'tool')).toHaveLength(3)
    expect(collisions(kernel, parts)).toEqual([])
    for (const { solid } of parts) solid.delete()
  })

  it('let bar clamps hang by their heads, which end above the wood', () => {
    const clamp = {
      ...plainTool('c', 'bar-clamp', 'Clamp'),
      sure: 'caliper' as const,
      measures: { barWidth: 25, barThickness: 8, headWidth: 38, jawDepth: 80, overallLength: 600, slidingJawWidth: 30 },
    }
    for (const form of ['finger-rail', 'reach-arms']) {
      const base = railOf([clamp])
      const d = design({ ...base, holder: { ...base.holder, form } })
      const found = partSolids(kernel, d.model!, d.input.tools)
      expect(collisions(kernel, found), form).toEqual([])
      for (const { solid } of found) solid.delete()
    }
  })

  it('tell of heads that meet', () => {
    const close = design(railOf([mallet('a', 28, 80), mallet('b', 28, 80)], { gap: 0 }))
    const seats = close.model!.seats.map((s, i) => ({ ...s, at: { ...s.at, x: s.at.x - i * 12 } }))
    const parts = partSolids(kernel, { ...close.model!, seats }, close.input.tools)
    const found = collisions(kernel, parts)
    expect(found.some((c) => c.a.kind === 'tool' && c.b.kind === 'tool')).toBe(true)
    for (const { solid } of parts) solid.delete()
  })

  it('turn a tool with its face to the right, the wall, the left', () => {
    const face = (turn: 0 | 1 | 2 | 3) => {
      const m = seatMatrix({ turn, at: { x: 0, y: 0, z: 0 } }) as unknown as number[]
      return [m[4], m[5]].map((v) => (v ?? 0) + 0)
    }
    expect([face(0), face(1), face(2), face(3)]).toEqual([
      [0, 1],
      [1, 0],
      [0, -1],
      [-1, 0],
    ])
  })

  it('weigh the holder alone and with its tools, and count what is not weighed', () => {
    const w = weights(model!, input.shop, input.tools)
    // pine of 392 kg/m³: the rail without its slots and the back
    expect(w.alone!.mass).toBeGreaterThan(0.3)
    expect(w.alone!.mass).toBeLessThan(0.4)
    expect(w.loaded!.mass - w.alone!.mass).toBeCloseTo(1.8)
    expect(w.loaded!.at.y).toBeGreaterThan(w.alone!.at.y)
    const some = new Map([...input.tools].map(([id, t], i) => [id, i === 0 ? { ...t, mass: null } : t]))
    expect(weights(model!, input.shop, some).unweighed).toBe(1)
  })

  it('are mirrored whole into right-handed axes: their triangles still look outwards', () => {
    const { parts } = solidScene(kernel, model!, input.tools, input.shop)
    for (const { corners, triangles, kind } of parts) {
      const at = (i: number): number[] => [...corners.subarray(3 * triangles[i]!, 3 * triangles[i]! + 3)]
      let volume = 0
      for (let i = 0; i < triangles.length; i += 3) {
        const [a, b, c] = [at(i), at(i + 1), at(i + 2)] as [number[], number[], number[]]
        volume += a[0]! * (b[1]! * c[2]! - b[2]! * c[1]!) - a[1]! * (b[0]! * c[2]! - b[2]! * c[0]!) + a[2]! * (b[0]! * c[1]! - b[1]! * c[0]!) // prettier-ignore
      }
      expect(volume / 6, kind).toBeGreaterThan(0)
    }
  })

  it('come as meshes with a way to go when taken apart', () => {
    const scene = solidScene(kernel, model!, input.tools, input.shop)
    expect(scene.parts.map((p) => p.kind)).toEqual(['board', 'board', 'tool', 'tool', 'tool'])
    for (const part of scene.parts) {
      expect(part.triangles.length % 3).toBe(0)
      expect(Math.max(...part.triangles)).toBeLessThan(part.corners.length / 3)
    }
    // y points into the wall there: the rail goes the other way
    expect(scene.parts[0]!.apart.y).toBeLessThan(0)
    expect(Math.min(...scene.parts[0]!.corners)).toBeCloseTo(-95.5)
  })
})
