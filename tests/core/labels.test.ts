import { describe, expect, it } from 'vitest'
import { design } from '#core/choose/design'
import { labelsOf, type Label } from '#core/exchange/labels'
import { fitted, labelPages, laidOut, LABEL_HIGH, type Measure } from '#core/exchange/pdf/labels'
import { plainTool, type Tool } from '#core/footprint/tool'
import { outlineBounds } from '#core/geometry/outline'
import { usualShop } from '#core/shop/usual'

const chisel = (id: string, name: string, wide: number): Tool => ({
  ...plainTool(id, 'handled-blade', name),
  measures: { handleDiameter: 30, ferruleDiameter: 18, bladeWidth: wide, bladeThickness: 4, bladeLength: 140, overallLength: 260 }, // prettier-ignore
})
const tools = [chisel('a', 'Bench chisel', 19), chisel('b', 'Chisel 12 mm', 12), chisel('c', 'Paring chisel', 25.4)]
const block = (unit: 'mm' | 'in') =>
  design({
    shop: { ...usualShop(), unit },
    tools: new Map(tools.map((t) => [t.id, t])),
    holder: { id: 'h', name: 'Chisels', form: 'socket-block', seats: tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 as const })), choices: {} }, // prettier-ignore
  })

describe('labels of a holder', () => {
  const { model, input } = block('mm')
  const labels = labelsOf(model!, input.tools, input.shop)

  it('name each tool, with the figure it is told by where its name doesn’t say it', () => {
    expect(labels.map((l) => [l.place, l.name, l.size])).toEqual([[1, 'Bench chisel', '19 mm'], [2, 'Chisel 12 mm', ''], [3, 'Paring chisel', '25.5 mm']]) // prettier-ignore
    const inches = block('in')
    expect(labelsOf(inches.model!, inches.input.tools, inches.input.shop)[2]!.size).toBe('1"')
  })

  it('are no wider than it is to the next seat', () => {
    const x = model!.seats.map((s) => s.at.x)
    expect(labels[0]!.room).toBeCloseTo(x[1]! - x[0]!)
    expect(labels[1]!.room).toBeCloseTo(Math.min(x[1]! - x[0]!, x[2]! - x[1]!))
    const alone = labelsOf({ seats: model!.seats.slice(0, 1) }, input.tools, input.shop)
    expect(alone[0]!.room).toBe(90)
  })
})

/** Letters half as wide as they are high. */
const measure: Measure = (text, size) => [...text].length * size * 0.5
const label = (name: string, room: number, size = ''): Label => ({ seat: 's', place: 1, name, size, room })

describe('labels on paper', () => {
  it('shrink what they say to their room, and break it off where it can’t be read smaller', () => {
    expect(fitted('Mallet', 40, measure, true)).toEqual({ text: 'Mallet', size: 4 })
    expect(fitted('Paring chisel', 20, measure, true).size).toBeCloseTo((4 * 20) / 26)
    const broken = fitted('A very long name of a tool', 10, measure, true)
    expect(broken).toMatchObject({ size: 2.2 })
    expect(broken.text).toMatch(/^A very.*…$/)
    expect(measure(broken.text, 2.2, true)).toBeLessThanOrEqual(10)
  })

  it('are never wider than their room, nor than what they say', () => {
    for (const room of [4, 12, 30, 90]) expect(laidOut(label('Paring chisel', room, '25 mm'), measure).width).toBeLessThanOrEqual(room) // prettier-ignore
    expect(laidOut(label('Saw', 90), measure).width).toBeCloseTo(6 + 3)
    expect(laidOut(label('Saw', 90, '600 mm'), measure).lines).toHaveLength(2)
  })

  it('stand side by side within the page, none on another, on as many pages as they want', () => {
    const many = Array.from({ length: 150 }, (_, i) => label(`Chisel number ${i}`, 60, `${i} mm`))
    const pages = labelPages('Chisels', many, 'A4', measure)
    expect(pages.length).toBeGreaterThan(1)
    const boxes = pages.map((p) => p.ink.flatMap((k) => (k.kind === 'outline' ? [outlineBounds(k.outline)] : [])))
    expect(boxes.flat()).toHaveLength(150)
    for (const on of boxes)
      on.forEach((a, i) => {
        expect([a.minX >= 12, a.maxX <= 210 - 12, a.minY >= 12, a.maxY <= 297 - 12]).toEqual([true, true, true, true])
        expect(a.maxY - a.minY).toBeCloseTo(LABEL_HIGH)
        for (const b of on.slice(i + 1))
          expect(a.maxX <= b.minX || b.maxX <= a.minX || a.maxY <= b.minY || b.maxY <= a.minY).toBe(true)
      })
    expect(labelPages('Chisels', [], 'A4', measure)).toEqual([])
  })
})
