import Module from 'manifold-3d'
import { bench, describe } from 'vitest'
import { design } from '#core/choose/design'
import { collisions, partSolids } from '#core/solid/collisions'
import { solidScene } from '#core/solid/scene'
import { takenOut } from '#core/solid/taking'
import { mallet, railOf } from '../core/samples'

const kernel = await Module()
kernel.setup()

/** Two boards, strip and foot, eight tools: twelve parts. */
const { model, input } = design(
  railOf(
    Array.from({ length: 8 }, (_, i) => mallet(`t${i}`, 24 + i, 60 + 4 * i)),
    { hung: 'strip', backHeight: 260 },
  ),
)
const parts = partSolids(kernel, model!, input.tools)

describe('solids of a holder of twelve parts', () => {
  bench('solids', () => {
    for (const { solid } of partSolids(kernel, model!, input.tools)) {
      solid.volume()
      solid.delete()
    }
  })
  bench('collisions', () => void collisions(kernel, parts))
  bench('ways out', () => void takenOut(kernel, model!, input.tools, parts))
  bench('solids, collisions, meshes', () => void solidScene(kernel, model!, input.tools, input.shop))
})
