import type { FieldDeclaration, OptionDeclaration } from '../../kind'

/** In the order in which a person with a rule in hand would take them. */
export const fields: readonly FieldDeclaration[] = [
  {
    key: 'handleWidth',
    label: 'Handle width',
    hold: 'Just under the head, looking at its face: the handle from left to right.',
    sane: [10, 80],
    typical: 28,
  },
  {
    key: 'handleThickness',
    label: 'Handle thickness',
    hold: 'Just under the head, seen from its side: the handle in the direction in which it strikes.',
    sane: [8, 80],
    typical: 28,
    optional: 'Left out, it is taken as the handle width.',
  },
  {
    key: 'headWidth',
    label: 'Head width',
    hold: 'Looking at the face: the head from left to right at its widest.',
    sane: [12, 250],
    typical: 68,
  },
  {
    key: 'headLength',
    label: 'Head length',
    hold: 'Seen from its side: from the face to the far end of the head.',
    sane: [25, 400],
    typical: 130,
  },
  {
    key: 'faceReach',
    label: 'Face reach',
    hold: 'From the middle of the handle to the face, for a head that sits unevenly.',
    sane: [10, 300],
    typical: 65,
    optional: 'Left out, the handle is taken to sit in the middle of the head.',
  },
  {
    key: 'headHeight',
    label: 'Head height',
    hold: 'From the underside of the head, where the handle leaves it, to its top.',
    sane: [12, 300],
    typical: 80,
    optional: 'Left out, it is only drawn as a guess.',
  },
  {
    key: 'handleLength',
    label: 'Handle length',
    hold: 'From the underside of the head to the end of the handle.',
    sane: [60, 1500],
    typical: 260,
    optional: 'Left out, it is only drawn as a guess.',
  },
]

export const options: readonly OptionDeclaration[] = [
  {
    key: 'head',
    label: 'Head',
    values: [
      { value: 'block', label: 'block' },
      { value: 'round', label: 'round' },
      { value: 'peen', label: 'face and peen' },
      { value: 'blade', label: 'blade' },
    ],
  },
  {
    key: 'neck',
    label: 'Handle’s section',
    values: [
      { value: 'round', label: 'round or oval' },
      { value: 'rectangular', label: 'rectangular' },
    ],
  },
]
