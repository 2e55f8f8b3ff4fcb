import type { Rule } from '../../working/figure'

const source = 'Geometry of the pipe; workshop practice'
const rule = (id: string, says: string): Rule => ({ id: `pipe.${id}`, says, source })

export const extentRule = rule('extent', 'How far it reaches to each side and out, where it is widest; and a pipe as far as it is wide.') // prettier-ignore
export const boreRule = rule('bore', 'A pipe is as wide inside as outside, less its wall twice.')
export const lengthRule = rule('length', 'A pipe reaches up a part of the longest tool, as a blind bore would, and no less than three times its own width.') // prettier-ignore
export const lowRule = rule('low', 'A slanted cut makes the front lower than the back by the pipe’s width times the tangent of the slant.') // prettier-ignore
export const pairRule = rule('pair', 'Two alike pipes come out of one piece by one slanted cut: twice the long side, less what the slant takes once, and the kerf along the cut.') // prettier-ignore
export const collarRule = rule('collar', 'The collar stands below the lowest part of the mouths.')
export const lineRule = rule(
  'line',
  'The pipes stand so far out that no head touches the back, and with wood behind them.',
)
export const depthRule = rule('depth', 'The boards reach past the pipes as far as wood is kept before them.')
export const backRule = rule('back', 'The back is as high as from below the stop to the top of the collar.')
