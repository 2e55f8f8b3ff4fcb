import { circle, roundedRectangle } from '../../geometry/outline'
import { box, rod } from '../body'
import { across, up } from '../card'
import { defineKind } from '../define'

type Key = 'length' | 'width' | 'height' | 'ventClear'

const BATTERIES = [
  'Batteries and chargers: vents free, on something that doesn’t burn, as their maker says; nobody leaves them charging unwatched.',
]

const CAUTIONS: Record<string, readonly string[]> = {
  charger: BATTERIES,
  battery: BATTERIES,
  rescue: [
    'First-aid boxes and extinguishers stay in sight, with nothing before them, at the height and in the place that the local code asks.',
  ],
}

/** Things that stand on their bottom: boxes, bottles, batteries, chargers. */
export const kind = defineKind<Key>({
  id: 'case',
  name: 'Battery, charger, case, bottle, box',
  covers: ['battery', 'charger', 'case', 'bottle', 'box', 'can', 'tin', 'first-aid box'],
  shown: 'face',
  fields: {
    length: {
      label: 'Length',
      hold: 'Looking at its front: from left to right; of a bottle, its diameter.',
      sane: [10, 900],
      typical: 110,
      line: (f) => across('face', -f.length / 2, f.length / 2, f.height),
    },
    width: {
      label: 'Width',
      hold: 'From front to back; of a bottle, its diameter again.',
      sane: [8, 700],
      typical: 75,
      line: (f) => across('side', -f.width / 2, f.width / 2, f.height),
    },
    height: {
      label: 'Height',
      hold: 'From its bottom to the top of the lid or cap.',
      sane: [8, 700],
      typical: 90,
      line: (f) => up('face', 0, f.height, -f.length / 2),
    },
    ventClear: {
      label: 'Left free at the vents',
      hold: 'How much room its maker asks for in front of the vents.',
      sane: [0, 200],
      typical: 0,
      noughtAllowed: true,
      optional: 'Left out, it is taken to have no vents.',
      line: (f) => across('side', f.width / 2, f.width / 2 + Math.max(f.ventClear, 6), f.height / 2, 'in'),
    },
  },
  options: [
    {
      key: 'type',
      label: 'It is a',
      values: [
        { value: 'box', label: 'box' },
        { value: 'bottle', label: 'bottle or can' },
        { value: 'charger', label: 'charger' },
        { value: 'battery', label: 'battery' },
        { value: 'rescue', label: 'first-aid box, extinguisher' },
      ],
    },
    {
      key: 'cord',
      label: 'Cord leaves',
      values: [
        { value: 'none', label: 'none' },
        { value: 'left', label: 'left' },
        { value: 'right', label: 'right' },
        { value: 'back', label: 'behind' },
        { value: 'front', label: 'in front' },
      ],
    },
  ],
  delicate: [
    { value: 'none', label: 'nothing' },
    { value: 'contacts', label: 'the contacts' },
    { value: 'spout', label: 'the spout' },
  ],
  attitudes: [
    { turn: 0, label: 'front out' },
    { turn: 1, label: 'end out' },
  ],
  cautions: ({ options }) => CAUTIONS[options.type!] ?? [],
  bodies: (f, { options }) => {
    const [l, w, h] = [f.length / 2, f.width / 2, f.height]
    if (options.type === 'bottle') {
      const r = Math.min(l, w)
      return [
        { ...rod('body', r, [0, h * 0.78]), density: 1000, seen: { top: circle(0, 0, r) } },
        rod('head', r * 0.42, [h * 0.78, h]),
      ]
    }
    const part = options.type === 'battery' ? 'battery' : options.type === 'charger' ? 'body' : 'handle'
    const round = Math.min(l, w, h) * (options.type === 'box' ? 0.05 : 0.18)
    return [
      {
        ...box(part, [-l, l], [-w, w], [0, h]),
        density: 900,
        seen: {
          face: roundedRectangle(-l, 0, l, h, round),
          side: roundedRectangle(-w, 0, w, h, round),
          top: roundedRectangle(-l, -w, l, w, round),
        },
      },
      ...(options.type === 'box' ? [box('head', [-l, l], [-w, w], [h * 0.8, h * 0.82])] : []),
    ]
  },
  captions: { face: 'looking at its front' },
})
