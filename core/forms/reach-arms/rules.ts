import type { Rule } from '../../working/figure'

const source = 'Geometry of the arms; proportions from workshop practice'
const rule = (id: string, says: string): Rule => ({ id: `arms.${id}`, says, source })

export const extentRule = rule('extent', 'How far the head reaches from the bar’s middle, as the tool is turned.')
export const gapRule = rule('gap', 'Between the arms: the thickest bar, the doubt of its measuring, and the fit.')
export const acrossLimitRule = rule(
  'across-limit',
  'A head must lie on both arms by a bearing, even when its bar has gone to one side by all its play.',
)
export const highRule = rule('high', 'An arm is a quarter as high as it is long, and no lower than 60 mm.')
export const noseRule = rule('nose', 'The underside slopes up to a blunt nose, a third as high as the arm.')
export const backRule = rule('back', 'The back stands out beyond the arms by the margin on both sides.')
export const spotRule = rule('spot', 'A place on the arms, with the back before it.')
export const backHighRule = rule('back-high', 'The back is as high as it is set, and no lower than the arms.')
