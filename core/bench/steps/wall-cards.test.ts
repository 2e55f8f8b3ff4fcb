import { describe, expect, it } from 'vitest'
import { joined } from '../../wall/backing/strip-pieces'
import { wallDesign } from '../../wall/backing/wall-model'
import { newWall, type Holds, type Wall } from '../../wall/wall'
import { usualShop } from '../../shop/usual'
import { boardMarks } from '../marks'
import { sawFor } from './machines'
import { benchSteps } from './steps'

const shop = usualShop('s', 'mm', 'full')
const wall = (holds: Holds): Wall => ({
  ...newWall('w', 'mm'),
  holds,
  things: [
    { id: 'o', kind: 'outlet', name: '', x: 900, z: 1100, width: 80, height: 120 },
    { id: 'd', kind: 'door', name: '', x: 3000, z: 0, width: 600, height: 2000 },
  ],
})
const cards = (holds: Holds) => {
  const model = wallDesign(wall(holds), shop).model!
  return { model, steps: benchSteps({ model, shop, cuts: [] }, 'w').steps }
}

describe('the cards of a wall of sheets', () => {
  const { model, steps } = cards('panel')
  const said = (id: string) => steps.find((s) => s.id === id)!

  it('give all four lines of a cut-out, on the face that is seen', () => {
    const mark = said('mark:sheet-1')
    expect(mark.settings).toEqual([{ label: 'Mark on', value: 'the face that looks out' }])
    expect(mark.says).toContain('Outlet 1: cut out between 897 mm · 983 mm from the datum end and 1097 mm · 1223 mm from the lower edge.') // prettier-ignore
    const board = model.boards.find((b) => b.id === 'sheet-1')!
    expect(boardMarks(model, board, shop).marks.map((m) => m.label)).toContain('Centre outlet 1')
  })

  it('mark screws stud by stud', () => {
    const lines = said('mark:sheet-2').says.filter((s) => s.startsWith('Screws into the wall'))
    expect(lines).toHaveLength(2)
    expect(lines[1]).toContain('600 mm from the datum end, 10 mm · 307.5 mm')
  })

  it('saw a cut-out with what gets into a board, or in from the edge that it reaches', () => {
    expect(said('saw:sheet-1').settings).toEqual([{ label: 'Saw', value: 'Jigsaw' }])
    expect(said('saw:sheet-1').says).toContain('A starting hole in the waste, beside the line, then round along it.')
    expect(said('saw:sheet-3').says.join(' ')).toContain('in from there along the lines')
    expect(said('saw:sheet-3').says.join(' ')).not.toContain('starting hole')
    expect(said('saw:sheet-1').cautions.join(' ')).not.toContain('Fingers')
  })

  it('say that a sheet as large as it comes is whole, and which saw would get in where none does', () => {
    const inches = usualShop('s', 'in', 'full')
    const whole = wallDesign({ ...newWall('w', 'in'), holds: 'panel' }, inches).model!
    const cut = benchSteps({ model: whole, shop: inches, cuts: [] }, 'w').steps.find((s) => s.kind === 'cut')!
    expect(cut.says).toEqual(['3 of 48" × 96": sheet 1, sheet 2, sheet 3; whole, as it comes'])
    const without = { ...shop, saws: shop.saws.filter((s) => s.kind !== 'jigsaw') }
    const told = benchSteps({ model, shop: without, cuts: [] }, 'w').steps.find((s) => s.id === 'saw:sheet-1')!
    expect(told.settings[0]!.value).toContain('keyhole')
  })

  it('name no clearance hole where plugs go through board and wall in one', () => {
    const masonry = wallDesign({ ...wall('panel'), behind: 'masonry' }, shop).model!
    const up = benchSteps({ model: masonry, shop, cuts: [] }, 'w').steps.find((s) => s.id === 'up:sheet-1')!
    expect(up.settings[0]!.value).toContain('Plug')
    expect(up.settings.map((s) => s.label)).not.toContain('Clearance hole')
  })

  it('ease no edges that tools are drawn across, and stand on the floor without a batten', () => {
    expect(said('ease').says.join(' ')).not.toMatch(/tools|glued/)
    expect(said('wall').says.join(' ')).toMatch(/shim the first/)
    expect(said('wall').says.join(' ')).not.toContain('batten')
    expect(said('up:sheet-1').settings.map((s) => s.label)).toContain('Clearance hole')
  })
})

describe('the cards of strips', () => {
  it('reach to a stud in whole inches, though it is a millionth of one further than the board', () => {
    const studs = newWall('w', 'in').studs
    expect(joined({ from: studs[2]!, to: studs.at(-1)! }, studs, 1219.2)).toHaveLength(2)
  })

  it('join strips on studs that hold both pieces twice, where there are such', () => {
    const studs = [600, 1200, 1800, 2400, 3000]
    expect(joined({ from: 0, to: 2990 }, studs, 2400)).toEqual([{ from: 0, to: 1800 }, { from: 1800, to: 2990 }]) // prettier-ignore
    expect(joined({ from: 0, to: 3600 }, [...studs, 3600], 2400).map((p) => p.to)).toEqual([2400, 3600])
    // no more pieces than there have to be
    expect(joined({ from: 0, to: 4790 }, [...studs, 3600, 4200], 2400)).toHaveLength(2)
    const d = wallDesign(wall('strips'), shop)
    expect(d.verdicts.filter((v) => v.id === 'loose strips').map((v) => v.says)).toEqual(['Strip 3.1: on fewer than two studs. Leave it out, or hang nothing heavy there.']) // prettier-ignore
  })

  it('name alike ones together', () => {
    const { steps } = cards('strips')
    expect(steps.find((s) => s.id === 'mark:strips')!.says).toContain('Strip 1.1, strip 2.1, strip 4.1, strip 5.1 and strip 6.1, 1800 mm: 600 mm · 1200 mm · 1780 mm from the left end.') // prettier-ignore
  })

  it('on sheets speak of no studs where their screws reach none', () => {
    const { steps } = cards('backed')
    expect(steps.find((s) => s.id === 'up:strip-1-1')!.says.at(-1)).toBe('Screws at the marks, into the sheet, in the body of the strip, never in its bevel.') // prettier-ignore
    expect(
      cards('strips')
        .steps.find((s) => s.id === 'up:strip-1-1')!
        .says.at(-1),
    ).toContain('One screw in each stud')
  })
})

describe('a band saw', () => {
  const work = { long: 60, fence: 60, thickness: 18, tilt: 0 }

  it('takes a board no further past its blade than its throat', () => {
    expect(sawFor(shop, 'slot', { ...work, reach: 290 })!.kind).toBe('band saw')
    expect(sawFor(shop, 'slot', { ...work, reach: 310 })!.kind).toBe('jigsaw')
  })

  it('never saws a closed opening', () => expect(sawFor(shop, 'inside', { ...work, reach: 10 })!.kind).toBe('jigsaw'))

  it('is no more asked to cut whole sheets across than a table saw', () => {
    expect(sawFor(shop, 'cross', { ...work, long: 1200 })!.kind).toBe('track saw')
    expect(sawFor(shop, 'cross', { ...work, long: 500 })!.kind).toBe('table saw')
  })
})
