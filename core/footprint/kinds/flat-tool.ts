import { circle, outlineBounds, polygon, rectangle, type Point } from '../../geometry/outline'
import { DENSITY, plate } from '../body'
import { across, up } from '../card'
import { defineKind, type Drawn, type Figures } from '../define'

type Key = 'length' | 'width' | 'thickness' | 'hole' | 'holeDown'

const shape = (f: Figures<Key>, { outline }: Drawn) => {
  if (outline) return outline
  const [l, w] = [f.length, f.width / 2]
  return polygon([
    [-w * 0.45, -l],
    [w * 0.45, -l],
    [w * 0.4, -l * 0.25],
    [w, -l * 0.14],
    [w, -l * 0.05],
    [w * 0.55, 0],
    [w * 0.3, -l * 0.1],
    [-w * 0.3, -l * 0.1],
    [-w * 0.55, 0],
    [-w, -l * 0.05],
    [-w, -l * 0.14],
    [-w * 0.4, -l * 0.25],
  ])
}
const boxOf = (f: Figures<Key>, d: Drawn) =>
  d.outline ? outlineBounds(d.outline) : { minX: -f.width / 2, maxX: f.width / 2, minY: -f.length, maxY: 0 }

/** The middle of the hole by which it may hang. */
const holeMiddle = (f: Figures<Key>, d: Drawn): Point => {
  const { minX, maxX, maxY } = boxOf(f, d)
  return { x: (minX + maxX) / 2, y: maxY - f.holeDown - f.hole / 2 }
}

/** A flat tool known by its outline. */
export const kind = defineKind<Key>({
  id: 'flat-tool',
  name: 'Wrench and flat-profiled tool',
  covers: ['wrench', 'spanner', 'square', 'bevel gauge', 'pliers', 'snips', 'template', 'rule'],
  shown: 'face',
  outline: 'needed',
  fields: {
    thickness: {
      label: 'Thickness',
      hold: 'Lying flat: from the board it lies on to its highest point.',
      sane: [0.5, 80],
      typical: 10,
      line: (f, d) => across('side', -f.thickness, 0, boxOf(f, d).maxY),
    },
    length: {
      label: 'Length',
      hold: 'From end to end, to check the outline by.',
      sane: [20, 1500],
      typical: 200,
      optional: 'Left out, it is taken from the outline.',
      line: (f, d) => up('face', boxOf(f, d).minY, boxOf(f, d).maxY, boxOf(f, d).minX),
    },
    width: {
      label: 'Width',
      hold: 'Across it at its widest, to check the outline by.',
      sane: [5, 600],
      typical: (f) => f.length * 0.22,
      optional: 'Left out, it is taken from the outline.',
      line: (f, d) => across('face', boxOf(f, d).minX, boxOf(f, d).maxX, boxOf(f, d).maxY),
    },
    hole: {
      label: 'Hole or ring',
      hold: 'Across the hole or ring by which it could hang.',
      sane: [3, 120],
      typical: (f) => f.width * 0.35,
      optional: 'Left out, it is not hung by one.',
      line: (f, d) => {
        const { x, y } = holeMiddle(f, d)
        return across('face', x - f.hole / 2, x + f.hole / 2, y, 'in')
      },
    },
    holeDown: {
      label: 'Top to the hole',
      hold: 'From its upper end down to the upper edge of that hole.',
      sane: [1, 400],
      typical: (f) => f.hole / 4,
      noughtAllowed: true,
      optional: 'Left out, the wood or steel over the hole is taken to be a quarter of it.',
      line: (f, d) => up('face', holeMiddle(f, d).y + f.hole / 2, boxOf(f, d).maxY, boxOf(f, d).maxX, 'right'),
    },
  },
  delicate: [
    { value: 'none', label: 'nothing' },
    { value: 'edge', label: 'its edges' },
    { value: 'jaws', label: 'the jaws' },
  ],
  clashes: [
    {
      fields: ['hole', 'width'],
      when: (f) => f.hole >= f.width,
      says: (say, f) => `The hole (${say(f.hole)}) is as wide as the tool (${say(f.width)}).`,
    },
  ],
  bodies: (f, d) => {
    const box = boxOf(f, d)
    const middle = holeMiddle(f, d)
    const hole = plate('hole', 'face', circle(middle.x, middle.y, f.hole / 2), -f.thickness, 0)
    const r = f.hole / 2
    return [
      {
        ...plate('blade', 'face', shape(f, d), -f.thickness, 0),
        seen: {
          side: rectangle(-f.thickness, box.minY, 0, box.maxY),
          top: rectangle(box.minX, -f.thickness, box.maxX, 0),
        },
      },
      ...(d.has('hole')
        ? [
            {
              ...hole,
              density: -DENSITY.blade,
              seen: {
                side: rectangle(-f.thickness, middle.y - r, 0, middle.y + r),
                top: rectangle(middle.x - r, -f.thickness, middle.x + r, 0),
              },
            },
          ]
        : []),
    ]
  },
  captions: { face: 'lying flat' },
})
