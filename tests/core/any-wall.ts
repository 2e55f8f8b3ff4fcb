import fc from 'fast-check'
import { BEHIND, HOLDS as SCHOOLS, THING_KINDS, newWall, type Wall } from '#core/wall/wall'

/** Any wall, however odd: narrow, without studs, full of things, out of plumb. */
export const anyWall: fc.Arbitrary<Wall> = fc
  .record({
    width: fc.integer({ min: 300, max: 6000 }),
    height: fc.integer({ min: 300, max: 3600 }),
    holds: fc.constantFrom(...SCHOOLS.filter((h) => h !== 'studs')),
    behind: fc.constantFrom(...BEHIND),
    frame: fc.option(fc.record({ x: fc.integer({ min: 0, max: 2000 }), z: fc.integer({ min: 0, max: 1500 }), width: fc.integer({ min: 60, max: 2600 }), height: fc.integer({ min: 60, max: 1500 }) }), { nil: undefined }), // prettier-ignore
    rack: fc.option(fc.record({ from: fc.integer({ min: 0, max: 900 }), to: fc.integer({ min: 0, max: 6000 }), low: fc.integer({ min: 0, max: 900 }), high: fc.integer({ min: 100, max: 3000 }), pitch: fc.integer({ min: 60, max: 900 }), ledgers: fc.integer({ min: 2, max: 4 }), lean: fc.integer({ min: 0, max: 15 }) }), { nil: undefined }), // prettier-ignore
    studs: fc.uniqueArray(fc.integer({ min: 0, max: 6000 }), { maxLength: 12 }),
    things: fc.array(
      fc.record({ kind: fc.constantFrom(...THING_KINDS), x: fc.integer({ min: -100, max: 6000 }), z: fc.integer({ min: 0, max: 3000 }), width: fc.integer({ min: 20, max: 2000 }), height: fc.integer({ min: 20, max: 2200 }) }), // prettier-ignore
      { maxLength: 5 },
    ),
    corner: fc.integer({ min: -20, max: 20 }),
    piece: fc.constantFrom(0, 0, 0.001, 420, 1100),
    apart: fc.integer({ min: 0, max: 900 }),
  })
  .map(({ corner, things, studs, piece, apart, frame, rack, ...w }): Wall => ({
    ...newWall('w', 'mm'),
    ...w,
    strips: { ...newWall('w', 'mm').strips, piece, apart },
    studs: studs.filter((s) => s <= w.width).sort((a, b) => a - b),
    things: things.map((t, i) => ({ ...t, id: `t${i}`, name: '' })),
    corners: { left: [0, corner, -corner], right: [corner, 0, 0] },
    ...(frame ? { frame } : {}),
    ...(rack ? { rack } : {}),
  }))
