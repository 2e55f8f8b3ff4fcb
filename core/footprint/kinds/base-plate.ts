import { roundedRectangle } from '../../geometry/outline'
import { box, plate } from '../body'
import { across, up } from '../card'
import { defineKind } from '../define'

type Key =
  | 'baseLength'
  | 'baseWidth'
  | 'cutterFromRear'
  | 'cutterFromSide'
  | 'cutterBelow'
  | 'guardLength'
  | 'guardThickness'
  | 'height'
  | 'cordLength'
  | 'balance'
  | 'balanceUp'
  | 'balanceBattery'
  | 'balanceUpBattery'

/** A power tool on a base plate: the plate's underside at z = 0, its rear edge at y = 0, its left edge at x = 0. */
export const kind = defineKind<Key>({
  id: 'base-plate',
  name: 'Base-plate power tool',
  covers: ['circular saw', 'trim saw', 'jigsaw', 'router', 'sander', 'power planer'],
  battery: true,
  fields: {
    baseLength: {
      label: 'Base length',
      hold: 'The base plate from its rear to its front edge.',
      sane: [60, 600],
      typical: 260,
      line: (f) => across('side', 0, f.baseLength, 0, 'below'),
    },
    baseWidth: {
      label: 'Base width',
      hold: 'The base plate from left to right.',
      sane: [40, 400],
      typical: 130,
      line: (f) => across('face', 0, f.baseWidth, 0, 'below'),
    },
    cutterFromRear: {
      label: 'Cutter from the rear',
      hold: 'From the base’s rear edge to where blade, guard or cutter begins.',
      sane: [0, 500],
      typical: (f) => f.baseLength * 0.2,
      noughtAllowed: true,
      optional: 'Left out, only a deck without an opening is sure to suit it.',
      line: (f) => across('side', 0, f.cutterFromRear, 0, 'below'),
    },
    cutterFromSide: {
      label: 'Cutter from the side',
      hold: 'From the base’s left edge, seen from above with the front ahead, to the near side of blade or guard.',
      sane: [0, 350],
      typical: (f) => f.baseWidth * 0.7,
      noughtAllowed: true,
      optional: 'Left out, only a deck without an opening is sure to suit it.',
      line: (f) => across('face', 0, f.cutterFromSide, 0, 'below'),
    },
    cutterBelow: {
      label: 'Sticks out below',
      hold: 'How far blade, guard or cutter stands out below the base, as the tool is put away.',
      sane: [0, 150],
      typical: 30,
      noughtAllowed: true,
      line: (f) => up('side', -f.cutterBelow, 0, f.baseLength, 'right'),
    },
    guardLength: {
      label: 'Guard length',
      hold: 'Below the base: guard, blade or cutter from rear to front.',
      sane: [3, 400],
      typical: (f) => f.baseLength * 0.5,
      optional: 'Left out, only a deck without an opening is sure to suit it.',
      line: (f) => across('side', f.cutterFromRear, f.cutterFromRear + f.guardLength, 0, 'below'),
    },
    guardThickness: {
      label: 'Guard thickness',
      hold: 'Below the base: guard, blade or cutter from left to right.',
      sane: [1, 200],
      typical: 12,
      optional: 'Left out, only a deck without an opening is sure to suit it.',
      line: (f) => across('face', f.cutterFromSide, f.cutterFromSide + f.guardThickness, -f.cutterBelow, 'below'),
    },
    height: {
      label: 'Height above the base',
      hold: 'From the base’s underside to the highest point, battery in.',
      sane: [50, 450],
      typical: 200,
      line: (f) => up('side', 0, f.height, 0),
    },
    cordLength: {
      label: 'Cord length',
      hold: 'From the tool to the plug; nothing where it runs on a battery.',
      sane: [200, 8000],
      typical: 2500,
      optional: 'Left out, it is taken to have none.',
      line: (f) => across('side', -f.baseLength * 0.25, 0, f.height * 0.6, 'in'),
    },
    balance: {
      label: 'Balance along, bare',
      hold: 'Battery out, base on a dowel: from the base’s rear edge to where it balances.',
      sane: [10, 500],
      typical: (f) => f.baseLength * 0.5,
      optional: 'Left out, it is reckoned from the shape: measure it before you trust a deck.',
      line: (f) => across('side', 0, f.balance, f.height),
      balance: { with: 'bare', axis: 'y', at: (reading) => reading },
    },
    balanceUp: {
      label: 'Balance up, bare',
      hold: 'Battery out, on its side across a dowel: from the base’s underside to where it balances.',
      sane: [5, 350],
      typical: (f) => f.height * 0.45,
      optional: 'Left out, it is reckoned from the shape: measure it before you trust a deck.',
      line: (f) => up('face', 0, f.balanceUp, f.baseWidth, 'right'),
      balance: { with: 'bare', axis: 'z', at: (reading) => reading },
    },
    balanceBattery: {
      label: 'Balance along, battery in',
      hold: 'Battery in, base on a dowel: from the base’s rear edge to where it balances.',
      sane: [10, 500],
      typical: (f) => f.balance * 0.9,
      optional: 'Left out, it is reckoned from the two weights and the shape.',
      line: (f) => across('side', 0, f.balanceBattery, f.height),
      balance: { with: 'battery', axis: 'y', at: (reading) => reading },
    },
    balanceUpBattery: {
      label: 'Balance up, battery in',
      hold: 'Battery in, on its side across a dowel: from the base’s underside to where it balances.',
      sane: [5, 350],
      typical: (f) => f.balanceUp,
      optional: 'Left out, it is reckoned from the two weights and the shape.',
      line: (f) => up('face', 0, f.balanceUpBattery, f.baseWidth, 'right'),
      balance: { with: 'battery', axis: 'z', at: (reading) => reading },
    },
  },
  delicate: [
    { value: 'cutter', label: 'blade or cutter' },
    { value: 'base', label: 'the base plate' },
    { value: 'none', label: 'nothing' },
  ],
  attitudes: [
    { turn: 0, label: 'front out' },
    { turn: 1, label: 'along the wall' },
  ],
  clashes: [
    {
      fields: ['cutterFromRear', 'guardLength', 'baseLength'],
      when: (f) => f.cutterFromRear + f.guardLength > f.baseLength * 1.5,
      says: (say, f) =>
        `Guard or cutter ends ${say(f.cutterFromRear + f.guardLength)} from the rear of a base ${say(f.baseLength)} long.`,
    },
    {
      fields: ['cutterFromSide', 'baseWidth'],
      when: (f) => f.cutterFromSide > f.baseWidth * 1.3,
      says: (say, f) => `The cutter stands ${say(f.cutterFromSide)} from the side of a base ${say(f.baseWidth)} wide.`,
    },
    {
      fields: ['balance', 'baseLength'],
      when: (f) => f.balance > f.baseLength,
      says: (say, f) => `It balances ${say(f.balance)} from the rear, off the base (${say(f.baseLength)}).`,
    },
    {
      fields: ['balanceUp', 'height'],
      when: (f) => f.balanceUp >= f.height,
      says: (say, f) => `It can’t balance ${say(f.balanceUp)} up a tool ${say(f.height)} high.`,
    },
  ],
  bodies: (f) => {
    const [l, w, h] = [f.baseLength, f.baseWidth, f.height]
    const base = Math.min(4, h * 0.1)
    return [
      {
        ...box('body', [w * 0.15, w * 0.85], [l * 0.22, l * 0.85], [base, h * 0.72]),
        density: 1900,
        seen: {
          side: roundedRectangle(l * 0.22, base, l * 0.85, h * 0.72, h * 0.16),
          face: roundedRectangle(w * 0.15, base, w * 0.85, h * 0.72, h * 0.1),
        },
      },
      {
        ...box('handle', [w * 0.36, w * 0.64], [l * 0.1, l * 0.66], [h * 0.78, h]),
        seen: { side: roundedRectangle(l * 0.1, h * 0.78, l * 0.66, h, h * 0.09) },
      },
      box('handle', [w * 0.4, w * 0.6], [l * 0.5, l * 0.62], [h * 0.7, h * 0.82]),
      {
        ...box('battery', [w * 0.3, w * 0.7], [-l * 0.06, l * 0.24], [h * 0.52, h * 0.86]),
        seen: { side: roundedRectangle(-l * 0.06, h * 0.52, l * 0.24, h * 0.86, 6) },
      },
      { ...box('blade', [0, w], [0, l], [0, base]), density: 4000 },
      ...(f.cutterBelow > 0
        ? [
            plate(
              'blade',
              'side',
              roundedRectangle(
                f.cutterFromRear,
                -f.cutterBelow,
                f.cutterFromRear + f.guardLength,
                0,
                Math.min(f.cutterBelow, f.guardLength / 2) * 0.9,
              ),
              f.cutterFromSide,
              f.cutterFromSide + f.guardThickness,
            ),
          ]
        : []),
    ]
  },
  captions: { side: 'from its side, front to the right', face: 'looking at its front' },
})
