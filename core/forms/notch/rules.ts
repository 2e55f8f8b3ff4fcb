import type { Rule } from '../../working/figure'

const source = 'Geometry of the notch; workshop practice'
const rule = (id: string, says: string): Rule => ({ id: `notch.${id}`, says, source })

export const sizeRule = rule('size', 'How wide it is to each side of its button, and how far it stands out.')
export const neededRule = rule('needed', 'A notch must be as wide as the shaft, with its doubt and the fit.')
export const widthRule = rule('width', 'The smallest bit that is wide enough and still holds the button; else it is sawn.') // prettier-ignore
export const runRule = rule('run', 'From the upper edge to the middle of a notch’s end: half of the widest button, and the wood over it that it is lifted by.') // prettier-ignore
export const thickRule = rule('thick', 'A button that nobody measured is taken to be half as thick as it is wide.')
export const belowRule = rule('below', 'The strip begins below the lowest edge of every button, clear of it.')
export const plateRule = rule('plate', 'The plate reaches from its upper edge past the buttons, and down the strip that holds it.') // prettier-ignore
export const backRule = rule('back', 'The back is as high as it is set, and no lower than the plate.')
export const reachRule = rule('reach', 'The back, the strip and the plate, one before the other.')
