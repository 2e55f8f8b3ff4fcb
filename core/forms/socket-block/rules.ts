import type { Rule } from '../../working/figure'

const source = 'Geometry of the block; limits from workshop practice'
const rule = (id: string, says: string): Rule => ({ id: `socket.${id}`, says, source })

export const extentRule = rule(
  'extent',
  'How far the tool reaches from its bore’s axis above the block, the round hole its shank would just pass, and how long that is.',
)
export const oneBoreRule = rule('one', 'One bore for all is what the thickest of them needs.')
export const sinkRule = rule(
  'sink',
  'A handle sinks in as far as its profile was measured and the block leaves a floor under it.',
)
export const pocketRule = rule(
  'pocket',
  'From the tip up, each bit bores as deep as the handle, with its fit, is too wide for the next narrower one; the widest first.',
)
export const wantedDepthRule = rule(
  'depth-wanted',
  'A bit or key stands its whole shank deep; any other tool by its bore and by its length, whichever is more.',
)
export const leastDepthRule = rule(
  'depth-least',
  'A tool stands by itself when this part of its whole length is in the wood.',
)
export const depthRule = rule('depth', 'A blind bore leaves the least floor below it.')
export const blockRule = rule('block', 'Boards glued on each other, each as thick as it really is.')
export const centreRule = rule(
  'centre',
  'Each centre stands from the one before by that handle’s reach, the gap, and this handle’s reach; the first by the margin.',
)
export const pitchRule = rule('pitch', 'An even pitch takes the greatest neighbour distance of all rows everywhere.')
export const lengthRule = rule('length', 'From the datum end past the handle that reaches furthest, and the margin.')
export const standOffRule = rule(
  'stand-off',
  'From the block’s back edge to whatever is behind the handles: the back’s thickness when the wall is, nought when the back stands up behind them.',
)
export const edgeRule = rule(
  'edge',
  'Wood from a bore to an edge: the least, or a part of the bore, whichever is more.',
)
export const firstRowRule = rule(
  'first-row',
  'The back row clears what is behind it, and keeps its wood to the back edge.',
)
export const rowStepRule = rule('row-step', 'From row to row: the reach of both and the gap.')
export const staggerRule = rule(
  'stagger',
  'Staggered rows stand so near that the nearest neighbours, half a pitch aside, are just as far apart as they must be.',
)
export const rowRule = rule('row', 'Each row stands a step in front of the one behind it.')
export const widthRule = rule(
  'width',
  'From the back edge to the front row, half its widest bore, and its wood to the edge.',
)
export const offRule = rule(
  'tilt-off',
  'A block that leans forward leans back below: it stands so far off the back that its lower edge, and what hangs out below it, clears the wall.',
)
export const cheekLengthRule = rule('cheek-length', 'A cheek reaches as far out as the block at its tilt.')
export const cheekHeightRule = rule(
  'cheek-height',
  'A cheek reaches from the top of the back row down to the lowest edge.',
)
export const backLengthRule = rule('back-length', 'The back is as long as the block and its two cheeks.')
export const rowBoardRule = rule(
  'row-board',
  'Each row’s board reaches half of the way to its neighbours, the outermost to the block’s edges.',
)
export const inBoardRule = rule(
  'row-in-board',
  'A row stands in its own board as far from its back edge as the board begins behind it.',
)
export const aboveRule = rule('above', 'What stands above the block: the whole length, less what goes in.')
