import { describe, expect, it } from 'vitest'
import { below, randomFrom, type Random } from '#core/cutting/random'
import type { Side, SnugBlock } from '#core/cutting/two-d/snug/block'
import { Joinable, type Wanted } from '#core/cutting/two-d/snug/joinable'

const EACH = 0.5

/** A block that lies as it is, some of it wasted. */
function sideOf(random: Random, number: number, fine: number): Side {
  const size = (most: number): number => 20 + below(random, most * fine) / fine
  const [along, across] = [size(600), size(60)]
  const some = { net: along * across * (0.9 + 0.1 * random()), uneven: 6 * random(), joins: below(random, 8), number }
  const holds = new Int32Array()
  const block: SnugBlock = {
    ...some,
    ...{ l: along, w: across, turns: false, holds, name: 0, largest: 0, made: 0, chance: 20 * random() },
  }
  return { block, turned: false, along, across, holds, ...some }
}

function wantedOf(random: Random): Wanted {
  const net = 60_000 * random()
  return {
    ...{ across: 20 + 60 * random(), narrower: 9 * random(), wider: 9 * random(), longest: 620 * random(), net },
    ...{ number: below(random, 900), uneven: 9 * random() - 2, waste: 3000 * random(), area: net / 0.9 },
    chance: Infinity,
  }
}

const is = (wanted: Wanted, side: Side): boolean => {
  const gap = wanted.across - side.across
  return (
    gap <= wanted.narrower &&
    -gap <= wanted.wider &&
    side.along <= wanted.longest &&
    side.net <= wanted.net &&
    side.number <= wanted.number &&
    side.uneven - EACH * side.joins + Math.abs(gap) <= wanted.uneven &&
    gap * side.net <= wanted.waste * side.across
  )
}

describe('blocks that can be joined', () => {
  for (const [name, fine, unit, sizes] of [
    ['sizes in mm', 10, 1, 700],
    ['sizes in µm', 1, 0.001, 0],
  ] as const)
    it(`are found by all that is wanted of them, with ${name}`, () => {
      const random = randomFrom(4)
      const joinable = new Joinable((size) => Math.round(size / unit + 0.137), EACH, sizes)
      const sides = Array.from({ length: 900 }, (_, i) => sideOf(random, i, fine))
      sides.forEach((side) => joinable.add(side))
      let many = 0
      for (let i = 0; i < 400; i++) {
        // with sizes to the µm only what is as wide is looked for
        const any = wantedOf(random)
        const wanted = unit === 1 ? any : { ...any, across: Math.round(any.across), narrower: 0, wider: 0 }
        const { sides: found, chance } = joinable.fitting(wanted)
        expect(chance).toBe(Math.log2(1 + found.length))
        // those of the sizes at either end may be found though they are a little too narrow or wide
        const close = found.filter((s) => is(wanted, s))
        expect(new Set(close)).toEqual(new Set(sides.filter((s) => is(wanted, s))))
        for (const s of found) expect(is({ ...wanted, narrower: wanted.narrower + 1, wider: wanted.wider + 1 }, s)).toBe(true) // prettier-ignore
        many += close.length
      }
      expect(many).toBeGreaterThan(300)
    })

  it('are left out where they leave too much to chance, but counted and known by their area', () => {
    const random = randomFrom(5)
    const joinable = new Joinable((size) => Math.round(size), EACH, 700)
    for (let i = 0; i < 900; i++) joinable.add(sideOf(random, i, 10))
    let out = 0
    for (let i = 0; i < 200; i++) {
      const wanted = wantedOf(random)
      const all = joinable.fitting(wanted)
      const likely = joinable.fitting({ ...wanted, chance: 12 })
      expect(likely.chance).toBe(all.chance)
      const isLikely = ({ block }: Side): boolean => block.chance <= 12 - all.chance
      expect(likely.sides).toEqual(all.sides.filter(isLikely))
      expect(likely.leftOut).toBe(Math.min(...all.sides.filter((s) => !isLikely(s)).map((s) => s.net)))
      out += all.sides.length - likely.sides.length
    }
    expect(out).toBeGreaterThan(100)
  })

  it('can be cut away: by their sizes, of each the shortest first, all of which no more is wasted than may be', () => {
    const random = randomFrom(7)
    const joinable = new Joinable(Math.round, 0, 100)
    const sides = Array.from({ length: 400 }, (_, i) => sideOf(random, i, 1))
    sides.forEach((side) => joinable.add(side))
    let found = 0
    for (let i = 0; i < 100; i++) {
      const across = 45 + below(random, 20)
      const [longest, number, waste] = [600 * random(), below(random, 200), 4000 * random()]
      const expected = sides
        .filter((s) => s.across <= across && s.across >= across - 3 && s.along <= longest && s.number >= number)
        .filter((s) => across * s.along - s.net <= waste)
        .sort((a, b) => a.across - b.across || a.along - b.along)
      expect(joinable.cutAway({ across, longest, number, waste }, 3)).toEqual(expected)
      found += expected.length
    }
    expect(found).toBeGreaterThan(200)
  })
})
