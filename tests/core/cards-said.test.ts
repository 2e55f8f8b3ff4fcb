import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boardMarks } from '#core/bench/marks'
import type { Step } from '#core/bench/steps/step'
import { benchSteps } from '#core/bench/steps/steps'
import { design } from '#core/choose/design'
import { rootDiameter } from '#core/fit/screw'
import { kindOf } from '#core/footprint/kinds'
import { plainTool, type Tool } from '#core/footprint/tool'
import { pilotBit } from '#core/forms/fastening/choose-fastener'
import { boardOf, type HolderModel } from '#core/model/model'
import { rodBox, rodEnd } from '#core/model/standing'
import { plainBit } from '#core/shop/shop'
import { usualShop } from '#core/shop/usual'

const shop = usualShop('S', 'mm', 'full')

const tool = (id: string, kind: string, measures: Record<string, number>): Tool => ({
  ...plainTool(id, kind, `Tool ${id}`),
  sure: 'caliper',
  mass: 0.4,
  measures,
})

/** What the cards say of a holder of these. */
function cardsOf(form: string, tools: Tool[], choices: Record<string, string | number> = {}) {
  const seats = tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 as const }))
  const { model } = design({ shop, tools: new Map(tools.map((t) => [t.id, t])), holder: { id: 'h', name: 'H', form, seats, choices } }) // prettier-ignore
  const { steps } = benchSteps({ model: model!, shop, cuts: [] }, 'h')
  const one = (id: string): Step => steps.find((s) => s.id.startsWith(id))!
  return { model: model!, steps, one }
}

const handle = (id: string, across = 30) => tool(id, 'long-handled', { handleDiameter: across, overallLength: 1300, headWidth: 150, headDepth: 60 }) // prettier-ignore
const hammer = (id: string) => tool(id, 'headed', { handleWidth: 25, handleThickness: 30, headWidth: 28, headLength: 110, headHeight: 30, handleLength: 260 }) // prettier-ignore

const withRods = (model: HolderModel) => model.rods.filter((r) => r.role !== 'pipe').length > 0

describe('what the cards say', () => {
  it('of a saw: the band saw only as far as the rail goes through its frame', () => {
    const sawn = (count: number) => cardsOf('finger-rail', Array.from({ length: count }, (_, i) => hammer(`h${i}`))).one('saw:rail').settings[0]!.value // prettier-ignore
    expect(sawn(2)).toBe('Band saw')
    // the slots in the middle stand further from either end than its throat
    expect(sawn(15)).toBe('Jigsaw')
  })

  it('of batteries only where there may be one', () => {
    expect(cardsOf('finger-rail', [hammer('a')]).one('prove').says[0]).toBe('Each tool in and out with one hand. Pull at the front edge; knock the wall.') // prettier-ignore
    const typical = Object.fromEntries(kindOf('pistol-grip')!.fields.map((f) => [f.key, f.typical]))
    expect(cardsOf('finger-rail', [tool('d', 'pistol-grip', typical)]).one('prove').says[0]).toContain(
      'battery on and off',
    )
  })

  it('of rods before the second end only where rods are fixed between two ends', () => {
    const said = (form: string, tools: Tool[]) => {
      const { model, one } = cardsOf(form, tools)
      expect(withRods(model)).toBe(true)
      return one('fit').says.join(' ').includes('second end')
    }
    expect(said('twin-rail', [hammer('a'), hammer('b')])).toBe(true)
    expect(said('peg-rail', [hammer('a'), hammer('b')])).toBe(false)
    expect(said('roll-hanger', [tool('a', 'ring', { outerDiameter: 110, holeDiameter: 76, thickness: 48 })])).toBe(false) // prettier-ignore
  })

  it('calls what is numbered by its name alone', () => {
    const hooks = cardsOf('hook', [1, 2].map((i) => tool(`${i}`, 'ring', { outerDiameter: 120, holeDiameter: 80, thickness: 6 }))) // prettier-ignore
    const said = hooks.steps.flatMap((s) => [s.title, ...s.says, ...s.notYet]).join('\n')
    expect(said).toContain('Hook 1 stands between')
    expect(said).toContain('Screws into hook 2')
    expect(said).not.toMatch(/the hook \d/i)
    expect(hooks.one('join').says.join()).toContain('countersink in the back')
    const pipes = cardsOf('pipe-socket', [handle('a'), handle('b')])
    expect(pipes.one('slant').title).toBe('Cut the mouths of pipe 1 and pipe 2')
  })

  it('keeps nothing back that is in no driver’s way', () => {
    const { model, steps } = cardsOf('pipe-socket', [handle('a'), handle('b')])
    const stop = model.joints.find((j) => j.parts[0] === 'stop')!
    const card = steps.find((s) => s.kind === 'join' && s.parts.includes('stop'))!
    expect(model.fasteners.some((f) => f.joint === stop.order)).toBe(true)
    expect(card.notYet).toEqual([])
  })

  it('keeps the strip back that would cover screws, and names it alone', () => {
    const { steps } = cardsOf('finger-rail', [hammer('a'), hammer('b')], { hung: 'strip' })
    expect(steps.flatMap((s) => s.notYet)).toEqual(['Not yet the strip: it would cover these screws.'])
  })

  it('says where edges are eased: openings where there are some, else what tools are drawn over', () => {
    const eased = (form: string, tools: Tool[]) => cardsOf(form, tools).one('ease').says[0]
    expect(eased('finger-rail', [hammer('a')])).toBe('Most where tools are drawn across: every opening of the rail.')
    const box = tool('a', 'case', { length: 100, width: 80, height: 120 })
    expect(eased('tray', [box])).toBe('Most where tools are drawn across: the edges of the floor and front.')
  })

  it('has waste crossed only beside saw lines, and says where what stands out from the wall begins', () => {
    const rail = cardsOf('finger-rail', [hammer('a')])
      .one('mark:rail')
      .says.join(' ')
    expect(rail).toContain('cross the waste side')
    const { one } = cardsOf('twin-rail', [hammer('a')])
    expect(one('mark:left').says.join(' ')).not.toContain('cross the waste side')
    expect(one('mark:left').says[0]).toContain('its end at the wall being the datum end')
    const arms = cardsOf('hook', [tool('1', 'ring', { outerDiameter: 120, holeDiameter: 80, thickness: 6 })])
    expect(arms.one('shape').says[0]).toBe('Its datum end is the one at the wall.')
  })

  it('speaks of an upper row only where there is a lower one', () => {
    const rows = (model: HolderModel) => new Set(model.fasteners.filter((f) => f.into === null).map((f) => f.at.z)).size
    const two = cardsOf('finger-rail', [hammer('a'), hammer('b')])
    expect([rows(two.model), two.one('hang').says[0]!.includes('upper row')]).toEqual([2, true])
    const clamp = tool('a', 'spring-clamp', { mouth: 30, jawWidth: 30, length: 110 })
    const one = cardsOf('clip-bar', [clamp, { ...clamp, id: 'b' }])
    expect([rows(one.model), one.one('hang').says[0]!.includes('upper row')]).toEqual([1, false])
    expect(one.one('hang').settings.map((s) => s.label)).toContain('Clearance hole')
  })
})

describe('two openings for one tool', () => {
  const bit = (id: string) => tool(id, 'bit', { shankDiameter: 8, shankLength: 40, cuttingDiameter: 20, overallLength: 80 }) // prettier-ignore

  it('are told apart by the edge that they are nearer to where one stands above the other', () => {
    const { model, one } = cardsOf('magnet-ledge', [bit('a'), bit('b')])
    const ledge = boardOf(model, 'ledge')
    const [first, second] = ledge.openings.filter((o) => o.seat === 's-a')
    expect(first!.centre.x).toBeCloseTo(second!.centre.x)
    const { marks } = boardMarks(model, ledge, shop)
    expect(marks.map((m) => m.label).filter((l) => l.startsWith('Centre'))).toEqual(['Centre 1, lower', 'Centre 1, upper', 'Centre 2, lower', 'Centre 2, upper']) // prettier-ignore
    expect(one('bore').says[0]).toBe('Ledge: 2 at each of places 1, 2.')
  })

  it('are to the left and the right where they stand side by side', () => {
    const { model } = cardsOf('peg-rail', [hammer('a')])
    const rail = boardOf(model, 'rail')
    expect(rail.openings).toHaveLength(2)
    expect(boardMarks(model, rail, shop).marks.map((m) => m.label)).toEqual(['Datum end', 'Centre 1, left', 'Centre 1, right', 'End']) // prettier-ignore
  })
})

describe('brads', () => {
  it('keep from the ends of what they go into as far as what is driven without a hole must', () => {
    const { model } = cardsOf('tray', [tool('a', 'case', { length: 200, width: 80, height: 120 })])
    const brads = model.fasteners.filter((f) => f.kind === 'brad' && f.into === 'shelf')
    const { length } = boardOf(model, 'shelf')
    expect(brads.length).toBeGreaterThan(1)
    for (const f of brads) expect(Math.min(f.at.x, length - f.at.x)).toBeGreaterThanOrEqual(7 * f.diameter - 1e-6)
  })
})

describe('a pilot hole', () => {
  it('is bored by a bit of about its size, or told as it should be', () => {
    const wanted = 0.7 * rootDiameter(8)
    expect(pilotBit(8, 400, { bits: [2, 2.5, 3].map(plainBit).map((b) => ({ ...b, kind: 'twist' })) })).toBe(2.5)
    // 3 mm is nine tenths of the root: in soft wood it would hold less than was reckoned
    expect(pilotBit(8, 400, { bits: [{ ...plainBit(3), kind: 'twist' }] })).toBeCloseTo(wanted)
    expect(pilotBit(8, 680, { bits: [{ ...plainBit(3), kind: 'twist' }] })).toBe(3)
  })
})

it('a rod’s box ends where its ends do', () =>
  fc.assert(
    fc.property(fc.double({ min: 0, max: Math.PI, noNaN: true }), (angle) => {
      const toward = { x: 0, y: Math.cos(angle), z: Math.sin(angle) }
      const rod = { id: 'r', name: 'R', role: 'pin' as const, material: '', stock: '', diameter: 20, length: 100, at: { x: 0, y: 0, z: 0 }, toward, seats: [], figures: { length: '', diameter: '' } } // prettier-ignore
      const box = rodBox(rod)
      const end = rodEnd(rod)
      // every point of its two end circles lies in the box, and some lie on it
      const ring = Array.from({ length: 720 }, (_, i) => (i / 360) * Math.PI).flatMap((a) => [rod.at, end].map((c) => ({ y: c.y + 10 * Math.sin(a) * toward.z, z: c.z - 10 * Math.sin(a) * toward.y }))) // prettier-ignore
      for (const axis of ['y', 'z'] as const) {
        expect(Math.max(...ring.map((p) => p[axis]))).toBeCloseTo(box[axis][1], 3)
        expect(Math.min(...ring.map((p) => p[axis]))).toBeCloseTo(box[axis][0], 3)
      }
    }),
    { numRuns: 50 },
  ))
