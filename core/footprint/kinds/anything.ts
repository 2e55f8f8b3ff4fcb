import { outlineBounds, roundedRectangle } from '../../geometry/outline'
import { plate } from '../body'
import { across, up } from '../card'
import { defineKind, type Drawn, type Figures } from '../define'

type Key = 'width' | 'height' | 'depth' | 'loop'

const shape = (f: Figures<Key>, { outline }: Drawn) =>
  outline ?? roundedRectangle(-f.width / 2, -f.height, f.width / 2, 0, Math.min(f.width, f.height) * 0.08)

/** Whatever no other kind fits: a bounding box, or an outline and a thickness. */
export const kind = defineKind<Key>({
  id: 'anything',
  name: 'Anything else',
  covers: ['thing', 'apron', 'cord', 'brush', 'ear defenders', 'jig'],
  shown: 'face',
  outline: 'possible',
  fields: {
    width: {
      label: 'Width',
      hold: 'From left to right as it is to hang or stand.',
      sane: [2, 2000],
      typical: 120,
      line: (f, d) => {
        const b = outlineBounds(shape(f, d))
        return across('face', b.minX, b.maxX, b.maxY)
      },
    },
    height: {
      label: 'Height',
      hold: 'From top to bottom as it is to hang or stand.',
      sane: [2, 3000],
      typical: 180,
      line: (f, d) => {
        const b = outlineBounds(shape(f, d))
        return up('face', b.minY, b.maxY, b.minX)
      },
    },
    depth: {
      label: 'Depth',
      hold: 'From front to back, or how thick it lies.',
      sane: [0.5, 1500],
      typical: 50,
      line: (f, d) => across('side', -f.depth, 0, outlineBounds(shape(f, d)).maxY),
    },
    loop: {
      label: 'Loop or hole',
      hold: 'The width of the loop or hole by which it could hang.',
      sane: [3, 200],
      typical: 14,
      optional: 'Left out, it is not hung by one.',
      line: (f, d) => {
        const top = outlineBounds(shape(f, d)).maxY
        return across('face', -f.loop / 2, f.loop / 2, top - f.loop, 'in')
      },
    },
  },
  delicate: [
    { value: 'none', label: 'nothing' },
    { value: 'front', label: 'its front' },
    { value: 'edge', label: 'an edge or point' },
  ],
  attitudes: [
    { turn: 0, label: 'front out' },
    { turn: 1, label: 'out from the wall' },
  ],
  bodies: (f, d) => [plate('body', 'face', shape(f, d), -f.depth, 0)],
  captions: { face: 'looking at its front' },
})
