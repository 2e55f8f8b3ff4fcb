import type { Rule } from '../../working/figure'

const source = 'Geometry of the bar; limits from workshop practice'
const rule = (id: string, says: string): Rule => ({ id: `saw.${id}`, says, source })

export const handleRule = rule('handle', 'A handle stands over its kerf: half of it on either side.')
export const plateRule = rule('plate', 'What goes through the kerf: the plate, or the back that stiffens it.')
export const kerfRule = rule(
  'kerf',
  'A kerf is as wide as what goes into it needs, but no narrower than the narrowest blade that is wide enough leaves it.',
)
export const passesRule = rule(
  'passes',
  'A kerf wider than the blade takes several passes, each overlapping the one before by a tenth.',
)
export const deepRule = rule(
  'deep',
  'From the front edge in: the plate at its heel, kept behind the edge, and clear of its teeth at the far end.',
)
export const depthRule = rule('depth', 'Behind the kerfs at least its part of the bar’s depth stays whole.')
export const centreLineRule = rule('end', 'Where the kerfs end, counted from the back edge.')
export const guideRule = rule(
  'guide',
  'The guide stands so far below that the shortest plate still reaches through it.',
)
export const backRule = rule('back', 'The back reaches from the top of the bar to the underside of the guide.')
