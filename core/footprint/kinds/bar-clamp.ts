import { circle, polygon, rectangle, roundedRectangle } from '../../geometry/outline'
import { box, plate, type Body } from '../body'
import { across, up } from '../card'
import { defineKind, FACE_TURNS, type Figures } from '../define'
import { hanging, part } from '../neck'
import type { Measured } from '../kind'

type Key = 'barWidth' | 'barThickness' | 'headWidth' | 'jawDepth' | 'overallLength' | 'slidingJawWidth' | 'balance'

const HEAD = 34

/** From the middle of the bar to the jaw's tip. */
const reach = (m: Record<string, number>): Measured => ({
  value: m.jawDepth! + m.barWidth! / 2,
  expression: '{jawDepth} + {barWidth} / 2',
  moves: { jawDepth: 1, barWidth: 0.5 },
})

function jaw(f: Figures<Key>, z: number, height: number, width: number): Body {
  const [y0, y1] = [-f.barWidth * 0.62, f.barWidth / 2 + f.jawDepth]
  return {
    ...plate(
      'head',
      'side',
      polygon([
        [y0, z],
        [y1, z],
        [y1, z + height * 0.55],
        [f.barWidth * 0.7, z + height],
        [y0, z + height],
      ]),
      -width / 2,
      width / 2,
    ),
    density: 4000,
  }
}

/** A clamp on a bar or a pipe: a fixed jaw at one end, a sliding one along it. */
export const kind = defineKind<Key>({
  id: 'bar-clamp',
  name: 'Bar or pipe clamp',
  covers: ['bar clamp', 'pipe clamp', 'sash clamp', 'quick clamp', 'F clamp'],
  knownBy: 'overallLength',
  fields: {
    barWidth: {
      label: 'Bar width',
      hold: 'The wider side of the bar, or the diameter of the pipe.',
      sane: [8, 70],
      typical: 28,
      line: (f) => across('side', -f.barWidth / 2, f.barWidth / 2, -f.overallLength * 0.2, 'in'),
    },
    barThickness: {
      label: 'Bar thickness',
      hold: 'The narrower side of the bar; for a pipe leave it empty.',
      sane: [3, 60],
      typical: (f) => f.barWidth * 0.4,
      optional: 'Left out, it is taken as the bar width: a pipe or a square bar.',
      line: (f) => across('face', -f.barThickness / 2, f.barThickness / 2, -f.overallLength * 0.2, 'in'),
    },
    headWidth: {
      label: 'Head width',
      hold: 'Looking along the bar’s narrow side: the fixed jaw from left to right.',
      sane: [10, 120],
      typical: 32,
      line: (f) => across('face', -f.headWidth / 2, f.headWidth / 2, HEAD),
    },
    jawDepth: {
      label: 'Jaw depth',
      hold: 'From the bar’s edge to the tip of the jaw: what it reaches over.',
      sane: [20, 400],
      typical: 80,
      line: (f) => across('side', f.barWidth / 2, f.barWidth / 2 + f.jawDepth, HEAD),
    },
    overallLength: {
      label: 'Overall length',
      hold: 'From end to end of the bar, handle and screw included.',
      sane: [100, 2600],
      typical: 600,
      line: (f) => up('side', HEAD - f.overallLength, HEAD, -f.barWidth * 0.62),
    },
    slidingJawWidth: {
      label: 'Sliding jaw width',
      hold: 'The sliding jaw from left to right at its widest, with its handle.',
      sane: [10, 200],
      typical: (f) => f.headWidth * 1.2,
      optional: 'Left out, it is taken to be no wider than the head.',
      line: (f) => across('face', -f.slidingJawWidth / 2, f.slidingJawWidth / 2, HEAD - f.overallLength * 0.72, 'in'),
    },
    balance: {
      label: 'Balance point',
      hold: 'From the top of the fixed jaw to where the clamp balances, sliding jaw run up to it.',
      sane: [20, 1500],
      typical: (f) => f.overallLength * 0.4,
      optional: 'Left out, it is reckoned from the shape.',
      line: (f) => up('side', HEAD - f.balance, HEAD, f.barWidth / 2 + f.jawDepth, 'right'),
      balance: { with: 'bare', axis: 'z', at: (reading) => HEAD - reading },
    },
  },
  options: [
    {
      key: 'bar',
      label: 'Bar',
      values: [
        { value: 'flat', label: 'flat bar' },
        { value: 'pipe', label: 'pipe' },
      ],
    },
  ],
  delicate: [
    { value: 'none', label: 'nothing' },
    { value: 'jaws', label: 'the jaws’ faces' },
  ],
  attitudes: FACE_TURNS.map((a) => ({ ...a, label: a.label.replace('face', 'jaw') })),
  clashes: [
    {
      fields: ['barThickness', 'barWidth'],
      when: (f) => f.barThickness > f.barWidth,
      says: (say, f) => `The bar is thicker (${say(f.barThickness)}) than wide (${say(f.barWidth)}): exchange the two.`,
    },
    {
      fields: ['headWidth', 'barThickness'],
      when: (f) => f.headWidth <= f.barThickness,
      says: (say, f) => `The head (${say(f.headWidth)}) is no wider than the bar (${say(f.barThickness)}).`,
    },
  ],
  bodies: (f, { options }) => {
    const pipe = options.bar === 'pipe'
    const [w, t] = [f.barWidth / 2, (pipe ? f.barWidth : f.barThickness) / 2]
    const foot = HEAD - f.overallLength
    return [
      {
        ...box('blade', [-t, t], [-w, w], [foot, HEAD]),
        density: pipe ? 2500 : 7800,
        seen: { top: pipe ? circle(0, 0, w) : rectangle(-t, -w, t, w) },
      },
      jaw(f, 0, HEAD, f.headWidth),
      jaw(f, foot + f.overallLength * 0.28, HEAD * 0.9, f.slidingJawWidth),
      {
        ...box(
          'handle',
          [-12, 12],
          [w + f.jawDepth * 0.55, w + f.jawDepth * 0.55 + 24],
          [foot, foot + f.overallLength * 0.26],
        ),
        seen: {
          side: roundedRectangle(
            w + f.jawDepth * 0.55,
            foot,
            w + f.jawDepth * 0.55 + 24,
            foot + f.overallLength * 0.26,
            10,
          ),
        },
      },
    ]
  },
  captions: { face: 'looking at its jaw' },
  neck: hanging(['barWidth', 'headWidth', 'jawDepth'], (m, options) => ({
    front: reach(m),
    back: part(m, 'barWidth', 0.5),
    right: part(m, 'headWidth', 0.5),
    width: part(m, options.bar === 'pipe' || m.barThickness === undefined ? 'barWidth' : 'barThickness'),
    thickness: part(m, 'barWidth'),
    shape: options.bar === 'pipe' ? 'round' : 'rectangular',
  })),
})
