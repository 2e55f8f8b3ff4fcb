import { describe, expect, it } from 'vitest'
import { remediesFor } from '#core/choose/remedies'
import { design } from '#core/choose/design'
import { boardBox } from '#core/model/standing'
import { board, railOf, shopWith, threeMallets } from './samples'

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

  it('is not drawn with a strip that its bevel leaves nothing of: it is screwed on then', () => {
    const shop = shopWith({ stock: [board('pine-18', 'Pine board 18', 'eastern white pine', 18), board('beam', 'Beam', 'eastern white pine', 150)] }) // prettier-ignore
    const d = design(railOf(threeMallets(), { hung: 'strip', stripStock: 'beam', backHeight: 200 }, shop))
    expect(d.model).toBeNull()
    const told = d.verdicts.find((v) => v.id === 'refused:no size:strip')!
    expect(told.says).toMatch(
      /^Strip would come out −\d+(\.\d)? mm wide beyond its bevel: look again at what it follows from/,
    )
    expect(remediesFor(d, told).map((r) => r.label)).toEqual(['Screw it on'])
    // a tool with a slip in its figures is not to blame for it
    const [first, ...others] = threeMallets()
    const slip = { ...first!, measures: { ...first!.measures, headLength: 50, faceReach: 90 } }
    const withSlip = design(railOf([slip, ...others], { hung: 'strip', stripStock: 'beam', backHeight: 200 }, shop))
    expect(withSlip.verdicts.some((v) => v.check === 'measurements')).toBe(true)
    expect(withSlip.verdicts.find((v) => v.id === 'refused:no size:strip')).toMatchObject({ says: told.says })
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

describe('what keeps a holder on its strip', () => {
  const part = (d: ReturnType<typeof hung>, id: string) => d.model!.boards.find((b) => b.id === id)!
  const value = (d: ReturnType<typeof hung>, id: string) => d.working.find((f) => f.id === id)!.value

  it('is a slat from below the wall’s strip to the foot, with room to push it in', () => {
    const d = hung({ backHeight: 260, lock: 'slat' })
    const [back, foot, slat] = ['back', 'foot', 'slat'].map((id) => boardBox(part(d, id)))
    // the wall's strip hangs from the holder's short face by its own long one
    const under = back!.z[1] - value(d, 'stripShort') - value(d, 'stripLong')
    expect(slat!.z[0]).toBe(foot!.z[1])
    expect(slat!.z[1]).toBeCloseTo(under - 1)
    expect(d.verdicts.find((v) => v.id === 'riding up')!.says).toContain('lock slat')
    expect(d.model!.joints.find((j) => j.by === 'loose')!.parts).toEqual(['back', 'slat'])
    expect(d.model!.fasteners.some((f) => f.through === 'slat' || f.into === 'slat')).toBe(false)
  })

  it('is a keeper right under the wall’s strip, where it hooks over and under', () => {
    const d = hung({ backHeight: 260, hung: 'clip' })
    const [back, keeper] = ['back', 'foot'].map((id) => boardBox(part(d, id)))
    expect(keeper!.z[1]).toBeCloseTo(back!.z[1] - value(d, 'stripShort') - value(d, 'stripLong') - 1)
    expect(keeper!.z[1] - keeper!.z[0]).toBe(40)
    expect(value(d, 'bevelArm')).toBeCloseTo(back!.z[1] - value(d, 'bevelLine') - keeper!.z[0])
    expect(hung({ hung: 'clip' }).verdicts.find((v) => v.id === 'strip room')!.says).toContain('keeper')
  })

  it('is its weight, else a tool that drags lifts it off: told with ways out that work', () => {
    const light = hung({ backHeight: 260, fit: 'snug' })
    const told = light.verdicts.find((v) => v.id === 'riding up')!
    const wood = value(light, 'woodMass') * 9.80665
    expect(told.measured).toMatchObject({ value: wood, limit: 10 })
    expect(told.level).toBe(wood < 10 ? 'watch' : 'pass')
    const heavy = light.input.shop.settings
    const dragging = design({ ...light.input, shop: { ...light.input.shop, settings: { ...heavy, dragSnug: 90 } } })
    const stuck = dragging.verdicts.find((v) => v.id === 'riding up')!
    expect(stuck.level).toBe('watch')
    expect(remediesFor(dragging, stuck).map((r) => r.label)).toContain('Add a lock slat')
  })
})

describe('a holder on studs', () => {
  it('has its screws where studs may stand, long enough to go through the lining', () => {
    const input = railOf(threeMallets(), { hung: 'studs', backHeight: 200 })
    const shop = { ...input.shop, settings: { ...input.shop.settings, studSpacing: 150 } }
    const { model } = design({ ...input, shop })
    const into = model!.fasteners.filter((f) => f.into === null)
    const xs = [...new Set(into.map((f) => f.at.x))].sort((a, b) => a - b)
    const middle = boardBox(model!.boards.find((b) => b.role === 'back')!).x[1] / 2
    expect(xs.length).toBeGreaterThan(1)
    for (const x of xs) {
      const off = (x - middle) / 150
      expect(Math.abs(off * 2 - Math.round(off * 2)) * 75).toBeLessThanOrEqual(12.001)
    }
    for (const f of into) {
      expect(f.side).toBe(18 + shop.settings.wallLining)
      expect(f.bite).toBeLessThanOrEqual(shop.settings.studDepth)
    }
  })
})
