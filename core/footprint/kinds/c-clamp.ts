import { polygon } from '../../geometry/outline'
import { box, plate } from '../body'
import { across, up } from '../card'
import { defineKind } from '../define'

type Key = 'frameWidth' | 'throat' | 'opening' | 'screwLength'

/** A clamp with a C-shaped frame and a screw. */
export const kind = defineKind<Key>({
  id: 'c-clamp',
  name: 'C-clamp',
  covers: ['C-clamp', 'G-clamp', 'carriage clamp'],
  knownBy: 'opening',
  fields: {
    frameWidth: {
      label: 'Frame width',
      hold: 'Looking at its back: the frame from left to right at its thickest.',
      sane: [6, 60],
      typical: 18,
      line: (f) => across('face', -f.frameWidth / 2, f.frameWidth / 2, f.opening * 0.3),
    },
    throat: {
      label: 'Throat',
      hold: 'From the inside of the frame’s back to the middle of the screw.',
      sane: [15, 350],
      typical: 65,
      line: (f) => across('side', 0, f.throat, -f.opening * 0.35, 'in'),
    },
    opening: {
      label: 'Opening',
      hold: 'Between anvil and screw, run back as far as it goes.',
      sane: [20, 400],
      typical: (f) => f.throat * 1.6,
      optional: 'Left out, it is only drawn as a guess.',
      line: (f) => up('side', -f.opening, 0, f.throat * 1.25, 'right'),
    },
    screwLength: {
      label: 'Screw length',
      hold: 'From the frame to the end of the screw’s handle, run back as far as it goes.',
      sane: [20, 500],
      typical: (f) => f.opening * 1.1,
      line: (f) => up('side', -f.opening * 1.25 - f.screwLength, -f.opening * 1.25, f.throat * 1.25, 'right'),
    },
  },
  delicate: [
    { value: 'none', label: 'nothing' },
    { value: 'screw', label: 'the screw’s thread' },
  ],
  bodies: (f) => {
    const [t, o] = [f.throat, f.opening]
    const b = o * 0.25
    const frame = polygon([
      [-b, b * 0.9],
      [t * 1.15, b * 0.9],
      [t * 1.15, 0],
      [b * 0.3, 0],
      [0, -b * 0.3],
      [0, -o + b * 0.2],
      [t * 0.8, -o],
      [t * 1.2, -o],
      [t * 1.2, -o - b],
      [-b * 0.6, -o - b],
      [-b, -o],
    ])
    const w = f.frameWidth / 2
    const screw = t * 0.09
    return [
      plate('head', 'side', frame, -w, w),
      box('blade', [-screw, screw], [t - screw, t + screw], [-o - b - f.screwLength, -o * 0.55]),
      box(
        'blade',
        [-t * 0.4, t * 0.4],
        [t - screw, t + screw],
        [-o - b - f.screwLength, -o - b - f.screwLength + 2 * screw],
      ),
    ]
  },
  captions: { face: 'looking at its back' },
})
