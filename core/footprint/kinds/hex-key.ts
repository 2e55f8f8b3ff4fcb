import { polygon } from '../../geometry/outline'
import { plate } from '../body'
import { across, up } from '../card'
import { defineKind } from '../define'
import type { Measured } from '../kind'
import { less, part } from '../neck'
import { standingIn } from '../shank'

/** A hexagon across its corners. @param flats its size across flats, mm */
const acrossCorners = (flats: number): Measured => ({
  value: (2 * flats) / Math.sqrt(3),
  expression: '2 × {acrossFlats} / √3',
  moves: { acrossFlats: 2 / Math.sqrt(3) },
})

type Key = 'acrossFlats' | 'shortLeg' | 'longLeg'

/** A bent key, stood on its long leg. */
export const kind = defineKind<Key>({
  id: 'hex-key',
  name: 'Bent key',
  covers: ['hex key', 'socket key', 'star key', 'key'],
  shown: 'face',
  knownBy: 'acrossFlats',
  fields: {
    acrossFlats: {
      label: 'Size across flats',
      hold: 'Across two flats that lie opposite.',
      sane: [0.5, 30],
      typical: 5,
      line: (f) => across('face', -f.acrossFlats / 2, f.acrossFlats / 2, f.acrossFlats - f.longLeg, 'below'),
    },
    shortLeg: {
      label: 'Short leg',
      hold: 'From the outside of the bend to the end of the short leg.',
      sane: [6, 150],
      typical: 30,
      line: (f) => across('face', -f.acrossFlats / 2, f.shortLeg - f.acrossFlats / 2, f.acrossFlats),
    },
    longLeg: {
      label: 'Long leg',
      hold: 'From the outside of the bend to the end of the long leg.',
      sane: [20, 450],
      typical: (f) => f.shortLeg * 2.8,
      line: (f) => up('face', f.acrossFlats - f.longLeg, f.acrossFlats, -f.acrossFlats / 2),
    },
  },
  delicate: [
    { value: 'none', label: 'nothing' },
    { value: 'tip', label: 'the ball end' },
  ],
  clashes: [
    {
      fields: ['shortLeg', 'longLeg'],
      when: (f) => f.shortLeg > f.longLeg,
      says: (say, f) => `The short leg (${say(f.shortLeg)}) is longer than the long one (${say(f.longLeg)}).`,
    },
    {
      fields: ['acrossFlats', 'shortLeg'],
      when: (f) => f.acrossFlats >= f.shortLeg,
      says: (say, f) => `It is as thick (${say(f.acrossFlats)}) as its short leg is long (${say(f.shortLeg)}).`,
    },
  ],
  // the underside of the bend lies at nought: it rests by that
  bodies: (f) => {
    const h = f.acrossFlats / 2
    const outline = polygon([
      [-h, 2 * h - f.longLeg],
      [h, 2 * h - f.longLeg],
      [h, 0],
      [f.shortLeg - h, 0],
      [f.shortLeg - h, 2 * h],
      [0, 2 * h],
      [-h, h],
    ])
    return [plate('blade', 'face', outline, -h, h)]
  },
  shank: standingIn(['acrossFlats', 'longLeg', 'shortLeg'], (m) => ({
    front: part(m, 'acrossFlats', 0.5),
    back: part(m, 'acrossFlats', 0.5),
    right: part(m, 'shortLeg'),
    left: part(m, 'acrossFlats', 0.5),
    across: acrossCorners(m.acrossFlats!),
    length: less(m, 'longLeg', 'acrossFlats'),
    overall: part(m, 'longLeg'),
    shoulders: [],
    sharp: false,
  })),
})
