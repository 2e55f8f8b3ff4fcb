import { circle, rectangle } from '../../geometry/outline'
import { plate } from '../body'
import { across } from '../card'
import { defineKind } from '../define'

type Key = 'outerDiameter' | 'holeDiameter' | 'thickness'

/** Round stock and ring-shaped consumables, seen along their axis. */
export const kind = defineKind<Key>({
  id: 'ring',
  name: 'Disc, roll, puck',
  covers: ['sanding disc', 'disc', 'tape', 'roll', 'puck', 'grinding disc', 'saw blade'],
  shown: 'face',
  knownBy: 'outerDiameter',
  stacks: 'thickness',
  fields: {
    outerDiameter: {
      label: 'Outer diameter',
      hold: 'Across it at its widest.',
      sane: [5, 600],
      typical: 125,
      line: (f) => across('face', -f.outerDiameter / 2, f.outerDiameter / 2, f.outerDiameter / 2),
    },
    holeDiameter: {
      label: 'Hole diameter',
      hold: 'Across the hole in its middle; nought where there is none.',
      sane: [0, 400],
      typical: (f) => f.outerDiameter * 0.2,
      noughtAllowed: true,
      optional: 'Left out, it is not hung on a pin.',
      line: (f) => across('face', -f.holeDiameter / 2, f.holeDiameter / 2, 0, 'in'),
    },
    thickness: {
      label: 'Thickness of one',
      hold: 'Of one piece; for thin ones measure ten and divide.',
      sane: [0.1, 120],
      typical: 3,
      line: (f) => across('side', -f.thickness, 0, f.outerDiameter / 2),
    },
  },
  delicate: [
    { value: 'none', label: 'nothing' },
    { value: 'rim', label: 'the rim' },
  ],
  attitudes: [
    { turn: 0, label: 'face out' },
    { turn: 1, label: 'edge out' },
  ],
  clashes: [
    {
      fields: ['holeDiameter', 'outerDiameter'],
      when: (f) => f.holeDiameter >= f.outerDiameter,
      says: (say, f) => `The hole (${say(f.holeDiameter)}) is as wide as the disc (${say(f.outerDiameter)}).`,
    },
  ],
  bodies: (f) => {
    const [r, h, t] = [f.outerDiameter / 2, f.holeDiameter / 2, f.thickness]
    const round = (part: 'body' | 'hole', radius: number) => ({
      ...plate(part, 'face', circle(0, 0, radius), -t, 0),
      seen: { side: rectangle(-t, -radius, 0, radius), top: rectangle(-radius, -t, radius, 0) },
    })
    return [round('body', r), ...(h > 0 ? [round('hole', h)] : [])]
  },
  captions: { face: 'along its axis', side: 'edge-on' },
})
