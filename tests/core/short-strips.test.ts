import { describe, expect, it } from 'vitest'
import { design } from '#core/choose/design'
import { usualShop } from '#core/shop/usual'
import { arranging } from '#core/wall/arrange'
import { carrierOf } from '#core/wall/backing/carried'
import { stripRuns } from '#core/wall/backing/strip-pieces'
import { wallDesign } from '#core/wall/backing/wall-model'
import { wallPiece } from '#core/wall/extent'
import { inspectWall } from '#core/wall/inspect-wall'
import { heightsFor, rowsOn } from '#core/wall/strips'
import { evenStuds, newWall, type Wall } from '#core/wall/wall'
import { mallet, railOf, threeMallets } from './samples'

const shop = usualShop()
const strips: Wall = { ...newWall('w', 'mm'), holds: 'strips' }

describe('strips in short pieces', () => {
  const short: Wall = { ...strips, width: 3600, studs: evenStuds(3600, 300, 300), strips: { ...strips.strips, piece: 700, apart: 400 } } // prettier-ignore

  it('stand row by row half a step further on, none longer than asked', () => {
    const runs = stripRuns(short, shop)
    const [first, second] = [1, 2].map((row) => runs.filter((r) => r.row === row))
    expect(first!.map((r) => [r.from, r.to])).toEqual([[0, 700], [1100, 1800], [2200, 2900]]) // prettier-ignore
    expect(second!.map((r) => [r.from, r.to])).toEqual([[550, 1250], [1650, 2350], [2750, 3450]]) // prettier-ignore
    const boards = wallDesign(short, shop).model!.boards
    expect(boards.every((b) => b.length <= 700 + 1e-6)).toBe(true)
    expect(boards).toHaveLength(runs.length)
    // as before where nothing is asked
    expect(stripRuns({ ...short, strips: { ...short.strips, piece: 0 } }, shop).filter((r) => r.row === 1)).toHaveLength(1) // prettier-ignore
  })

  it('carry what has strip on both sides of its middle, and nothing else', () => {
    const rows = rowsOn(short, shop)
    const own = wallPiece(design(railOf(threeMallets(), { hung: 'strip', backHeight: 200 })))!
    const [z] = heightsFor(rows, own, shop)
    const told = (x: number) => inspectWall({ ...short, hung: [{ holder: own.holder, x, z: z!, fixed: false }] }, [own], shop).filter((v) => v.id.startsWith('bare')) // prettier-ignore
    const on = carrierOf(short, shop)
    for (let x = 0; x < 3000; x += 37) {
      expect(told(x).length === 0).toBe(on(own, x, z!))
    }
    expect(told(100)).toEqual([])
    expect(told(720)[0]!.says).toMatch(/no strip|too little/)
    const search = arranging(short, [own], shop, { seed: 1, rounds: 50, over: () => false })
    for (;;) {
      const { value, done } = search.next()
      if (!done) continue
      expect(value.hung).toHaveLength(1)
      expect(on(own, value.hung[0]!.x, value.hung[0]!.z)).toBe(true)
      break
    }
  })

  it('let a holder that hooks over and under slide off at the end of its piece', () => {
    const clip = wallPiece(design(railOf([mallet('a', 28, 70)], { hung: 'clip', backHeight: 200 })))!
    const [z] = heightsFor(rowsOn(short, shop), clip, shop)
    const slides = (of: Wall, x: number) => inspectWall({ ...of, hung: [{ holder: clip.holder, x, z: z!, fixed: false }] }, [clip], shop).some((v) => v.id.startsWith('slides')) // prettier-ignore
    expect(slides(short, 1300)).toBe(false)
    expect(slides({ ...short, strips: { ...short.strips, apart: 20 } }, 1300)).toBe(true)
  })
})
