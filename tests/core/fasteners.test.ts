import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { design } from '#core/choose/design'
import { allForms } from '#core/forms/all-forms'
import { along, boxesMeet, driverBox } from '#core/forms/fastening/places'
import { contactOf, onBoard } from '#core/model/contact'
import { boardOf, type HolderModel } from '#core/model/model'
import { boardBox, placeOn, rodBox, squareBox } from '#core/model/standing'
import { tipped } from '#core/model/tilt'
import { anyHolder } from './any-holder'
import { likelyHolder } from './likely-holder'

/** Holders by their models, ten of each form, always the same. */
const models = allForms.flatMap((form) =>
  fc.sample(anyHolder(form), { numRuns: 14, seed: 7 }).flatMap((input) => {
    const { model } = design(input)
    return model ? [{ form: form.id, input, model }] : []
  }),
)

const standingBefore = (model: HolderModel, order: number | null): Set<string> =>
  new Set(model.joints.filter((j) => order === null || j.order < order).flatMap((j) => j.parts))

describe('the fasteners of any holder', () => {
  it('are there for most joints that want them', () => {
    const wanted = models.flatMap(({ model }) =>
      model.joints.filter((j) => j.by === 'screws').map((j) => ({ model, j })),
    )
    const has = wanted.filter(({ model, j }) => model.fasteners.some((f) => f.joint === j.order))
    expect(wanted.length).toBeGreaterThan(50)
    expect(has.length / wanted.length).toBeGreaterThan(0.6)
  })

  it('go through the first part into the second, no point showing', () => {
    for (const { model, input } of models)
      for (const f of model.fasteners.filter((x) => x.into !== null)) {
        const [through, into] = [boardOf(model, f.through), boardOf(model, f.into!)]
        const contact = contactOf(through, into)!
        const joint = model.joints.find((j) => j.order === f.joint)!
        expect(joint.parts).toEqual([f.through, f.into])
        expect(f.side + f.bite).toBeCloseTo(f.length, 6)
        // seen square, where the parts are tilted
        const at = contact.tip ? tipped(f.at, -contact.tip.tilt, contact.tip.about) : f.at
        expect(at[contact.axis] + contact.sense * f.side).toBeCloseTo(contact.at, 3)
        const box = squareBox(into)[contact.axis]
        expect(f.bite).toBeLessThanOrEqual(box[1] - box[0] - input.shop.settings.pointKeep + 1e-6)
        for (const side of [contact.along, contact.across]) {
          expect(at[side.axis]).toBeGreaterThan(side.from)
          expect(at[side.axis]).toBeLessThan(side.to)
        }
      }
  })

  it('meet no opening, and no other', () => {
    for (const { model } of models)
      model.fasteners.forEach((f, i) => {
        const body = along(f.at, f.toward, f.length, f.diameter)
        for (const other of model.fasteners.slice(i + 1))
          expect(boxesMeet(body, along(other.at, other.toward, other.length, other.diameter))).toBe(false)
        for (const board of model.boards.filter((b) => b.id === f.through || b.id === f.into))
          for (const o of board.openings) {
            // points along the axis, seen in the board's own plane
            for (let s = 0; s <= f.length; s += 1) {
              const p = onBoard(board, { x: f.at.x + f.toward.x * s, y: f.at.y + f.toward.y * s, z: f.at.z + f.toward.z * s }) // prettier-ignore
              if (p.deep < 0 || p.deep > (o.depth ?? board.thickness)) continue
              expect(Math.hypot(p.x - o.centre.x, p.y - o.centre.y)).toBeGreaterThan(o.radius)
            }
          }
      })
  })

  it('can be driven when their turn comes', () => {
    for (const { model } of models)
      for (const f of model.fasteners) {
        const there = standingBefore(model, f.joint)
        const driver = driverBox(f)
        for (const b of model.boards)
          if (there.has(b.id) && b.id !== f.through) expect(boxesMeet(driver, boardBox(b)), `${f.id} ${b.id}`).toBe(false) // prettier-ignore
        for (const r of model.rods) if (there.has(r.id)) expect(boxesMeet(driver, rodBox(r))).toBe(false)
      }
  })

  it('hold whatever is screwed on to the wall, in its upper part where nothing stands behind the back’s face', () => {
    for (const form of allForms)
      for (const input of fc.sample(likelyHolder(form), { numRuns: 12, seed: 3 })) {
        const { model } = design(input)
        if (!model) continue
        const back = boardOf(model, model.boards.find((b) => b.role === 'back')!.id)
        const { y, z } = boardBox(back)
        const rows = model.fasteners.filter((f) => f.into === null).map((f) => (f.at.z - z[0]) / (z[1] - z[0]))
        expect(rows.length, form.id).toBeGreaterThan(0)
        const over = model.seats.some((s) => s.at.y - s.extent.back < y[1] - 1e-6)
        if (!over) expect(Math.max(...rows), form.id).toBeGreaterThan(0.6)
      }
  })

  it('are the same for the same holder', () => {
    for (const { input, model } of models.slice(0, 12)) expect(design(input).model!.fasteners).toEqual(model.fasteners)
  })
})

it('finds a place in the holder again on its board', () => {
  for (const { model } of models.slice(0, 20))
    for (const board of model.boards) {
      const p = onBoard(board, placeOn(board, { x: 3, y: 5 }, 2))
      expect([p.x, p.y, p.deep]).toEqual([expect.closeTo(3, 9), expect.closeTo(5, 9), expect.closeTo(2, 9)])
    }
})
