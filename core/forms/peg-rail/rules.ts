import type { Rule } from '../../working/figure'

const source = 'Geometry of the pins; limits from workshop practice'
const rule = (id: string, says: string): Rule => ({ id: `peg.${id}`, says, source })

export const sizeRule = rule('size', 'What hangs on a pin, by its own figures.')
export const gapRule = rule('gap', 'Between two pins: the neck, the doubt of its measuring, and the fit.')
export const pairRule = rule('pair', 'From the middle of one pin to the middle of the other: the gap and one pin.')
export const besideRule = rule('beside', 'To each side: the head, or its pin where that stands further out.')
export const leftPinRule = rule('left-pin', 'The pins of a pair stand half their distance to each side of the middle.')
export const armRule = rule('arm', 'From the rail’s face to where the load hangs on its pin.')
export const longRule = rule('long', 'Past where the load hangs: half of what hangs there, and the keep.')
export const pinLengthRule = rule('pin-length', 'What stands out, along the slant, and what is in the wood.')
export const railRule = rule('rail', 'Boards glued on each other, each as thick as it really is.')
export const heightRule = rule(
  'height',
  'Above and below a pin stays twice its thickness, or the least web; a slanted hole moves a little up on its way.',
)
export const lineRule = rule('line', 'The pins stand a little above the middle, for they press down.')
export const straddleLimitRule = rule(
  'straddle-limit',
  'A head must reach over the tops of both pins by a bearing, even when its neck has gone to one side by all its play.',
)
