import { describe, expect, it } from 'vitest'
import { boresByBit, joiningNotes, workNotes } from '#core/bench/notes'
import { design } from '#core/choose/design'
import type { PlanInput } from '#core/forms/form'
import { mallet, railOf, threeMallets } from './samples'

const planned = (input: PlanInput) => design(input).model!
const as = (form: string, choices: Record<string, string | number> = {}): PlanInput => {
  const input = railOf([mallet('a', 28, 70), mallet('b', 30, 80)], choices)
  return { ...input, holder: { ...input.holder, form } }
}
const mm = { unit: 'mm', gridMm: 0.5, gridIn: 16 } as const

describe('what is said at the bench', () => {
  it('names each bit and how often it bores, the largest first', () => {
    const rail = planned(railOf(threeMallets()))
    expect(boresByBit(rail)).toEqual([
      { bit: 35, times: 1 },
      { bit: 32, times: 2 },
    ])
    const notes = workNotes(rail, mm)
    expect(notes[0]).toBe('Drill before you saw: 1 with the 35 mm bit, 2 with the 32 mm bit.')
    expect(notes).toContain('Large bits: clamp the work, low speed, a backer under the hole.')
  })

  it('tells at which slant pins are bored, and from which side', () => {
    const notes = workNotes(planned(as('peg-rail')), mm)
    expect(notes.find((n) => n.startsWith('Bore at 8°'))).toContain('from the front')
    expect(workNotes(planned(as('twin-rail')), mm).some((n) => n.includes('from square'))).toBe(false)
  })

  it('tells how a strip is ripped, with its caution, where there is one', () => {
    const [first] = workNotes(planned(as('finger-rail', { hung: 'strip', backHeight: 220 })), mm)
    expect(first).toMatch(/^Strip: rip one edge with the saw tilted to 45°; its wide face is \d/)
    expect(first).toContain('never trapped')
  })

  it('says to saw only where something is sawn', () => {
    const saw = (choices: Record<string, string>) => workNotes(planned(as('finger-rail', choices)), mm)
    expect(saw({}).some((n) => n.startsWith('Saw to the line'))).toBe(false)
    expect(saw({ slots: 'jigsawn' }).some((n) => n.startsWith('Saw to the line'))).toBe(true)
  })

  it('puts rods in before the second end goes on, and the strip last', () => {
    const notes = joiningNotes(planned(as('twin-rail', { hung: 'strip', backHeight: 260 })))
    const at = (part: string) => notes.findIndex((n) => n.includes(part))
    expect(at('into the left end')).toBeLessThan(at('Put the right end over both rods'))
    expect(at('Put the right end over both rods')).toBeLessThan(at('screws from behind through the back'))
    expect(notes.findIndex((n) => n.startsWith('Strip and back'))).toBe(notes.length - 2)
  })

  it('tells like joints on end together', () => {
    expect(joiningNotes(planned(as('peg-rail')))).toEqual([
      'Rail and 4 parts, pin 1, left to pin 2, right: Glue; the pin’s end flush with the back of the rail.',
    ])
  })
})
