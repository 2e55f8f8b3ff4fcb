import { circle, polygon, rectangle, roundedRectangle, type Outline } from '../../geometry/outline'
import { box, plate, type Body } from '../body'
import { across, up } from '../card'
import { defineKind, FACE_TURNS, type Figures } from '../define'
import { hanging, less, part } from '../neck'

type Key =
  | 'handleWidth'
  | 'handleThickness'
  | 'headWidth'
  | 'headLength'
  | 'faceReach'
  | 'headHeight'
  | 'handleLength'
  | 'balance'

/** Just under the head, where the handle is measured. */
const neckAt = (f: Figures<Key>) => -Math.max(f.headHeight, f.headLength, f.handleLength * 0.4) * 0.16

/** The head from its side: the face at x = faceReach, the far end a head's length behind it. */
function headFromSide(f: Figures<Key>, head: string): Outline {
  const { faceReach: face, headHeight: h, handleThickness: t } = f
  const back = face - f.headLength
  if (head === 'round') return roundedRectangle(back, 0, face, h, h * 0.45)
  if (head === 'peen') {
    const cheek = Math.min(t * 0.9, face * 0.6, -back * 0.6)
    return polygon([
      [face, h * 0.08],
      [face, h],
      [face * 0.75, h],
      [cheek, h * 0.86],
      [-cheek, h],
      [back, h * 0.72],
      [back, h * 0.58],
      [-cheek, 0],
      [cheek, h * 0.14],
      [face * 0.75, h * 0.08],
    ])
  }
  if (head === 'blade') {
    const poll = Math.max(back, -t * 1.2)
    return polygon([
      [face, -h * 0.12],
      [face * 0.92, h],
      [t * 0.6, h * 0.8],
      [back, h * 0.86],
      [back, h * 0.2],
      [poll, h * 0.12],
      [t * 0.6, h * 0.2],
    ])
  }
  const splay = f.headLength * 0.04
  return polygon([
    [back + splay, 0],
    [face - splay, 0],
    [face, h],
    [back, h],
  ])
}

function handle(f: Figures<Key>, section: string): Body {
  const [w, t] = [f.handleWidth / 2, f.handleThickness / 2]
  const top =
    section === 'rectangular'
      ? rectangle(-w, -t, w, t)
      : w === t
        ? circle(0, 0, w)
        : roundedRectangle(-w, -t, w, t, Math.min(w, t))
  return {
    ...box('handle', [-w, w], [-t, t], [-f.handleLength, 0]),
    seen: {
      face: roundedRectangle(-w, -f.handleLength, w, 0, w * 0.7),
      side: roundedRectangle(-t, -f.handleLength, t, 0, t * 0.7),
      top,
    },
  }
}

function head(f: Figures<Key>, form: string): Body {
  const w = f.headWidth / 2
  const soft = form === 'round' || form === 'peen' ? 0.6 : 0.12
  return {
    ...plate('head', 'side', headFromSide(f, form), -w, w),
    density: form === 'peen' || form === 'blade' ? 7800 : 800,
    seen: {
      face: roundedRectangle(-w, 0, w, f.headHeight, w * soft),
      top: roundedRectangle(-w, f.faceReach - f.headLength, w, f.faceReach, form === 'round' ? w : w * 0.12),
    },
  }
}

const back = (f: Figures<Key>) => f.faceReach - f.headLength

/** Tools with a head on a handle that goes through it or into it. */
export const kind = defineKind<Key>({
  id: 'headed',
  name: 'Headed, struck',
  covers: ['mallet', 'hammer', 'hatchet', 'axe', 'maul', 'beetle'],
  fields: {
    handleWidth: {
      label: 'Handle width',
      hold: 'Just under the head, looking at its face: the handle from left to right.',
      sane: [10, 80],
      typical: 28,
      line: (f) => across('face', -f.handleWidth / 2, f.handleWidth / 2, neckAt(f), 'in'),
    },
    handleThickness: {
      label: 'Handle thickness',
      hold: 'Just under the head, seen from its side: the handle in the direction in which it strikes.',
      sane: [8, 80],
      typical: (f) => f.handleWidth,
      optional: 'Left out, it is taken as the handle width.',
      line: (f) => across('side', -f.handleThickness / 2, f.handleThickness / 2, neckAt(f), 'in'),
    },
    headWidth: {
      label: 'Head width',
      hold: 'Looking at the face: the head from left to right at its widest.',
      sane: [12, 250],
      typical: 68,
      line: (f) => across('face', -f.headWidth / 2, f.headWidth / 2, f.headHeight),
    },
    headLength: {
      label: 'Head length',
      hold: 'Seen from its side: from the face to the far end of the head.',
      sane: [25, 400],
      typical: 130,
      line: (f) => across('side', back(f), f.faceReach, f.headHeight),
    },
    faceReach: {
      label: 'Face reach',
      hold: 'From the middle of the handle to the face, for a head that sits unevenly.',
      sane: [10, 300],
      typical: (f) => f.headLength / 2,
      optional: 'Left out, the handle is taken to sit in the middle of the head.',
      line: (f) => across('side', 0, f.faceReach, f.headHeight),
    },
    headHeight: {
      label: 'Head height',
      hold: 'From the underside of the head, where the handle leaves it, to its top.',
      sane: [12, 300],
      typical: 80,
      optional: 'Left out, it is only drawn as a guess.',
      line: (f) => up('side', 0, f.headHeight, back(f)),
    },
    handleLength: {
      label: 'Handle length',
      hold: 'From the underside of the head to the end of the handle.',
      sane: [60, 1500],
      typical: 260,
      optional: 'Left out, it is only drawn as a guess.',
      line: (f) => up('side', -f.handleLength, 0, -f.handleThickness / 2),
    },
    balance: {
      label: 'Balance point',
      hold: 'From the end of the handle to where the tool balances across a dowel.',
      sane: [40, 1500],
      typical: (f) => f.handleLength * 0.9,
      optional: 'Left out, it is reckoned from the shape.',
      line: (f) => up('face', -f.handleLength, -f.handleLength + f.balance, f.handleWidth / 2, 'right'),
      balance: { with: 'bare', axis: 'z', at: (reading, f) => reading - f.handleLength },
    },
  },
  options: [
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
  ],
  delicate: [
    { value: 'none', label: 'nothing' },
    { value: 'face', label: 'the face' },
    { value: 'edge', label: 'the edge' },
  ],
  attitudes: FACE_TURNS,
  clashes: [
    {
      fields: ['headWidth', 'handleWidth'],
      when: (f) => f.headWidth <= f.handleWidth,
      says: (say, f) =>
        `The head (${say(f.headWidth)}) is no wider than the handle (${say(f.handleWidth)}): only its length can hold it up.`,
    },
    {
      fields: ['headLength', 'handleThickness'],
      when: (f) => f.headLength <= f.handleThickness,
      says: (say, f) =>
        `The head (${say(f.headLength)} long) is no longer than the handle is thick (${say(f.handleThickness)}).`,
    },
    {
      fields: ['faceReach', 'headLength'],
      when: (f) => f.faceReach >= f.headLength,
      says: (say, f) => `The face can’t reach ${say(f.faceReach)} from the handle on a head of ${say(f.headLength)}.`,
    },
    {
      fields: ['balance', 'handleLength', 'headHeight'],
      when: (f) => f.balance >= f.handleLength + f.headHeight,
      says: (say, f) => `It can’t balance ${say(f.balance)} from the handle’s end: the tool is shorter than that.`,
    },
  ],
  bodies: (f, { options }) => [head(f, options.head!), handle(f, options.neck!)],
  neck: hanging(['handleWidth', 'headWidth', 'headLength'], (m, options) => {
    const uneven = m.faceReach !== undefined
    return {
      front: uneven ? part(m, 'faceReach') : part(m, 'headLength', 0.5),
      back: uneven ? less(m, 'headLength', 'faceReach') : part(m, 'headLength', 0.5),
      right: part(m, 'headWidth', 0.5),
      width: part(m, 'handleWidth'),
      thickness: part(m, m.handleThickness === undefined ? 'handleWidth' : 'handleThickness'),
      shape: options.neck === 'rectangular' ? 'rectangular' : 'round',
    }
  }),
})
