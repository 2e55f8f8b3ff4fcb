import { circle, polygon, roundedRectangle } from '../../geometry/outline'
import { box, plate, type Body } from '../body'
import { across, up } from '../card'
import { defineKind } from '../define'

type Key = 'soleLength' | 'soleWidth' | 'height' | 'knobPosition' | 'handlePosition' | 'balance'

/** Tools that are pushed or pulled over the work on a sole or a bevel. The sole lies at z = 0, its heel at y = 0. */
export const kind = defineKind<Key>({
  id: 'plane',
  name: 'Plane, shave, scraper',
  covers: ['plane', 'block plane', 'spokeshave', 'drawknife', 'scraper', 'shoulder plane'],
  knownBy: 'soleLength',
  fields: {
    soleLength: {
      label: 'Sole length',
      hold: 'From heel to toe; of a drawknife or shave, the blade or sole from front to back.',
      sane: [10, 700],
      typical: 240,
      line: (f) => across('side', 0, f.soleLength, 0, 'below'),
    },
    soleWidth: {
      label: 'Sole width',
      hold: 'The sole from left to right; of a shave or drawknife, from handle end to handle end.',
      sane: [15, 600],
      typical: 62,
      line: (f) => across('face', -f.soleWidth / 2, f.soleWidth / 2, 0, 'below'),
    },
    height: {
      label: 'Height',
      hold: 'From the sole, set on a flat board, to the highest point.',
      sane: [10, 250],
      typical: 130,
      line: (f) => up('side', 0, f.height, 0),
    },
    knobPosition: {
      label: 'Knob position',
      hold: 'From the heel to the middle of the front knob.',
      sane: [5, 650],
      typical: (f) => f.soleLength * 0.84,
      optional: 'Left out, or where there is none, it is only drawn as a guess.',
      line: (f) => across('side', 0, f.knobPosition, f.height),
    },
    handlePosition: {
      label: 'Handle position',
      hold: 'From the heel to the middle of the rear handle.',
      sane: [5, 650],
      typical: (f) => f.soleLength * 0.24,
      optional: 'Left out, or where there is none, it is only drawn as a guess.',
      line: (f) => across('side', 0, f.handlePosition, f.height),
    },
    balance: {
      label: 'Balance point',
      hold: 'From the heel to where it balances across a dowel.',
      sane: [5, 500],
      typical: (f) => f.soleLength * 0.52,
      optional: 'Left out, it is reckoned from the shape.',
      line: (f) => across('side', 0, f.balance, 0, 'below'),
      balance: { with: 'bare', axis: 'y', at: (reading) => reading },
    },
  },
  options: [
    {
      key: 'type',
      label: 'It is a',
      values: [
        { value: 'plane', label: 'plane' },
        { value: 'block', label: 'block plane' },
        { value: 'shave', label: 'shave' },
        { value: 'drawknife', label: 'drawknife' },
        { value: 'scraper', label: 'scraper' },
      ],
    },
  ],
  delicate: [
    { value: 'edge', label: 'the edge, which rests on nothing' },
    { value: 'none', label: 'nothing' },
  ],
  attitudes: [
    { turn: 0, label: 'toe out' },
    { turn: 1, label: 'along the wall' },
  ],
  clashes: [
    {
      fields: ['knobPosition', 'soleLength'],
      when: (f) => f.knobPosition > f.soleLength,
      says: (say, f) =>
        `The knob can’t stand ${say(f.knobPosition)} from the heel of a sole ${say(f.soleLength)} long.`,
    },
    {
      fields: ['handlePosition', 'knobPosition'],
      when: (f) => f.handlePosition >= f.knobPosition,
      says: (say, f) =>
        `The handle (${say(f.handlePosition)} from the heel) stands in front of the knob (${say(f.knobPosition)}).`,
    },
    {
      fields: ['balance', 'soleLength'],
      when: (f) => f.balance >= f.soleLength,
      says: (say, f) => `It can’t balance ${say(f.balance)} from the heel of a sole ${say(f.soleLength)} long.`,
    },
  ],
  bodies: (f, { options }) => {
    const [l, h, w] = [f.soleLength, f.height, f.soleWidth / 2]
    if (options.type === 'drawknife' || options.type === 'shave') {
      const grip = Math.min(w * 0.36, 110)
      const thick = Math.min(l * 0.5, 26)
      const knife = options.type === 'drawknife'
      const handle = (side: 1 | -1): Body => ({
        ...box('handle', [side * w, side * (w - grip)], [-thick / 2 + l / 2, thick / 2 + l / 2], [h * 0.35, h]),
        seen: {
          face: roundedRectangle(
            Math.min(side * w, side * (w - grip)),
            knife ? h * 0.3 : h * 0.4,
            Math.max(side * w, side * (w - grip)),
            h,
            8,
          ),
        },
      })
      return [
        { ...box('blade', [-(w - grip * 0.8), w - grip * 0.8], [0, l], [0, Math.max(h * 0.45, 3)]), density: 5000 },
        handle(1),
        handle(-1),
      ]
    }
    if (options.type === 'scraper') return [box('blade', [-w, w], [0, l], [0, h])]
    const body = plate(
      'head',
      'side',
      polygon([
        [0, 0],
        [l, 0],
        [l, h * 0.12],
        [l * 0.7, h * 0.34],
        [l * 0.35, h * 0.34],
        [0, h * 0.12],
      ]),
      -w,
      w,
    )
    const iron = plate(
      'blade',
      'side',
      polygon([
        [l * 0.62, 0],
        [l * 0.65, 0],
        [l * 0.42, h * (options.type === 'block' ? 0.95 : 0.78)],
        [l * 0.38, h * (options.type === 'block' ? 0.9 : 0.72)],
      ]),
      -w * 0.8,
      w * 0.8,
    )
    if (options.type === 'block')
      return [{ ...body, density: 2600 }, iron, box('head', [-w, w], [l * 0.25, l * 0.6], [h * 0.3, h])]
    const knob = Math.min(h * 0.2, l * 0.08)
    return [
      { ...body, density: 2600 },
      iron,
      {
        ...box('handle', [-13, 13], [f.handlePosition - l * 0.06, f.handlePosition + l * 0.06], [h * 0.2, h]),
        seen: {
          side: polygon([
            [f.handlePosition - l * 0.06, h * 0.2],
            [f.handlePosition + l * 0.07, h * 0.2],
            [f.handlePosition + l * 0.03, h],
            [f.handlePosition - l * 0.12, h * 0.95],
          ]),
        },
      },
      {
        ...box('handle', [-knob, knob], [f.knobPosition - knob, f.knobPosition + knob], [h * 0.25, h * 0.62]),
        seen: {
          side: roundedRectangle(f.knobPosition - knob, h * 0.25, f.knobPosition + knob, h * 0.62, knob * 0.8),
          top: circle(0, f.knobPosition, knob),
        },
      },
    ]
  },
  captions: { side: 'from its side, toe to the right', face: 'looking at its toe' },
})
