import type { Rule } from '../../working/figure'

const source = 'Geometry of the rods; limits from workshop practice'
const rule = (id: string, says: string): Rule => ({ id: `twin.${id}`, says, source })

export const extentRule = rule('extent', 'How far the head reaches from the handle’s middle, as the tool is turned.')
export const gapRule = rule('gap', 'Between the rods: the thickest handle, the doubt of its measuring, and the fit.')
export const apartRule = rule('apart', 'From the middle of one rod to the middle of the other: the gap and one rod.')
export const lineRule = rule(
  'line',
  'The handles hang so far out that heads clear the back, and that the rear rod keeps its wood to the ends’ edge.',
)
export const rearRule = rule('rear', 'The rear rod stands half the rods’ distance behind the line of handles.')
export const outRule = rule('out', 'The ends reach past the front rod by their wood to the edge.')
export const belowRule = rule(
  'below',
  'Below a rod, which the tools press down, at least as much wood as the rod is thick.',
)
export const edgeRule = rule('edge', 'Wood from a rod to the other edges: the least, or a part of the rod.')
export const highRule = rule('high', 'An end: the wood below, the rod, and the wood above.')
export const straddleLimitRule = rule(
  'straddle-limit',
  'A head must lie across both rods by a bearing, even when its handle has gone to one side by all its play.',
)
