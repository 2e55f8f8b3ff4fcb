import type { Rule } from '../../working/figure'

const source = 'Geometry of a leaning deck; allowances from workshop practice'
const rule = (id: string, says: string): Rule => ({ id: `deck.${id}`, says, source })

export const halfRule = rule('half', 'A base takes half of its width to each side of its middle, and more where something stands out beyond it.') // prettier-ignore
export const sizeRule = rule('size', 'How far it reaches up the deck, or over it, as it stands.')
export const depthRule = rule('depth', 'The deck is as long, up its slope, as the longest base with what stands out behind it, clear of the back; under a lip by a bearing more, to draw it out.') // prettier-ignore
export const offRule = rule(
  'off',
  'Leaning, the deck’s lower face would reach into the back: it stands off by that much.',
)
export const deckLengthRule = rule('deck-length', 'Deck and stop stand between two cheeks.')
export const stopBoardRule = rule('stop-board', 'The stop covers the deck’s lower edge and stands over the deck by its height.') // prettier-ignore
export const stopUnderLipRule = rule('stop-under-lip', 'Under a lip the stop is as high as the plate is thick, and loose by the fit.') // prettier-ignore
export const lipRule = rule('lip', 'The lip lies on the stop and reaches over the plate by a bearing.')
export const slotEndRule = rule('slot-end', 'The slot for blade and guard ends 6 mm before them, counted from the deck’s upper edge; it is open there.') // prettier-ignore
export const slotWideRule = rule('slot-wide', 'As wide as the guard is thick and the fit; along the wall as wide as it is long and 12 mm.') // prettier-ignore
export const slotAtRule = rule('slot-at', 'The middle of blade and guard, from the end of the deck.')
export const cheekLengthRule = rule('cheek-length', 'A cheek reaches as far out as the deck and its stop.')
export const noseRule = rule('nose', 'In front a cheek is as high as the deck is thick and the stop stands over it, both at the slope.') // prettier-ignore
export const cheekHeightRule = rule('cheek-height', 'Its upper edge runs up to the back at the deck’s slope: a right triangle over a blunt nose.') // prettier-ignore
export const backRule = rule('back', 'The back is as high as it is set, and no lower than the cheeks.')
export const upRule = rule('up', 'The balance point up the deck from the stop: how far it is from the edge that rests on it, less what its figures may be out by.') // prettier-ignore
export const tipsRule = rule(
  'tips',
  'A tool tips over its stop when its balance point stands over the upper edge of what bears on it: at atan(up the deck / height above that edge, and what that may be out by). What balances no higher never does.',
)
export const tipSpareRule = rule('tip-spare', 'How much steeper the deck could be before it tips.')
