import { describe, expect, it } from 'vitest'
import { kindOf } from './kinds'
import { namesFor, readLengths, readSeveral } from './several'
import { kindFromWords } from './words'

describe('several at once', () => {
  it.each([
    ['six chisels, widths 6 10 12 16 20 25', 'chisel', 'handled-blade', 'bladeWidth', [6, 10, 12, 16, 20, 25]],
    ['3 twist drills, cutting diameters 4, 6, 8', 'twist drill', 'bit', 'cuttingDiameter', [4, 6, 8]],
    ['hex keys, size across flats 1.5 2 2.5 3', 'hex key', 'hex-key', 'acrossFlats', [1.5, 2, 2.5, 3]],
    ['two brooms with overall length 1.2m 1400', 'broom', 'long-handled', 'overallLength', [1200, 1400]],
    ['bar clamps, overall lengths: 300; 600; 900', 'bar clamp', 'bar-clamp', 'overallLength', [300, 600, 900]],
  ])('%s', (text, noun, kind, field, values) => {
    const read = readSeveral(text, 'mm')
    expect(read).toMatchObject({ noun, field, problems: [] })
    expect(read.kind?.id).toBe(kind)
    expect(read.values).toEqual(values)
  })
  it('reads fractions of an inch', () => {
    const read = readSeveral('four chisels, widths 1/4 1/2 3/4 1 1/4', 'in')
    const tidy = (values: number[]) => values.map((v) => Number(v.toFixed(6)))
    expect(tidy(read.values)).toEqual([6.35, 12.7, 19.05, 31.75])
    expect(tidy(readLengths('1/4, 3/8, 1 1/2 and 2"', 'in').values)).toEqual([6.35, 9.525, 38.1, 50.8])
  })
  it('says what does not fit together', () => {
    expect(readSeveral('six chisels, widths 6 10 12', 'mm').problems).toEqual([
      '6 are asked for, but 3 figures are given.',
    ])
    expect(readSeveral('six gizmos, widths 6 10', 'mm').problems[0]).toContain('What kind of tool')
    expect(readSeveral('chisels, colours 6 10', 'mm').problems[0]).toContain('Which figure')
    for (const unit of ['mm', 'in'] as const) {
      const [problem] = readSeveral('chisels', unit).problems
      expect(problem).toContain('Write it like')
      expect(readSeveral(problem!.split(': ')[1]!, unit)).toMatchObject({ problems: [], kind: { id: 'handled-blade' } })
    }
    expect(readSeveral('chisels, widths 6 abc 10', 'mm').problems[0]).toContain('abc')
  })
  it('takes the kind of the card it was asked from', () => {
    const read = readSeveral('spares, widths 5 6', 'mm', kindOf('handled-blade')!)
    expect(read).toMatchObject({ noun: 'spare', field: 'bladeWidth', values: [5, 6] })
  })
  it('names them by what differs', () => {
    expect(namesFor('chisel', [6, 12.7], { unit: 'mm', gridMm: 1, gridIn: 16 })).toEqual(['Chisel 6 mm', 'Chisel 12.7 mm']) // prettier-ignore
    expect(namesFor('', [12.7], { unit: 'in', gridMm: 1, gridIn: 16 })).toEqual(['Tool 1/2"'])
  })
})

it.each([
  ['Long caulking mallet', 'headed'],
  ['cordless drill', 'pistol-grip'],
  ['Twist drill 6', 'bit'],
  ['block planes', 'plane'],
  ['drawknives', 'plane'],
  ['two brushes', 'anything'],
  ['pull saw', 'handsaw'],
  ['circular saw', 'base-plate'],
  ['drill bit', 'bit'],
  ['spoon', undefined],
])('the kind of “%s” is %s', (text, kind) => expect(kindFromWords(text)?.id).toBe(kind))
