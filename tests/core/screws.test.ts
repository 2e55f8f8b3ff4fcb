import { describe, expect, it } from 'vitest'
import { worstOf } from '#core/checks/verdict'
import { design, finder } from '#core/choose/design'
import { remediesFor } from '#core/choose/remedies'
import { mallet, railOf, shopWith, threeMallets } from './samples'

const verdict = (d: ReturnType<typeof design>, id: string) => d.verdicts.find((v) => v.id === id)

describe('the screws of a rail', () => {
  it('are pulled by what hangs in front, and hold by their thread and the wood', () => {
    const d = design(railOf(threeMallets()))
    const v = verdict(d, 'screws joint')!
    expect(v.level).toBe('pass')
    const find = finder(d.working)
    const n = d.model!.fasteners.filter((f) => f.joint === 1).length
    const levers = d.model!.fasteners.filter((f) => f.joint === 1).map((f) => f.at.z + 18)
    expect(v.measured!.value).toBeCloseTo(find('screwPull').value, 9)
    expect(levers.reduce((a, b) => a + b)).toBeCloseTo(n * 9, 9)
    // 2850 G² D pounds to an inch: pine of 392 kg/m³, #8, 22 mm
    const g = 392 / 1120
    expect(find('screwWithdrawal').value).toBeCloseTo((2850 * g * g * 0.164 * 4.4482216152605 * 22) / 25.4, 3)
    expect(find('screwHolds').value).toBeCloseTo(2 * find('screwWithdrawal').value, 9)
  })

  it('that are too few want more, offered by one press', () => {
    const heavy = ['a', 'b', 'c'].map((id) => mallet(id, 28, 80, { mass: 0.9 }))
    const d = design(railOf(heavy, {}, shopWith({}, { glueTimes: 0, screwSpacing: 300 })))
    const v = verdict(d, 'screws joint')!
    expect(v.level).toBe('watch')
    expect(remediesFor(d, v).map((r) => r.label)).toContain('Screws every 150 mm')
  })

  it('into the wall stop where they would give', () => {
    const heavy = Array.from({ length: 2 }, (_, i) => mallet(`m${i}`, 28, 80, { mass: 40 }))
    const d = design(railOf(heavy, { backHeight: 40 }, shopWith({}, { pull: 40 })))
    expect(verdict(d, 'screws wall')!.level).toBe('stop')
    expect(worstOf(d.verdicts)).toBe('stop')
  })

  it('are asked for where the shop has none that fit', () => {
    const d = design(railOf(threeMallets(), {}, shopWith({ screws: [] })))
    const missing = d.verdicts.filter((v) => v.id.startsWith('screw missing'))
    expect(missing.map((v) => v.level)).toEqual(['watch', 'watch'])
    expect(missing[0]!.says).toContain('may be')
    expect(d.model!.fasteners).toEqual([])
  })

  it('near an edge are a watch', () => {
    const thick = { ...shopWith().screws[0]!, id: 'fat', name: 'Fat', gauge: 16, length: 45 }
    const d = design(railOf(threeMallets(), {}, shopWith({ screws: [thick] })))
    expect(verdict(d, 'screw edge')?.level).toBe('watch')
  })
})
