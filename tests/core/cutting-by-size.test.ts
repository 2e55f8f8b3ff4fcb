import { expect, it } from 'vitest'
import { below, randomFrom } from '#core/cutting/random'
import type { Side } from '#core/cutting/two-d/snug/block'
import { BySize } from '#core/cutting/two-d/snug/by-size'

it('blocks are found by their size: of a width all whose length lies between two, the shortest first, equal ones as they came', () => {
  const random = randomFrom(3)
  const sized = new BySize()
  const all = Array.from({ length: 500 }, (_, number) => {
    const [across, along] = [below(random, 12), below(random, 60)]
    const side = { number, along, across } as Side
    sized.add(across, along, side)
    return side
  })
  for (let across = -1; across <= 12; across++)
    for (let i = 0; i < 20; i++) {
      const shortest = below(random, 70) - 5
      const longest = shortest + below(random, 20) - 2
      const expected = all
        .filter((s) => s.across === across && s.along >= shortest && s.along <= longest)
        .sort((a, b) => a.along - b.along || a.number - b.number)
      const found: Side[] = []
      sized.gather(across, shortest, longest, found)
      expect(found).toEqual(expected)
    }
})
