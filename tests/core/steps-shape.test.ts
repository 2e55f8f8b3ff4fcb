import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { benchSteps } from '#core/bench/steps/steps'
import { stepDrawings } from '#core/bench/steps/step-drawing'
import { shapedSides } from '#core/bench/steps/outline-steps'
import { design } from '#core/choose/design'
import { allForms } from '#core/forms/all-forms'
import { rectangle } from '#core/geometry/outline'
import { anyHolder } from './any-holder'
import { mallet, railOf } from './samples'

const stepsOf = (choices: Record<string, string | number>, form = 'reach-arms') => {
  const base = railOf([mallet('a', 28, 110), mallet('b', 28, 110)])
  const input = { ...base, holder: { ...base.holder, form, choices } }
  const { model } = design(input)
  return { model: model!, input, ...benchSteps({ model: model!, shop: input.shop, cuts: [] }, 'h') }
}

describe('sawing boards to their shape', () => {
  const { steps, model, input } = stepsOf({ armHeight: 90 })
  const shaping = steps.filter((s) => s.kind === 'shape')

  it('is one step for boards that are alike, stacked, laid out from the square edges', () => {
    expect(shaping).toHaveLength(1)
    const [step] = shaping
    const arm = model.boards.find((b) => b.role === 'arm')!
    expect(step!.title).toBe('Saw the left arm and right arm to their shape')
    expect(step!.makes).toEqual(['outline:left', 'outline:right'])
    expect(step!.says[0]).toBe('Its datum end is the one at the wall.')
    expect(step!.says[1]).toBe(`Draw a line from 0 mm from the datum end and 0 mm from the lower edge to ${arm.length} mm from the datum end and 60 mm from the lower edge.`) // prettier-ignore
    expect(step!.says.join(' ')).toContain('Stack them')
  })

  it('comes after the marks, while the edges are square, and before the edges are eased and anything is joined', () => {
    const at = (kind: string): number => steps.findIndex((s) => s.kind === kind)
    const marks = steps.flatMap((s, i) => (s.kind === 'mark' && s.parts.some((p) => ['left', 'right'].includes(p)) ? [i] : [])) // prettier-ignore
    for (const i of marks) expect(i).toBeLessThan(at('shape'))
    expect(at('shape')).toBeLessThan(at('ease'))
    expect(at('ease')).toBeLessThan(at('join'))
  })

  it('is drawn with the blank, what comes off as waste', () => {
    const [card] = stepDrawings({ model, shop: input.shop, cuts: [] }, shaping[0]!)
    const arm = model.boards.find((b) => b.role === 'arm')!
    expect(card!.outlines.slice(0, 2)).toEqual([
      { ink: 'waste', outline: rectangle(0, 0, arm.length, arm.width) },
      { ink: 'wood', outline: arm.outline },
    ])
    // the figures at the ends of the slope, and where the nose begins
    expect(card!.labels.map((l) => l.text)).toEqual(['0', String(arm.length)])
  })

  it('tells arcs by their middle, and of the template', () => {
    const hooked = fc.sample(anyHolder(allForms.find((f) => f.id === 'hook')!), { numRuns: 20, seed: 3 })
    const found = hooked.flatMap((asked) => {
      const { model: hooks } = design(asked)
      return hooks ? benchSteps({ model: hooks, shop: asked.shop, cuts: [] }, 'h').steps.filter((s) => s.kind === 'shape') : [] // prettier-ignore
    })
    expect(found.length).toBeGreaterThan(0)
    for (const { says } of found) {
      expect(says.some((line) => line.startsWith('Draw an arc of '))).toBe(true)
      expect(says.join(' ')).toContain('template')
    }
  })

  it('is there for every board that is not its whole blank, and tells every side that is no edge of it', () => {
    let shaped = 0
    for (const form of allForms)
      for (const asked of fc.sample(anyHolder(form), { numRuns: 8, seed: 5 })) {
        const { model: any } = design(asked)
        if (!any) continue
        const made = benchSteps({ model: any, shop: asked.shop, cuts: [] }, 'h').steps.flatMap((s) => s.makes)
        for (const board of any.boards) {
          const { length, width, outline } = board
          const corners = outline.segments.map(({ to }) => to)
          const isBlank = corners.length === 4 && corners.every(({ x, y }) => [0, length].some((e) => Math.abs(x - e) < 1e-6) && [0, width].some((e) => Math.abs(y - e) < 1e-6)) // prettier-ignore
          expect(made.includes(`outline:${board.id}`), `${form.id}: ${board.name}`).toBe(!isBlank)
          const sides = shapedSides(board)
          if (isBlank) expect(sides).toEqual([])
          else {
            shaped++
            const inside = outline.segments.filter(({ kind, to }) => kind === 'arc' || (to.x > 1e-6 && to.x < length - 1e-6 && to.y > 1e-6 && to.y < width - 1e-6)) // prettier-ignore
            for (const side of inside) expect(sides.map((s) => s.side)).toContain(side)
            expect(sides.length).toBeGreaterThan(0)
          }
        }
      }
    expect(shaped).toBeGreaterThan(20)
  })
})
