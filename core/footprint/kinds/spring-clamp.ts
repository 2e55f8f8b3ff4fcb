import { polygon } from '../../geometry/outline'
import { plate } from '../body'
import { across, up } from '../card'
import { defineKind } from '../define'

type Key = 'mouth' | 'jawWidth' | 'length'

/** A clamp of two levers and a spring, clipped on a bar. */
export const kind = defineKind<Key>({
  id: 'spring-clamp',
  name: 'Spring clamp',
  covers: ['spring clamp', 'hand clip'],
  shown: 'side',
  knownBy: 'mouth',
  fields: {
    mouth: {
      label: 'Mouth opening',
      hold: 'Between the jaws, opened as far as the hand does it with ease.',
      sane: [10, 150],
      typical: 50,
      line: (f) => across('side', -f.mouth / 2, f.mouth / 2, 0),
    },
    jawWidth: {
      label: 'Jaw width',
      hold: 'Looking at the mouth edge-on: the jaw from left to right at its widest.',
      sane: [8, 90],
      typical: 26,
      line: (f) => across('face', -f.jawWidth / 2, f.jawWidth / 2, 0),
    },
    length: {
      label: 'Length',
      hold: 'From the tips of the jaws to the ends of the handles.',
      sane: [50, 350],
      typical: 160,
      line: (f) => up('side', -f.length, 0, -f.mouth * 0.75),
    },
  },
  delicate: [
    { value: 'none', label: 'nothing' },
    { value: 'pads', label: 'the pads' },
  ],
  clashes: [
    {
      fields: ['mouth', 'length'],
      when: (f) => f.mouth >= f.length,
      says: (say, f) => `The mouth (${say(f.mouth)}) is as wide as the clamp is long (${say(f.length)}).`,
    },
  ],
  bodies: (f) => {
    const [m, l] = [f.mouth / 2, f.length]
    const lever = (side: 1 | -1) =>
      polygon([
        [side * m, 0],
        [side * m * 1.3, -l * 0.06],
        [side * m * 0.5, -l * 0.5],
        [side * m * 1.5, -l],
        [side * m * 0.9, -l],
        [-side * m * 0.25, -l * 0.48],
        [side * m, -l * 0.3],
      ])
    return [1, -1].map((side) => plate('body', 'side', lever(side as 1 | -1), -f.jawWidth / 2, f.jawWidth / 2))
  },
  captions: { face: 'edge-on' },
})
