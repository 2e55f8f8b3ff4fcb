import { polygon } from '../../geometry/outline'
import { box, rod, type Body } from '../body'
import { across, up } from '../card'
import { defineKind, type Drawn, type Figures } from '../define'

type Key = 'handleDiameter' | 'ferruleDiameter' | 'bladeWidth' | 'handleLength' | 'overallLength' | 'balance'

/** The handle hangs below the collar, z from its free end up to nought at the ferrule. */
function handle(f: Figures<Key>, { profile }: Drawn): Body {
  const [r, neck, l] = [f.handleDiameter / 2, f.ferruleDiameter / 2, f.handleLength]
  const taken = profile.filter((p) => p.at <= l)
  const points =
    taken.length >= 2
      ? taken.map((p) => ({ z: p.at - l, radius: p.diameter / 2 }))
      : [
          { z: -l, radius: r * 0.7 },
          { z: -l * 0.85, radius: r },
          { z: -l * 0.5, radius: r * 0.8 },
          { z: -l * 0.25, radius: r * 0.9 },
        ]
  const first = points[0]!
  return {
    form: 'turned',
    part: 'handle',
    x: 0,
    y: 0,
    profile: [
      ...(first.z > -l ? [{ z: -l, radius: first.radius * 0.8 }] : []),
      ...points.filter((p) => p.z < 0),
      { z: 0, radius: neck },
    ],
  }
}

/** A long handle with a blade for the lathe, or for carving with both hands: handle down, blade up. */
export const kind = defineKind<Key>({
  id: 'turning-tool',
  name: 'Turning or carving tool',
  covers: ['turning gouge', 'turning tool', 'skew', 'scraper for the lathe', 'parting tool', 'carving tool'],
  shown: 'face',
  knownBy: 'bladeWidth',
  fields: {
    handleDiameter: {
      label: 'Handle diameter',
      hold: 'Across the handle at its thickest.',
      sane: [15, 70],
      typical: 34,
      line: (f) => across('face', -f.handleDiameter / 2, f.handleDiameter / 2, -f.handleLength, 'below'),
    },
    ferruleDiameter: {
      label: 'Ferrule diameter',
      hold: 'Across the ferrule, where the blade leaves the handle.',
      sane: [8, 50],
      typical: (f) => f.handleDiameter * 0.65,
      line: (f) => across('face', -f.ferruleDiameter / 2, f.ferruleDiameter / 2, 0, 'in'),
    },
    bladeWidth: {
      label: 'Blade width',
      hold: 'The blade at its widest.',
      sane: [2, 60],
      typical: (f) => f.ferruleDiameter * 0.6,
      line: (f) => across('face', -f.bladeWidth / 2, f.bladeWidth / 2, f.overallLength - f.handleLength),
    },
    handleLength: {
      label: 'Handle length',
      hold: 'From the end of the handle to the ferrule’s edge.',
      sane: [80, 700],
      typical: 280,
      line: (f) => up('face', -f.handleLength, 0, -f.handleDiameter / 2),
    },
    overallLength: {
      label: 'Overall length',
      hold: 'From the end of the handle to the tip of the blade.',
      sane: [120, 1000],
      typical: (f) => f.handleLength + 180,
      line: (f) => up('face', -f.handleLength, f.overallLength - f.handleLength, -f.handleDiameter / 2),
    },
    balance: {
      label: 'Balance point',
      hold: 'From the end of the handle to where the tool balances across a dowel.',
      sane: [40, 700],
      typical: (f) => f.overallLength * 0.55,
      optional: 'Left out, it is reckoned from the shape.',
      line: (f) => up('face', -f.handleLength, f.balance - f.handleLength, f.handleDiameter / 2, 'right'),
      balance: { with: 'bare', axis: 'z', at: (reading, f) => reading - f.handleLength },
    },
  },
  options: [
    {
      key: 'section',
      label: 'Blade',
      values: [
        { value: 'flat', label: 'flat' },
        { value: 'round', label: 'round' },
      ],
    },
  ],
  delicate: [
    { value: 'edge', label: 'the edge' },
    { value: 'none', label: 'nothing' },
  ],
  profile: {
    label: 'Handle profile',
    from: 'the free end of the handle',
    hold: 'The caliper across the handle at each height, for a toe or a collar that matches it.',
  },
  clashes: [
    {
      fields: ['ferruleDiameter', 'handleDiameter'],
      when: (f) => f.ferruleDiameter > f.handleDiameter,
      says: (say, f) =>
        `The ferrule (${say(f.ferruleDiameter)}) is thicker than its handle (${say(f.handleDiameter)}).`,
    },
    {
      fields: ['handleLength', 'overallLength'],
      when: (f) => f.handleLength >= f.overallLength,
      says: (say, f) => `The handle (${say(f.handleLength)}) is as long as the whole tool (${say(f.overallLength)}).`,
    },
    {
      fields: ['balance', 'overallLength'],
      when: (f) => f.balance >= f.overallLength,
      says: (say, f) => `It can’t balance ${say(f.balance)} from one end of a tool ${say(f.overallLength)} long.`,
    },
  ],
  bodies: (f, d) => {
    const w = f.bladeWidth / 2
    const l = Math.max(1, f.overallLength - f.handleLength)
    const blade: Body =
      d.options.section === 'round'
        ? rod('blade', w, [0, l])
        : {
            ...box('blade', [-w, w], [-Math.min(w, 4), Math.min(w, 4)], [0, l]),
            seen: {
              face: polygon([
                [-w, 0],
                [w, 0],
                [w, l * 0.92],
                [-w, l],
              ]),
            },
          }
    return [blade, handle(f, d), rod('head', f.ferruleDiameter / 2, [-Math.min(f.handleLength * 0.08, 22), 0])]
  },
})
