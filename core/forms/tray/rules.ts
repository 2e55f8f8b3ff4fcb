import type { Rule } from '../../working/figure'

const source = 'Geometry of the tray; workshop practice'
const rule = (id: string, says: string): Rule => ({ id: `tray.${id}`, says, source })

export const frontRule = rule('front', 'The front is half as high as the tallest thing, so that a knock does not throw it out, but hides no more than three quarters of the lowest; and no lower than a lip.') // prettier-ignore
export const frontBoardRule = rule('front-board', 'The front covers the floor’s front edge and stands over it by its height.') // prettier-ignore
export const sidesRule = rule('sides', 'At the back the ends are three quarters as high as the tallest thing, and no lower than the front.') // prettier-ignore
export const backRule = rule('back', 'The back is as high as it is set, and no lower than the ends.')
export const holeRule = rule('hole', 'The smallest bit that makes a hole for air so wide.')
export const cordRule = rule('cord', 'The smallest bit that makes a slot so wide for a cord; else it is sawn.')
export const holeAtRule = rule('hole-at', 'Holes for air stand side by side, twice their width apart, about the middle of what has vents.') // prettier-ignore
export const holeUpRule = rule(
  'hole-up',
  'The lowest part of a hole for air stands over the floor by the least wood to an edge.',
)
export const cordUpRule = rule('cord-up', 'A slot for a cord ends over the floor by the least wood to an edge.')
export const cordOutRule = rule('cord-out', 'In an end a cord’s slot stands before the middle of its thing.')
