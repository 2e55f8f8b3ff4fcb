import { describe, expect, it } from 'vitest'
import { remediesFor } from '#core/choose/remedies'
import { design } from '#core/choose/design'
import { boardBox } from '#core/model/standing'
import { railOf, threeMallets } from './samples'

const hung = (choices: Record<string, string | number> = {}) =>
  design(railOf(threeMallets(), { hung: 'strip', ...choices }))

describe('a holder on a strip', () => {
  it('stands out by the strip, which hooks at the top of its back, with a foot at the bottom', () => {
    const [screwed, d] = [design(railOf(threeMallets())), hung({ backHeight: 200 })]
    expect(d.model!.seats[0]!.at.y - screwed.model!.seats[0]!.at.y).toBe(18)
    const board = (role: string) => d.model!.boards.find((b) => b.role === role)!
    const [back, strip, foot] = [board('back'), board('strip'), board('foot')]
    expect(boardBox(back).y).toEqual([18, 36])
    expect(boardBox(strip).y).toEqual([0, 18])
    expect(boardBox(strip).z[1]).toBe(boardBox(back).z[1])
    expect(boardBox(foot).z[0]).toBe(boardBox(back).z[0])
    expect(foot.width).toBe(40)
    // 140 wide, 18 thick, no kerf where no saw tilts so far: else the worked example
    const track = d.input.shop.saws.find((s) => s.kind === 'track saw')
    expect(strip.width).toBeCloseTo((140 + 18 - (track?.kerf ?? 0) * Math.SQRT2) / 2)
    expect(strip.bevel).toEqual({ edge: 'lower', tilt: 45 })
  })

  it('is fixed to its strip last, for the strip covers the screws from behind', () => {
    const { joints } = hung({ backHeight: 200 }).model!
    expect(joints.at(-2)!.parts).toEqual(['strip', 'back'])
    expect(joints.at(-2)!.order).toBeGreaterThan(joints[0]!.order)
  })

  it('asks for a back that is high enough, and for one that does not rock: each by one remedy', () => {
    const low = hung()
    const told = low.verdicts.find((v) => v.id === 'strip room')!
    expect(told.level).toBe('watch')
    expect(remediesFor(low, told).map((r) => r.label)).toEqual(['Back 120 mm high'])
    const rocking = low.verdicts.find((v) => v.id === 'rocking')!
    expect(rocking.level).toBe('stop')
    const labels = remediesFor(low, rocking).map((r) => r.label)
    expect(labels.at(-1)).toBe('Screw it on')
    expect(labels[0]).toMatch(/^Back \d+ mm high$/)
    const high = Number(/\d+/.exec(labels[0]!)![0])
    expect(hung({ backHeight: high }).verdicts.find((v) => v.id === 'rocking')!.level).toBe('pass')
  })

  it('takes the worst way of loading it', () => {
    const { working } = hung({ backHeight: 300 })
    const out = working.find((f) => f.id === 'loadOut')!
    expect(out.note).toBe('a hand pulling at the front edge')
    const { value } = working.find((f) => f.id === 'sticksOutBy')!
    expect(out.value).toBeLessThan(value)
  })

  it('leads its weight back to the wood, the tools and the hand', () => {
    const { working } = hung({ backHeight: 300 })
    const out = working.find((f) => f.id === 'loadOut')!
    expect(out.from).toEqual(
      expect.arrayContaining(['woodMass', 'woodOut', 'mass:t1', 'weightOut:s1', 'pull', 'depth']),
    )
    expect(working.find((f) => f.id === 'woodMass')!.from).toContain('density:pine-18')
  })

  it('says when no saw here tilts so far', () => {
    const input = railOf(threeMallets(), { hung: 'strip' })
    const says = (tilt: number | null) =>
      design({ ...input, shop: { ...input.shop, saws: input.shop.saws.map((s) => ({ ...s, tilt })) } }).verdicts.find((v) => v.id === 'strip saw')?.level // prettier-ignore
    expect([says(30), says(45)]).toEqual(['watch', undefined])
  })

  it('is left as it is where it is screwed on', () => {
    expect(design(railOf(threeMallets(), { hung: 'screwed' })).model).toEqual(design(railOf(threeMallets())).model)
  })
})
