import { polygon, roundedRectangle } from '../../geometry/outline'
import { box, plate } from '../body'
import { across, up } from '../card'
import { defineKind, FACE_TURNS, type Figures } from '../define'
import type { Measured } from '../kind'
import { hanging, part } from '../neck'

type Key =
  | 'neckWidth'
  | 'neckDepth'
  | 'neckToBattery'
  | 'bodyLength'
  | 'bodyWidth'
  | 'overallHeight'
  | 'noseLength'
  | 'noseDiameter'
  | 'balance'
  | 'balanceBattery'

/** Height of the body above the neck. */
const rise = (f: Figures<Key>) =>
  Math.max(f.noseDiameter * 1.2, f.overallHeight - f.neckToBattery - f.overallHeight * 0.22)
/** The nose points out; the neck's middle is at y = 0, behind the body's middle. */
const FORWARD = 0.62
const front = (f: Figures<Key>) => f.bodyLength * FORWARD
const rear = (f: Figures<Key>) => front(f) - f.bodyLength

/** What it takes to hang it by its neck. */
const NEEDS = ['neckWidth', 'neckDepth', 'neckToBattery', 'bodyLength', 'bodyWidth', 'noseLength', 'overallHeight'] as const // prettier-ignore

/** The battery stands out behind the neck by these parts of the neck's depth and of what is between neck and battery, as it is drawn. */
const BATTERY_BEHIND = { depth: 0.95, lean: 0.14 }

/** The grip goes straight down for this part of what is between neck and battery before it leans, as it is drawn. */
const STRAIGHT = 0.45

/** A belt hook stands out from this part of half the body's width, by so much, mm; as it is drawn. */
const HOOK = { from: 0.8, out: 16 }

/** How far the body, or the battery below it, reaches behind the neck's middle. */
function behind(m: Record<string, number>): Measured {
  const body = part(m, 'bodyLength', Number((1 - FORWARD).toFixed(2)))
  const { depth, lean } = BATTERY_BEHIND
  const value = m.neckDepth! * depth + m.neckToBattery! * lean
  if (body.value >= value) return body
  const expression = `{neckDepth} × ${depth} + {neckToBattery} × ${lean}`
  return { value, expression, moves: { neckDepth: depth, neckToBattery: lean } }
}

/** To the side of the belt hook, where it stands out further than the body. */
function besideHook(m: Record<string, number>, body: Measured): Measured {
  const value = (m.bodyWidth! * HOOK.from) / 2 + HOOK.out
  if (value <= body.value) return body
  const times = HOOK.from / 2
  return { value, expression: `{bodyWidth} × ${times} + [${HOOK.out} mm]`, moves: { bodyWidth: times } }
}

/** A power tool held by a pistol grip, hung by the neck between body and grip, nose out. */
export const kind = defineKind<Key>({
  id: 'pistol-grip',
  name: 'Pistol-grip tool',
  covers: ['drill', 'driver drill', 'impact driver', 'nailer', 'heat gun', 'glue gun', 'screw gun'],
  battery: true,
  fields: {
    neckWidth: {
      label: 'Neck width',
      hold: 'Across the grip just below the body, where a slot would pass it.',
      sane: [15, 90],
      typical: 36,
      line: (f) => across('face', -f.neckWidth / 2, f.neckWidth / 2, -f.neckToBattery * 0.3, 'in'),
    },
    neckDepth: {
      label: 'Neck depth',
      hold: 'The grip just below the body, from its front to its back, the trigger let go.',
      sane: [20, 120],
      typical: 50,
      line: (f) => across('side', -f.neckDepth / 2, f.neckDepth / 2, -f.neckToBattery * 0.3, 'in'),
    },
    neckToBattery: {
      label: 'Neck to battery',
      hold: 'From the underside of the body down to the top of the battery or the foot.',
      sane: [40, 220],
      typical: 100,
      line: (f) => up('side', -f.neckToBattery, 0, rear(f)),
    },
    bodyLength: {
      label: 'Body length',
      hold: 'The body from its rear to its front, without chuck or nose.',
      sane: [50, 400],
      typical: 130,
      line: (f) => across('side', rear(f), front(f), rise(f)),
    },
    bodyWidth: {
      label: 'Body width',
      hold: 'The body from left to right at its widest.',
      sane: [30, 160],
      typical: 64,
      line: (f) => across('face', -f.bodyWidth / 2, f.bodyWidth / 2, rise(f)),
    },
    overallHeight: {
      label: 'Overall height',
      hold: 'From the foot, battery in, to the top of the body.',
      sane: [90, 450],
      typical: 220,
      line: (f) => up('side', rise(f) - f.overallHeight, rise(f), rear(f)),
    },
    noseLength: {
      label: 'Nose length',
      hold: 'From the front of the body to the tip of chuck or nose, without a bit.',
      sane: [0, 200],
      typical: 45,
      noughtAllowed: true,
      line: (f) => across('side', front(f), front(f) + f.noseLength, rise(f)),
    },
    noseDiameter: {
      label: 'Nose diameter',
      hold: 'Across chuck or nose at its thickest.',
      sane: [8, 120],
      typical: 42,
      line: (f) => across('face', -f.noseDiameter / 2, f.noseDiameter / 2, rise(f) / 2, 'in'),
    },
    balance: {
      label: 'Balance, bare',
      hold: 'Battery out, on its side across a dowel: from the tip of the nose to where it balances.',
      sane: [10, 400],
      typical: (f) => f.noseLength + f.bodyLength * 0.55,
      optional: 'Left out, it is reckoned from the shape.',
      line: (f) =>
        across(
          'side',
          front(f) + f.noseLength - f.balance,
          front(f) + f.noseLength,
          rise(f) - f.overallHeight,
          'below',
        ),
      balance: { with: 'bare', axis: 'y', at: (reading, f) => front(f) + f.noseLength - reading },
    },
    balanceBattery: {
      label: 'Balance, battery in',
      hold: 'Battery in, on its side across a dowel: from the tip of the nose to where it balances.',
      sane: [10, 400],
      typical: (f) => f.balance * 1.05,
      optional: 'Left out, it is reckoned from the two weights and the shape.',
      line: (f) =>
        across(
          'side',
          front(f) + f.noseLength - f.balanceBattery,
          front(f) + f.noseLength,
          rise(f) - f.overallHeight,
          'below',
        ),
      balance: { with: 'battery', axis: 'y', at: (reading, f) => front(f) + f.noseLength - reading },
    },
  },
  options: [
    {
      key: 'beltHook',
      label: 'Belt hook',
      values: [
        { value: 'none', label: 'none' },
        { value: 'left', label: 'on the left' },
        { value: 'right', label: 'on the right' },
      ],
    },
  ],
  delicate: [
    { value: 'none', label: 'nothing' },
    { value: 'nose', label: 'the nose' },
    { value: 'trigger', label: 'the trigger' },
  ],
  attitudes: FACE_TURNS.map((a) => ({ ...a, label: a.label.replace('face', 'nose') })),
  clashes: [
    {
      fields: ['neckWidth', 'bodyWidth'],
      when: (f) => f.neckWidth >= f.bodyWidth,
      says: (say, f) =>
        `The neck (${say(f.neckWidth)}) is as wide as the body (${say(f.bodyWidth)}): nothing would hold it up.`,
    },
    {
      fields: ['neckToBattery', 'overallHeight'],
      when: (f) => f.neckToBattery >= f.overallHeight,
      says: (say, f) =>
        `From neck to battery (${say(f.neckToBattery)}) is as much as the whole height (${say(f.overallHeight)}).`,
    },
    {
      fields: ['balance', 'bodyLength', 'noseLength'],
      when: (f) => f.balance > f.bodyLength + f.noseLength,
      says: (say, f) => `It can’t balance ${say(f.balance)} behind the nose: nose and body are shorter than that.`,
    },
  ],
  bodies: (f, { options }) => {
    const [w, n, h] = [f.bodyWidth / 2, f.neckWidth / 2, rise(f)]
    const foot = h - f.overallHeight
    const [depth, straight] = [f.neckDepth, f.neckToBattery * STRAIGHT]
    const nose = f.noseDiameter / 2
    const lean = f.neckToBattery * BATTERY_BEHIND.lean
    return [
      {
        ...plate(
          'body',
          'side',
          polygon([
            [-depth / 2, -straight],
            [-depth / 2, 4],
            [depth / 2, 4],
            [depth / 2, -straight],
            [depth * 0.42 - lean, -f.neckToBattery],
            [-depth * 0.55 - lean, -f.neckToBattery],
          ]),
          -n,
          n,
        ),
        seen: { face: roundedRectangle(-n, -f.neckToBattery, n, 4, 6) },
      },
      {
        ...box(
          'battery',
          [-w * 0.8, w * 0.8],
          [-depth * BATTERY_BEHIND.depth - lean, depth * 0.9 - lean],
          [foot, -f.neckToBattery],
        ),
        seen: {
          side: roundedRectangle(-depth * BATTERY_BEHIND.depth - lean, foot, depth * 0.9 - lean, -f.neckToBattery, 6),
          face: roundedRectangle(-w * 0.8, foot, w * 0.8, -f.neckToBattery, 6),
        },
      },
      ...(f.noseLength > 0
        ? [
            {
              ...box('head', [-nose, nose], [front(f), front(f) + f.noseLength], [h / 2 - nose, h / 2 + nose]),
              density: 4500,
              seen: {
                side: polygon([
                  [front(f), h / 2 - nose],
                  [front(f) + f.noseLength * 0.6, h / 2 - nose],
                  [front(f) + f.noseLength, h / 2 - nose * 0.45],
                  [front(f) + f.noseLength, h / 2 + nose * 0.45],
                  [front(f) + f.noseLength * 0.6, h / 2 + nose],
                  [front(f), h / 2 + nose],
                ]),
              },
            },
          ]
        : []),
      {
        ...box('body', [-w, w], [rear(f), front(f)], [0, h]),
        density: 2600,
        seen: {
          side: roundedRectangle(rear(f), 0, front(f), h, h * 0.3),
          face: roundedRectangle(-w, 0, w, h, w * 0.7),
        },
      },
      ...(options.beltHook === 'none'
        ? []
        : [
            box(
              'blade',
              options.beltHook === 'left' ? [-w * HOOK.from - HOOK.out, -w * HOOK.from] : [w * HOOK.from, w * HOOK.from + HOOK.out], // prettier-ignore
              [-12 - lean, 12 - lean],
              [-f.neckToBattery - 26, -f.neckToBattery],
            ),
          ]),
    ]
  },
  // hung by the body over the neck, the battery below what carries it
  neck: hanging(NEEDS, (m, options) => {
    const body = part(m, 'bodyWidth', 0.5)
    const side = (hook: string): Measured => (options.beltHook === hook ? besideHook(m, body) : body)
    return {
      front: {
        value: m.bodyLength! * FORWARD + m.noseLength!,
        expression: `{bodyLength} × ${FORWARD} + {noseLength}`,
        moves: { bodyLength: FORWARD, noseLength: 1 },
      },
      back: behind(m),
      right: side('right'),
      left: side('left'),
      width: part(m, 'neckWidth'),
      thickness: part(m, 'neckDepth'),
      shape: 'rectangular',
      room: part(m, 'neckToBattery', STRAIGHT),
    }
  }),
  captions: { side: 'from its side, nose to the right', face: 'looking at its nose' },
})
