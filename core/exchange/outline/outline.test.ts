import { describe, expect, it } from 'vitest'
import { outlineArea } from '../../geometry/area'
import { outlineBounds, type Segment } from '../../geometry/outline'
import { outlineError } from '../../geometry/outline-error'
import { svgPath } from '../../geometry/svg-path'
import { readDxf } from './dxf-in'
import { pickOutline, type DrawingRead } from './drawn'
import { readPoints } from './points'
import { readSvg } from './svg-in'

function picked(read: DrawingRead, unit?: number) {
  if (!read.ok) throw new Error(read.message)
  const found = pickOutline(read.drawing, unit ?? read.drawing.unit!)
  if (!found.ok) throw new Error(found.message)
  expect(outlineError(found.picked.outline)).toBeNull()
  return found.picked
}
const svg = (inner: string, head = 'width="200mm" height="100mm" viewBox="0 0 200 100"') =>
  `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" ${head}>${inner}</svg>`
const radii = (segments: Segment[]) => segments.map((s) => (s.kind === 'arc' ? s.radius : 0))

describe('an SVG drawing', () => {
  it('keeps circular arcs as they are, through transforms', () => {
    const slot = '<path d="M10 10H50A10 10 0 0 1 50 30H10A10 10 0 0 1 10 10Z"/>'
    const { outline, width, height } = picked(readSvg(svg(slot)))
    expect([width, height]).toEqual([60, 20])
    expect(radii(outline.segments).filter((r) => r > 0)).toEqual([10, 10])
    expect(outlineArea(outline)).toBeCloseTo(40 * 20 + Math.PI * 100, 6)
    expect(outlineBounds(outline)).toMatchObject({ minX: -30, maxX: 30, maxY: 0 })
    const turned = picked(readSvg(svg(`<g transform="rotate(90 20 20)"><g transform="scale(2)">${slot}</g></g>`)))
    expect([turned.width, turned.height].map((v) => Number(v.toFixed(6)))).toEqual([40, 120])
    expect(outlineArea(turned.outline)).toBeCloseTo(4 * (800 + Math.PI * 100), 4)
  })
  it('turns curves into arcs that keep to them', () => {
    // a circle of four Bezier quarters is out by up to 0.027 % of its radius
    const k = 0.5522847498 * 40
    const circle = `<path d="M50 10C${50 + k} 10 90 ${50 - k} 90 50S${50 + k} 90 50 90 10 ${50 + k} 10 50 ${50 - k} 10 50 10z"/>`
    const { outline } = picked(readSvg(svg(circle)))
    expect(outlineArea(outline)).toBeCloseTo(Math.PI * 1600, -1)
    for (const r of radii(outline.segments)) expect(Math.abs(r - 40)).toBeLessThan(0.5)
    expect(outline.segments.length).toBeLessThan(60)
    const ellipse = picked(readSvg(svg('<ellipse cx="60" cy="50" rx="50" ry="20"/>')))
    expect(Math.abs(outlineArea(ellipse.outline) - Math.PI * 1000)).toBeLessThan(1.5)
    expect(ellipse.width).toBeCloseTo(100, 2)
  })
  it('reads every plain shape', () => {
    for (const [shape, area] of [
      ['<rect x="5" y="5" width="30" height="20"/>', 600],
      ['<rect x="5" y="5" width="30" height="20" rx="5"/>', 600 - (4 - Math.PI) * 25],
      ['<circle cx="40" cy="40" r="12"/>', Math.PI * 144],
      ['<polygon points="0,0 30,0 30,40"/>', 600],
      ['<path d="M0 0 L30 0 30 40 0 0"/>', 600],
    ] as const)
      expect(outlineArea(picked(readSvg(svg(shape))).outline)).toBeCloseTo(area, 6)
  })
  it('takes its unit from the size and the view box, or says that it has none', () => {
    const unit = (head: string) => {
      const read = readSvg(svg('<circle r="9"/>', head))
      return read.ok ? read.drawing.unit : read.message
    }
    expect(unit('width="4in" height="2in" viewBox="0 0 400 200"')).toBeCloseTo(0.254, 9)
    expect(unit('width="10cm" viewBox="0 0 50 50"')).toBeCloseTo(2, 9)
    expect(unit('width="120mm"')).toBeCloseTo(25.4 / 96, 9)
    expect(unit('viewBox="0 0 50 50"')).toBeNull()
    expect(unit('width="400px" height="200" viewBox="0 0 400 200"')).toBeNull()
  })
  it('picks the largest closed outline and tells of the rest', () => {
    const { outline, notes } = picked(
      readSvg(
        svg(
          '<rect width="100" height="80"/><circle cx="50" cy="40" r="10"/><circle cx="150" cy="40" r="20"/><path d="M0 90H50"/><text>Spanner</text>',
        ),
      ),
    )
    expect(outlineArea(outline)).toBeCloseTo(8000, 6)
    expect(notes.join(' ')).toMatch(/island.*smaller outline.*open line.*[Tt]ext/)
  })
  it('joins lines drawn end to end', () => {
    const lines =
      '<line x1="0" y1="0" x2="50" y2="0"/><path d="M50 30L50 0"/><path d="M50 30H0"/><line x1="0" y1="0" x2="0" y2="30"/>'
    expect(outlineArea(picked(readSvg(svg(lines))).outline)).toBeCloseTo(1500, 6)
  })
  it('says when it crosses itself, or nothing is closed', () => {
    expect(picked(readSvg(svg('<polygon points="0,0 60,40 60,0 0,50"/>'))).notes.join()).toContain('crosses itself')
    const open = readSvg(svg('<path d="M0 0L50 0L50 30"/>'))
    expect(open.ok && pickOutline(open.drawing, 1)).toMatchObject({
      ok: false,
      message: expect.stringContaining('open ends'),
    })
  })
  it.each([
    ['a script', svg('<script>alert(1)</script><circle r="9"/>'), 'script'],
    ['a handler', svg('<circle r="9" onload="x()"/>'), 'script'],
    ['a foreign object', svg('<foreignObject/><circle r="9"/>'), 'script'],
    ['entities', '<!DOCTYPE svg [<!ENTITY a "aaa"><!ENTITY b "&a;&a;">]><svg><text>&b;</text></svg>', 'entities'],
    ['no drawing', svg('<text>Hello</text>'), 'no line'],
    ['a torn file', '<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0', 'not whole'],
    ['a broken path', svg('<path d="M0 0 L"/>'), 'can’t be read'],
    ['another text', 'name,kind\na,b', 'no SVG'],
  ])('with %s is refused with the reason', (_, text, says) => {
    const read = readSvg(text)
    expect(read.ok ? '' : read.message).toContain(says)
  })
})

const dxf = (entities: string, insunits = 4) =>
  `0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n${insunits}\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n${entities}0\nENDSEC\n0\nEOF\n`
const line = (x0: number, y0: number, x1: number, y1: number) =>
  `0\nLINE\n8\n0\n10\n${x0}\n20\n${y0}\n11\n${x1}\n21\n${y1}\n`

describe('a DXF drawing', () => {
  it('reads bulges as true arcs', () => {
    const slot =
      '0\nLWPOLYLINE\n8\ncut\n90\n4\n70\n1\n10\n0\n20\n0\n10\n60\n20\n0\n42\n1\n10\n60\n20\n20\n10\n0\n20\n20\n42\n1\n'
    const { outline, width } = picked(readDxf(dxf(slot)))
    expect(width).toBeCloseTo(80, 9)
    expect(radii(outline.segments).filter((r) => r > 0)).toEqual([10, 10])
    expect(outlineArea(outline)).toBeCloseTo(1200 + Math.PI * 100, 6)
  })
  it('joins lines and arcs, in inches too', () => {
    const half =
      line(0, 0, 2, 0) + line(2, 0, 2, 1) + line(0, 1, 0, 0) + '0\nARC\n8\n0\n10\n1\n20\n1\n40\n1\n50\n0\n51\n180\n'
    const { outline } = picked(readDxf(dxf(half, 1)))
    expect(outlineArea(outline)).toBeCloseTo((2 + Math.PI / 2) * 25.4 ** 2, 6)
    const read = readDxf(dxf(half, 0))
    expect(read.ok && read.drawing.unit).toBeNull()
  })
  it('reads circles, ellipses and splines', () => {
    const circle = '0\nCIRCLE\n8\n0\n10\n5\n20\n5\n40\n30\n'
    expect(outlineArea(picked(readDxf(dxf(circle))).outline)).toBeCloseTo(Math.PI * 900, 6)
    const ellipse = '0\nELLIPSE\n8\n0\n10\n0\n20\n0\n11\n40\n21\n0\n40\n0.5\n41\n0\n42\n6.283185307179586\n'
    expect(outlineArea(picked(readDxf(dxf(ellipse))).outline)).toBeCloseTo(Math.PI * 800, 0)
    // a parabola from (0, 0) over (50, 50) to (100, 0), closed by a line: two thirds of its box
    const bow =
      '0\nSPLINE\n8\n0\n70\n8\n71\n2\n72\n6\n73\n3\n40\n0\n40\n0\n40\n0\n40\n1\n40\n1\n40\n1\n10\n0\n20\n0\n30\n0\n10\n50\n20\n100\n30\n0\n10\n100\n20\n0\n30\n0\n' +
      line(100, 0, 0, 0)
    expect(outlineArea(picked(readDxf(dxf(bow))).outline)).toBeCloseTo((2 / 3) * 100 * 50, 0)
  })
  it('is refused when it is cut off, binary or something else', () => {
    const whole = dxf(line(0, 0, 5, 5))
    for (const [text, says] of [
      [whole.slice(0, -40), 'breaks off'],
      ['AutoCAD Binary DXF\r\n\x1a\0', 'binary'],
      ['hello', 'no DXF'],
      [dxf(''), 'no line'],
    ] as const) {
      const read = readDxf(text)
      expect(read.ok ? '' : read.message).toContain(says)
    }
  })
})

describe('points typed in', () => {
  it('are read one to a line, in either unit', () => {
    for (const text of ['0 0\n80 0\n80 40\n0 40', '0; 0\n80; 0\n\n80; 40\n0; 40\n', '0, 0\n80, 0\n80, 40\n0, 40']) {
      const read = readPoints(text, 'mm')
      expect(read.ok && outlineArea(read.outline)).toBeCloseTo(3200, 9)
    }
    const inches = readPoints('0 0\n1 1/2" 0\n1 1/2" 2"\n0 2"', 'in')
    expect(inches.ok && outlineArea(inches.outline)).toBeCloseTo(3 * 25.4 ** 2, 6)
  })
  it('name the line that can’t be read', () => {
    for (const [text, says] of [
      ['0 0\n10 x\n5 5', 'Line 2'],
      ['0 0\n10 10', 'at least three'],
      ['0 0\n10\n5 5', 'Line 2'],
      ['0 0\n10 0\n20 0', 'encloses nothing'],
    ] as const)
      expect(readPoints(text, 'mm')).toMatchObject({ ok: false, message: expect.stringContaining(says) })
  })
})

it('an outline survives being written as a path and read again', () => {
  const first = picked(readSvg(svg('<path d="M10 10H50A10 10 0 0 1 50 30L30 60A40 40 0 0 0 10 30Z"/>')))
  const again = picked(readSvg(svg(`<path d="${svgPath(first.outline)}"/>`)))
  expect(outlineArea(again.outline)).toBeCloseTo(outlineArea(first.outline), 3)
  expect(again.outline.segments.length).toBe(first.outline.segments.length)
})
