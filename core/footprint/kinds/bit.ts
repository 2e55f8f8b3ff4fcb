import { box, rod } from '../body'
import { across, up } from '../card'
import { defineKind } from '../define'
import { part } from '../neck'
import { standingIn } from '../shank'

type Key = 'shankDiameter' | 'shankLength' | 'cuttingDiameter' | 'overallLength'

/** A bit or cutter, stood shank down. */
export const kind = defineKind<Key>({
  id: 'bit',
  name: 'Bit or cutter',
  covers: ['bit', 'drill bit', 'twist drill', 'Forstner bit', 'router bit', 'cutter', 'countersink', 'screwdriver bit'],
  shown: 'face',
  knownBy: 'cuttingDiameter',
  fields: {
    shankDiameter: {
      label: 'Shank diameter',
      hold: 'Across the shank, where the chuck holds it; of a hexagonal one, across its corners.',
      sane: [1, 25],
      typical: 8,
      line: (f) => across('face', -f.shankDiameter / 2, f.shankDiameter / 2, -f.shankLength, 'below'),
    },
    shankLength: {
      label: 'Shank length',
      hold: 'From the end of the shank to where the cutting part begins.',
      sane: [8, 200],
      typical: 32,
      line: (f) => up('face', -f.shankLength, 0, -Math.max(f.shankDiameter, f.cuttingDiameter) / 2),
    },
    cuttingDiameter: {
      label: 'Cutting diameter',
      hold: 'Across the cutting part at its widest, bearing included.',
      sane: [0.5, 160],
      typical: (f) => f.shankDiameter * 2,
      line: (f) => across('face', -f.cuttingDiameter / 2, f.cuttingDiameter / 2, f.overallLength - f.shankLength),
    },
    overallLength: {
      label: 'Overall length',
      hold: 'From the end of the shank to the tip.',
      sane: [15, 500],
      typical: (f) => f.shankLength * 2.4,
      line: (f) =>
        up('face', -f.shankLength, f.overallLength - f.shankLength, -Math.max(f.shankDiameter, f.cuttingDiameter) / 2),
    },
  },
  options: [
    {
      key: 'cuts',
      label: 'Cutting part',
      values: [
        { value: 'full', label: 'its whole length' },
        { value: 'head', label: 'a head' },
      ],
    },
  ],
  delicate: [
    { value: 'edge', label: 'the cutting edges' },
    { value: 'none', label: 'nothing' },
  ],
  clashes: [
    {
      fields: ['shankLength', 'overallLength'],
      when: (f) => f.shankLength >= f.overallLength,
      says: (say, f) => `The shank (${say(f.shankLength)}) is as long as the whole bit (${say(f.overallLength)}).`,
    },
  ],
  bodies: (f, { options }) => {
    const l = Math.max(1, f.overallLength - f.shankLength)
    const [r, c] = [f.shankDiameter / 2, f.cuttingDiameter / 2]
    const shank = rod('blade', r, [-f.shankLength, 0])
    if (options.cuts === 'head')
      return [
        shank,
        rod('blade', r * 0.9, [0, l]),
        rod('head', c, [l * 0.7, l * 0.96]),
        box('head', [-0.6, 0.6], [-0.6, 0.6], [l * 0.96, l]),
      ]
    return [
      shank,
      {
        form: 'turned',
        part: 'head',
        x: 0,
        y: 0,
        profile: [
          { z: 0, radius: c },
          { z: Math.max(0, l - c), radius: c },
          { z: l, radius: c * 0.06 },
        ],
      },
    ]
  },
  shank: standingIn(['shankDiameter', 'shankLength', 'cuttingDiameter', 'overallLength'], (m) => {
    const head = part(m, m.cuttingDiameter! > m.shankDiameter! ? 'cuttingDiameter' : 'shankDiameter', 0.5)
    return {
      front: head,
      back: head,
      right: head,
      across: part(m, 'shankDiameter'),
      length: part(m, 'shankLength'),
      overall: part(m, 'overallLength'),
      shoulders: [],
      sharp: false,
    }
  }),
})
