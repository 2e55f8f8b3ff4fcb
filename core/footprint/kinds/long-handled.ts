import { polygon, roundedRectangle } from '../../geometry/outline'
import { box, rod } from '../body'
import { across, up } from '../card'
import { defineKind, type Figures } from '../define'
import { hanging, part } from '../neck'

type Key = 'handleDiameter' | 'headWidth' | 'headDepth' | 'overallLength' | 'headHeight' | 'balance'

const end = (f: Figures<Key>) => -Math.max(1, f.overallLength - f.headHeight)
const hangs = hanging(['handleDiameter', 'headWidth', 'headDepth'], (m) => ({
  front: part(m, 'headDepth', 0.5),
  back: part(m, 'headDepth', 0.5),
  right: part(m, 'headWidth', 0.5),
  width: part(m, 'handleDiameter'),
  thickness: part(m, 'handleDiameter'),
  shape: 'round',
}))

/** A head on a long handle, hung with its head up or down. */
export const kind = defineKind<Key>({
  id: 'long-handled',
  name: 'Long-handled',
  covers: ['broom', 'shovel', 'rake', 'hoe', 'oar', 'paddle', 'boathook', 'level'],
  shown: 'face',
  fields: {
    handleDiameter: {
      label: 'Handle diameter',
      hold: 'Just under the head, across the handle at its thickest there.',
      sane: [15, 70],
      typical: 32,
      line: (f) => across('face', -f.handleDiameter / 2, f.handleDiameter / 2, end(f) * 0.12, 'in'),
    },
    headWidth: {
      label: 'Head width',
      hold: 'Looking at it as it hangs: the head from left to right at its widest.',
      sane: [40, 1200],
      typical: 260,
      line: (f) => across('face', -f.headWidth / 2, f.headWidth / 2, f.headHeight),
    },
    headDepth: {
      label: 'Head depth',
      hold: 'Seen from its side: the head from front to back, with its bend.',
      sane: [8, 400],
      typical: 60,
      line: (f) => across('side', -f.headDepth / 2, f.headDepth / 2, f.headHeight),
    },
    overallLength: {
      label: 'Overall length',
      hold: 'From end to end, head and handle together.',
      sane: [350, 4000],
      typical: 1400,
      line: (f) => up('face', end(f), f.headHeight, -f.headWidth / 2),
    },
    headHeight: {
      label: 'Head height',
      hold: 'From where the handle enters the head to the head’s far end.',
      sane: [20, 900],
      typical: (f) => Math.min(f.headWidth * 0.6, f.overallLength * 0.4),
      optional: 'Left out, it is only drawn as a guess.',
      line: (f) => up('face', 0, f.headHeight, f.headWidth / 2, 'right'),
    },
    balance: {
      label: 'Balance point',
      hold: 'From the end of the handle to where the tool balances across a dowel.',
      sane: [100, 3500],
      typical: (f) => f.overallLength * 0.62,
      optional: 'Left out, it is reckoned from the shape.',
      line: (f) => up('side', end(f), end(f) + f.balance, f.headDepth / 2, 'right'),
      balance: { with: 'bare', axis: 'z', at: (reading, f) => end(f) + reading },
    },
  },
  options: [
    {
      key: 'hangs',
      label: 'Hangs',
      values: [
        { value: 'head-up', label: 'head up' },
        { value: 'head-down', label: 'head down' },
      ],
    },
  ],
  delicate: [
    { value: 'none', label: 'nothing' },
    { value: 'edge', label: 'the edge' },
    { value: 'bristles', label: 'the bristles' },
  ],
  attitudes: [
    { turn: 0, label: 'along the wall' },
    { turn: 1, label: 'out from the wall' },
  ],
  clashes: [
    {
      fields: ['headWidth', 'handleDiameter'],
      when: (f) => f.headWidth <= f.handleDiameter,
      says: (say, f) =>
        `The head (${say(f.headWidth)}) is no wider than the handle (${say(f.handleDiameter)}): nothing would hold it up.`,
    },
    {
      fields: ['headHeight', 'overallLength'],
      when: (f) => f.headHeight >= f.overallLength,
      says: (say, f) => `The head (${say(f.headHeight)}) is as long as the whole tool (${say(f.overallLength)}).`,
    },
    {
      fields: ['balance', 'overallLength'],
      when: (f) => f.balance >= f.overallLength,
      says: (say, f) => `It can’t balance ${say(f.balance)} from one end of a tool ${say(f.overallLength)} long.`,
    },
  ],
  bodies: (f) => {
    const [w, d, r] = [f.headWidth / 2, f.headDepth / 2, f.handleDiameter / 2]
    return [
      rod('handle', r, [end(f), 0]),
      {
        ...box('head', [-w, w], [-d, d], [0, f.headHeight]),
        density: 900,
        seen: {
          face: polygon([
            [-r * 1.3, 0],
            [r * 1.3, 0],
            [w * 0.94, f.headHeight * 0.3],
            [w, f.headHeight * 0.42],
            [w, f.headHeight],
            [-w, f.headHeight],
            [-w, f.headHeight * 0.42],
            [-w * 0.94, f.headHeight * 0.3],
          ]),
          side: roundedRectangle(-d, 0, d, f.headHeight, d * 0.5),
        },
      },
    ]
  },
  neck: (tool, turn) => (tool.options.hangs === 'head-down' ? null : hangs(tool, turn)),
})
