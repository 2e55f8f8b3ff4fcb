import { polygon, roundedRectangle } from '../../geometry/outline'
import { box, plate } from '../body'
import { across, up } from '../card'
import { defineKind } from '../define'

type Key =
  'plateThickness' | 'spineThickness' | 'depthHeel' | 'depthToe' | 'length' | 'handleThickness' | 'handleHeight'

/** A handsaw, hung handle up by its plate. */
export const kind = defineKind<Key>({
  id: 'handsaw',
  name: 'Handsaw',
  covers: ['saw', 'handsaw', 'pull saw', 'tenon saw', 'dovetail saw', 'back saw', 'keyhole saw'],
  fields: {
    plateThickness: {
      label: 'Plate thickness',
      hold: 'The plate by itself, clear of the set of the teeth.',
      sane: [0.2, 3],
      typical: 0.9,
      line: (f) => across('face', -f.plateThickness / 2, f.plateThickness / 2, -f.length * 0.6, 'in'),
    },
    spineThickness: {
      label: 'Back thickness',
      hold: 'The stiffening back along the plate, where there is one.',
      sane: [0, 20],
      typical: 0,
      noughtAllowed: true,
      optional: 'Left out, the saw is taken to have no back.',
      line: (f) =>
        across('face', -Math.max(3, f.spineThickness) / 2, Math.max(3, f.spineThickness) / 2, -f.length * 0.3, 'in'),
    },
    depthHeel: {
      label: 'Depth at heel',
      hold: 'From the back to the teeth, next to the handle.',
      sane: [15, 220],
      typical: 110,
      line: (f) => across('side', 0, f.depthHeel, f.handleHeight),
    },
    depthToe: {
      label: 'Depth at toe',
      hold: 'From the back to the teeth, at the far end.',
      sane: [5, 220],
      typical: (f) => f.depthHeel * 0.55,
      line: (f) => across('side', 0, f.depthToe, -f.length, 'below'),
    },
    length: {
      label: 'Plate length',
      hold: 'From the handle to the far end of the plate.',
      sane: [80, 1000],
      typical: 400,
      line: (f) => up('side', -f.length, 0, 0),
    },
    handleThickness: {
      label: 'Handle thickness',
      hold: 'The handle from left to right at its thickest.',
      sane: [8, 60],
      typical: 23,
      line: (f) => across('face', -f.handleThickness / 2, f.handleThickness / 2, f.handleHeight),
    },
    handleHeight: {
      label: 'Handle length',
      hold: 'From the plate’s end to the end of the handle.',
      sane: [30, 400],
      typical: 120,
      optional: 'Left out, it is only drawn as a guess.',
      line: (f) => up('side', 0, f.handleHeight, 0),
    },
  },
  options: [
    {
      key: 'handle',
      label: 'Handle',
      values: [
        { value: 'closed', label: 'closed' },
        { value: 'straight', label: 'straight' },
      ],
    },
  ],
  delicate: [
    { value: 'teeth', label: 'the teeth' },
    { value: 'none', label: 'nothing' },
  ],
  clashes: [
    {
      fields: ['depthToe', 'depthHeel'],
      // a saw that cuts on the pull, with a straight handle, is deepest at its toe
      when: (f, d) => d.options.handle === 'closed' && f.depthToe > f.depthHeel,
      says: (say, f) => `The toe (${say(f.depthToe)}) is deeper than the heel (${say(f.depthHeel)}): exchange the two.`,
    },
    {
      fields: ['plateThickness', 'spineThickness'],
      when: (f) => f.spineThickness > 0 && f.plateThickness >= f.spineThickness,
      says: (say, f) => `The plate (${say(f.plateThickness)}) is thicker than its back (${say(f.spineThickness)}).`,
    },
    {
      fields: ['plateThickness', 'handleThickness'],
      when: (f) => f.plateThickness >= f.handleThickness,
      says: (say, f) => `The plate (${say(f.plateThickness)}) is thicker than the handle (${say(f.handleThickness)}).`,
    },
  ],
  bodies: (f, { options }) => {
    const [d, l, h] = [f.depthHeel, f.length, f.handleHeight]
    const grip = f.handleThickness / 2
    const outline =
      options.handle === 'straight'
        ? roundedRectangle(d * 0.15, 0, Math.max(d * 0.75, d * 0.15 + 20), h, 12)
        : polygon([
            [d * 0.02, 0],
            [d * 0.98, 0],
            [d * 1.02, h * 0.2],
            [d * 0.9, h * 0.45],
            [d * 1.05, h],
            [d * 0.3, h * 0.92],
            [d * 0.1, h * 0.6],
          ])
    return [
      plate(
        'blade',
        'side',
        polygon([
          [0, -l],
          [f.depthToe, -l],
          [d, 0],
          [0, 0],
        ]),
        -f.plateThickness / 2,
        f.plateThickness / 2,
      ),
      ...(f.spineThickness > 0
        ? [box('head', [-f.spineThickness / 2, f.spineThickness / 2], [0, Math.min(10, f.depthToe * 0.2)], [-l, 0])]
        : []),
      plate('handle', 'side', outline, -grip, grip),
      ...(options.handle === 'straight'
        ? []
        : [plate('hole', 'side', roundedRectangle(d * 0.36, h * 0.4, d * 0.66, h * 0.74, d * 0.12), -grip, grip)]),
    ]
  },
  captions: { face: 'looking at its back' },
})
