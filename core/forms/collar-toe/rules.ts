import type { Rule } from '../../working/figure'

const source = 'Geometry of collar and toe; limits from workshop practice'
const rule = (id: string, says: string): Rule => ({ id: `collar.${id}`, says, source })

export const extentRule = rule('extent', 'How far the tool reaches aside where it is widest, handle down.')
export const heightRule = rule('height', 'The collar holds the shortest tool at six tenths of its length.')
export const cupRule = rule(
  'cup',
  'A cup is as deep as it is set, and leaves the least floor below it: the bit must not come through.',
)
export const lineRule = rule(
  'line',
  'Collar and toe have one line of centres: the tools clear the back, and their holes keep their wood to the back edge.',
)
export const depthRule = rule(
  'depth',
  'From the line of centres to the front edge: half of the widest hole, and its wood.',
)
export const backRule = rule('back', 'The back reaches from the top of the collar to the underside of the toe.')
export const aboveRule = rule('above', 'A tool is held where enough of it stands above the collar to be taken by.')
