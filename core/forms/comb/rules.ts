import type { Rule } from '../../working/figure'

const source = 'Geometry of the comb; limits from workshop practice'
const rule = (id: string, says: string): Rule => ({ id: `comb.${id}`, says, source })

export const extentRule = rule('extent', 'How far the head reaches from the middle of its bar, lying along the wall.')
export const lengthRule = rule('length', 'How long a tool is: at least so far as its span, its other end lies free.')
export const spanRule = rule(
  'span',
  'Half of the shortest tool lies between the outsides of the posts: its head hangs out on one side, its end on the other.',
)
export const lineRule = rule(
  'line',
  'From the back edge to the ends of the slots: heads clear the back, and wood stays behind the widest slot.',
)
export const depthRule = rule(
  'depth',
  'A slot runs at least so far in that its bar lies behind the front edge by the keep.',
)
export const inwardRule = rule(
  'inward',
  'A rear slot runs so far in from the back edge that its bar lies in front of that edge by the keep.',
)
export const behindRule = rule(
  'behind',
  'Behind posts with slots in both edges a bar has room to come out, its head clear of the back; then it is drawn out sideways.',
)
export const tallerRule = rule('taller', 'Posts are as high as the higher of the two rows takes.')
export const frameRule = rule('frame', 'Top and bottom reach from the back to the posts’ front edges.')
export const backHighRule = rule('back-high', 'The back is as high as the posts with top and bottom.')
export const runRule = rule('run', 'From the front edge to the end of a slot, square to the edge.')
export const dropRule = rule(
  'drop',
  'A slot ends lower than it begins by its run times the tangent of its slope: so far a bar must be lifted to come out.',
)
export const apartRule = rule(
  'apart',
  'The saw lines of a sloped slot are further apart along the edge than it is wide.',
)
export const postRule = rule(
  'post',
  'A post is as high as its tools take, and by a slot’s drop higher: slots leave the front edge above where they end.',
)
export const turnedRule = rule('turned', 'A flat bar lies at the slope of its slot, and its head is turned with it.')
export const restRule = rule(
  'rest',
  'A flat bar lies on the lower side of its slot: its rear edge comes no further than the middle of the round end.',
)
