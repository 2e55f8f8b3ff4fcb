import { circle, rectangle, roundedRectangle } from '../../geometry/outline'
import { plate, type Body } from '../body'
import { across, up } from '../card'
import { defineKind } from '../define'

type Key =
  'buttonDiameter' | 'buttonThickness' | 'shaftDiameter' | 'backToButton' | 'bodyDepth' | 'bodyWidth' | 'bodyHeight'

/** A round part along the depth, between two distances from the back. */
const round = (part: 'blade' | 'head', r: number, from: number, to: number): Body => ({
  ...plate(part, 'face', circle(0, 0, r), from, to),
  seen: { side: rectangle(from, -r, to, r), top: rectangle(-r, from, r, to) },
})

/** Something that hangs from a stud or a button on its back, as an instrument by its strap button. The button's shaft is at the origin. */
export const kind = defineKind<Key>({
  id: 'buttoned',
  name: 'Hung from a button',
  covers: ['fiddle', 'stringed instrument', 'decoy', 'odd thing with a button'],
  fields: {
    buttonDiameter: {
      label: 'Button diameter',
      hold: 'Across the button’s head.',
      sane: [4, 60],
      typical: 15,
      line: (f) => up('side', -f.buttonDiameter / 2, f.buttonDiameter / 2, -f.backToButton - f.buttonThickness - 4),
    },
    buttonThickness: {
      label: 'Button thickness',
      hold: 'Of the button’s head, from its outside to its inside.',
      sane: [1, 40],
      typical: (f) => f.buttonDiameter * 0.5,
      optional: 'Left out, it is taken to be half as thick as it is wide.',
      line: (f) => across('side', -f.backToButton - f.buttonThickness, -f.backToButton, f.buttonDiameter / 2),
    },
    shaftDiameter: {
      label: 'Shaft diameter',
      hold: 'Across the shaft between the button and the body.',
      sane: [2, 40],
      typical: (f) => f.buttonDiameter * 0.5,
      line: (f) => up('side', -f.shaftDiameter / 2, f.shaftDiameter / 2, -f.backToButton / 2, 'in'),
    },
    backToButton: {
      label: 'Back to button',
      hold: 'From the back of the body to the inside of the button’s head: how deep the notch’s wood may be.',
      sane: [2, 60],
      typical: 9,
      line: (f) => across('side', -f.backToButton, 0, f.bodyHeight * 0.2),
    },
    bodyDepth: {
      label: 'Depth of the body',
      hold: 'From the back to the front at the thickest.',
      sane: [5, 400],
      typical: 90,
      line: (f) => across('side', 0, f.bodyDepth, f.bodyHeight * 0.2),
    },
    bodyWidth: {
      label: 'Width of the body',
      hold: 'Looking at its front: from left to right.',
      sane: [20, 700],
      typical: 220,
      line: (f) => across('face', -f.bodyWidth / 2, f.bodyWidth / 2, f.bodyHeight * 0.2),
    },
    bodyHeight: {
      label: 'Height of the body',
      hold: 'From top to bottom as it hangs.',
      sane: [30, 1600],
      typical: 420,
      optional: 'Left out, it is only drawn as a guess.',
      line: (f) => up('face', -f.bodyHeight * 0.8, f.bodyHeight * 0.2, -f.bodyWidth / 2),
    },
  },
  delicate: [
    { value: 'finish', label: 'its finish' },
    { value: 'neck', label: 'its neck' },
    { value: 'none', label: 'nothing' },
  ],
  clashes: [
    {
      fields: ['shaftDiameter', 'buttonDiameter'],
      when: (f) => f.shaftDiameter >= f.buttonDiameter,
      says: (say, f) =>
        `The shaft (${say(f.shaftDiameter)}) is as thick as the button (${say(f.buttonDiameter)}): nothing would hold it up.`,
    },
  ],
  bodies: (f) => {
    const [w, h, d] = [f.bodyWidth / 2, f.bodyHeight, f.bodyDepth]
    const [b, s] = [f.buttonDiameter / 2, f.shaftDiameter / 2]
    return [
      { ...plate('body', 'face', roundedRectangle(-w, -h * 0.8, w, h * 0.2, w * 0.7), 0, d), density: 350 },
      round('blade', s, -f.backToButton, 0),
      round('head', b, -f.backToButton - f.buttonThickness, -f.backToButton),
    ]
  },
  captions: { side: 'from its side, back to the left', face: 'looking at its front' },
})
