import { polygon, roundedRectangle } from '../../geometry/outline'
import { box, rod, type Body } from '../body'
import { across, up } from '../card'
import { defineKind, type Drawn, type Figures } from '../define'
import { bladeDown, hanging, part, widerOf } from '../neck'
import { diagonal, standingIn } from '../shank'

type Key =
  | 'handleDiameter'
  | 'handleThickness'
  | 'ferruleDiameter'
  | 'bladeWidth'
  | 'bladeThickness'
  | 'bladeLength'
  | 'overallLength'
  | 'balance'

const top = (f: Figures<Key>) => Math.max(1, f.overallLength - f.bladeLength)

/** The handle: by its profile where one was taken, else swelling to its greatest diameter. z from the ferrule up. */
function handle(f: Figures<Key>, { profile }: Drawn): Body {
  const h = top(f)
  const [r, t, neck] = [f.handleDiameter / 2, f.handleThickness / 2, f.ferruleDiameter / 2]
  const taken = profile.filter((p) => p.at <= h)
  if (taken.length >= 2) {
    const points = taken.map((p) => ({ z: p.at, radius: p.diameter / 2 }))
    const first = points[0]!
    const last = points.at(-1)!
    return {
      form: 'turned',
      part: 'handle',
      x: 0,
      y: 0,
      profile: [
        ...(first.z > 0 ? [{ z: 0, radius: neck }] : []),
        ...points,
        ...(last.z < h ? [{ z: h, radius: last.radius * 0.8 }] : []),
      ],
    }
  }
  if (Math.abs(r - t) > 0.01)
    return {
      ...box('handle', [-r, r], [-t, t], [0, h]),
      seen: { face: roundedRectangle(-r, 0, r, h, r * 0.4), side: roundedRectangle(-t, 0, t, h, t * 0.5) },
    }
  return {
    form: 'turned',
    part: 'handle',
    x: 0,
    y: 0,
    profile: [
      { z: 0, radius: neck },
      { z: h * 0.18, radius: Math.max(neck, r * 0.82) },
      { z: h * 0.55, radius: r },
      { z: h * 0.85, radius: r * 0.95 },
      { z: h, radius: r * 0.72 },
    ],
  }
}

/** A blade or a shank in a handle. */
export const kind = defineKind<Key>({
  id: 'handled-blade',
  name: 'Driver, chisel, file, awl',
  covers: ['chisel', 'screwdriver', 'driver', 'file', 'rasp', 'awl', 'marking knife', 'knife', 'gouge', 'slick'],
  shown: 'face',
  knownBy: 'bladeWidth',
  fields: {
    handleDiameter: {
      label: 'Handle diameter',
      hold: 'Across the handle at its thickest; of a flat handle, its wider side.',
      sane: [6, 70],
      typical: 30,
      line: (f) => across('face', -f.handleDiameter / 2, f.handleDiameter / 2, top(f)),
    },
    handleThickness: {
      label: 'Handle thickness',
      hold: 'The handle’s narrower side, where it is not round.',
      sane: [4, 60],
      typical: (f) => f.handleDiameter,
      optional: 'Left out, the handle is taken as round.',
      line: (f) => across('side', -f.handleThickness / 2, f.handleThickness / 2, top(f)),
    },
    ferruleDiameter: {
      label: 'Ferrule diameter',
      hold: 'Across the ferrule, or the handle’s thin end just above the blade.',
      sane: [3, 60],
      typical: (f) => f.handleDiameter * 0.62,
      optional: 'Left out, it rests on its handle, and is drawn as a guess.',
      line: (f) => across('face', -f.ferruleDiameter / 2, f.ferruleDiameter / 2, top(f) * 0.04, 'in'),
    },
    bladeWidth: {
      label: 'Blade width',
      hold: 'The blade or shank at its widest, edge or tip included.',
      sane: [1, 120],
      typical: (f) => f.handleDiameter * 0.5,
      line: (f) => across('face', -f.bladeWidth / 2, f.bladeWidth / 2, -f.bladeLength, 'below'),
    },
    bladeThickness: {
      label: 'Blade thickness',
      hold: 'The blade or shank at its thickest, close to the handle.',
      sane: [0.5, 40],
      typical: (f) => Math.min(f.bladeWidth, 5),
      optional: 'Left out, it is taken as the blade width: a round shank.',
      line: (f) => across('side', -f.bladeThickness / 2, f.bladeThickness / 2, -f.bladeLength, 'below'),
    },
    bladeLength: {
      label: 'Blade length',
      hold: 'From the handle or ferrule to the tip.',
      sane: [10, 600],
      typical: 130,
      line: (f) => up('face', -f.bladeLength, 0, -f.handleDiameter / 2),
    },
    overallLength: {
      label: 'Overall length',
      hold: 'From the tip to the end of the handle.',
      sane: [40, 900],
      typical: (f) => f.bladeLength + 120,
      line: (f) => up('face', -f.bladeLength, top(f), -f.handleDiameter / 2),
    },
    balance: {
      label: 'Balance point',
      hold: 'From the end of the handle to where the tool balances across a dowel.',
      sane: [10, 600],
      typical: (f) => f.overallLength * 0.48,
      optional: 'Left out, it is reckoned from the shape.',
      line: (f) => up('side', top(f) - f.balance, top(f), f.handleThickness / 2, 'right'),
      balance: { with: 'bare', axis: 'z', at: (reading, f) => top(f) - reading },
    },
  },
  options: [
    {
      key: 'blade',
      label: 'Blade',
      values: [
        { value: 'flat', label: 'flat' },
        { value: 'round', label: 'round' },
        { value: 'point', label: 'to a point' },
      ],
    },
  ],
  delicate: [
    { value: 'edge', label: 'the edge or point' },
    { value: 'none', label: 'nothing' },
  ],
  profile: {
    label: 'Handle profile',
    from: 'the ferrule end of the handle',
    hold: 'The caliper across the handle at each height, for a pocket that matches it.',
  },
  attitudes: [
    { turn: 0, label: 'flat to the wall' },
    { turn: 1, label: 'edge to the wall' },
  ],
  clashes: [
    {
      fields: ['ferruleDiameter', 'handleDiameter'],
      when: (f) => f.ferruleDiameter > f.handleDiameter,
      says: (say, f) =>
        `The ferrule (${say(f.ferruleDiameter)}) is thicker than its handle (${say(f.handleDiameter)}).`,
    },
    {
      fields: ['handleThickness', 'handleDiameter'],
      when: (f) => f.handleThickness > f.handleDiameter,
      says: (say, f) => `The handle is thicker (${say(f.handleThickness)}) than wide (${say(f.handleDiameter)}).`,
    },
    {
      fields: ['bladeLength', 'overallLength'],
      when: (f) => f.bladeLength >= f.overallLength,
      says: (say, f) => `The blade (${say(f.bladeLength)}) is as long as the whole tool (${say(f.overallLength)}).`,
    },
    {
      fields: ['balance', 'overallLength'],
      when: (f) => f.balance >= f.overallLength,
      says: (say, f) => `It can’t balance ${say(f.balance)} from one end of a tool ${say(f.overallLength)} long.`,
    },
  ],
  bodies: (f, d) => {
    const [w, t, l] = [f.bladeWidth / 2, f.bladeThickness / 2, f.bladeLength]
    const tip = d.options.blade === 'point' ? 0.15 : 1
    const blade: Body =
      d.options.blade === 'round'
        ? rod('blade', w, [-l, 0])
        : {
            ...box('blade', [-w, w], [-t, t], [-l, 0]),
            seen: {
              face: polygon([
                [-w * tip, -l],
                [w * tip, -l],
                [w, -l * (tip === 1 ? 0.9 : 0.1)],
                [w * (tip === 1 ? 0.85 : 1), 0],
                [-w * (tip === 1 ? 0.85 : 1), 0],
                [-w, -l * (tip === 1 ? 0.9 : 0.1)],
              ]),
              side: polygon([
                [-t, -l],
                [-t * 0.6, -l],
                [t, -l * 0.9],
                [t, 0],
                [-t, 0],
              ]),
            },
          }
    return [blade, handle(f, d), rod('head', f.ferruleDiameter / 2, [0, Math.min(top(f) * 0.1, 14)])]
  },
  captions: { face: 'looking at its flat' },
  neck: hanging(['ferruleDiameter', 'handleDiameter'], (m) => ({
    front: part(m, m.handleThickness === undefined ? 'handleDiameter' : 'handleThickness', 0.5),
    back: part(m, m.handleThickness === undefined ? 'handleDiameter' : 'handleThickness', 0.5),
    right: part(m, 'handleDiameter', 0.5),
    width: part(m, 'ferruleDiameter'),
    thickness: part(m, 'ferruleDiameter'),
    shape: 'round',
  })),
  blade: bladeDown(['handleDiameter', 'bladeWidth', 'bladeLength'], (m, options) => {
    const flat = options.blade !== 'round' && m.bladeThickness !== undefined
    const [thick, deep] = [flat ? 'bladeThickness' : 'bladeWidth', m.handleThickness === undefined ? 'handleDiameter' : 'handleThickness'] // prettier-ignore
    const ferrule = m.ferruleDiameter === undefined ? [] : [part(m, 'ferruleDiameter')]
    return {
      front: widerOf(m, [deep, thick], 0.5),
      back: widerOf(m, [deep, thick], 0.5),
      right: widerOf(m, ['handleDiameter', 'bladeWidth'], 0.5),
      width: part(m, 'bladeWidth'),
      thickness: part(m, thick),
      shape: flat ? 'rectangular' : 'round',
      shoulders: { width: [...ferrule, part(m, 'handleDiameter')], thickness: [...ferrule, part(m, deep)] },
      length: part(m, 'bladeLength'),
      sharp: (options.delicate ?? 'edge') === 'edge',
    }
  }),
  shank: standingIn(['handleDiameter', 'bladeWidth', 'bladeLength', 'overallLength'], (m, options) => {
    const flat = options.blade !== 'round' && m.bladeThickness !== undefined
    const deep = part(m, m.handleThickness === undefined ? 'handleDiameter' : 'handleThickness', 0.5)
    return {
      front: deep,
      back: deep,
      right: part(m, 'handleDiameter', 0.5),
      across: flat ? diagonal(m, 'bladeWidth', 'bladeThickness') : part(m, 'bladeWidth'),
      length: part(m, 'bladeLength'),
      overall: part(m, 'overallLength'),
      shoulders: [
        ...(m.ferruleDiameter === undefined ? [] : [part(m, 'ferruleDiameter')]),
        part(m, m.handleThickness === undefined ? 'handleDiameter' : 'handleThickness'),
      ],
      sharp: (options.delicate ?? 'edge') === 'edge',
    }
  }),
})
