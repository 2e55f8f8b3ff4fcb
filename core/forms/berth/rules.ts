import type { Rule } from '../../working/figure'

const source = 'Geometry of the shelf; limits from workshop practice'
const rule = (id: string, says: string): Rule => ({ id: `berth.${id}`, says, source })

export const lipRule = rule('lip', 'The lip covers the shelf’s front edge and stands over it by its height.')
export const offRule = rule(
  'tilt-off',
  'A shelf whose front is raised leans back: it stands so far off the back that the tallest thing on it, or a divider, clears it.',
)
export const innerRule = rule('inner', 'A tilted shelf stands between two cheeks.')
export const cheekLengthRule = rule('cheek-length', 'A cheek reaches as far out as the tilted shelf and its lip.')
export const cheekHeightRule = rule('cheek-height', 'A cheek is as high as the tilted shelf with its dividers.')
