import type { Rule } from '../../working/figure'

const source = 'Geometry of the rail; limits from workshop practice'
const rule = (id: string, says: string): Rule => ({ id: `rail.${id}`, says, source })

export const extentRule = rule(
  'extent',
  'How far the head reaches from the neck’s centre, as the tool is turned in its seat.',
)
export const restRule = rule(
  'rest',
  'A rectangular neck can’t go to the back of a round bore: its corners meet the bore first and it rests forward; so does an oval one that is longer than the bore is wide.',
)
export const centreRule = rule(
  'centre',
  'Each centre stands from the one before by that head’s right extent, the gap, and this head’s left extent; the first by the margin and its left extent.',
)
export const evenRule = rule('pitch', 'Even pitch takes the greatest neighbour distance everywhere.')
export const lengthRule = rule('length', 'The last centre, that head’s right extent, and the margin.')
export const reachRule = rule(
  'front',
  'From the line of centres to the front edge: the bore and the neck both stay behind the edge by the keep.',
)
export const standOffRule = rule(
  'stand-off',
  'From the rail’s back edge to whatever is behind the head: the back’s thickness when the wall is, nought when the back stands up behind it.',
)
export const centreLineRule = rule(
  'line',
  'One line of centres for all seats: heads clear what is behind them, and the wood behind the slots is at least its part of the depth.',
)
export const depthRule = rule('depth', 'From the back edge to the line of centres, and on to the front edge.')
export const railRule = rule('thickness', 'Boards glued on each other, each as thick as it really is.')
export const bracketLengthRule = rule('bracket-length', 'A bracket reaches under three quarters of the rail’s depth.')
export const bracketHeightRule = rule(
  'bracket-height',
  'A bracket is as high as the back, and reaches a web’s width over it to the rail.',
)
export const bracketAtRule = rule(
  'bracket-at',
  'Brackets are spaced evenly, each moved to where a web is above it; the outermost stand at the ends.',
)
