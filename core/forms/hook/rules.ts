import type { Rule } from '../../working/figure'

const source = 'Geometry of the hook; limits from workshop practice'
const rule = (id: string, says: string): Rule => ({ id: `hook.${id}`, says, source })

export const sizeRule = rule('size', 'How far it reaches from where it hangs, and how thick it is there.')
export const seatRule = rule('seat', 'The hollow of a hook is as wide as what lies in it, with its doubt and the fit.')
export const noseRule = rule(
  'nose',
  'A nose stands as high over what lies in the hollow as it is set, and no lower than the hollow is round.',
)
export const riseRule = rule(
  'rise',
  'What is square rests on its lower edges where the round of the hollow is as wide as it is thick.',
)
export const armRule = rule(
  'arm',
  'Under its hollow a hook is as high as the hollow is wide, and at least twice the shop’s least web.',
)
export const lengthRule = rule(
  'length',
  'From the back: wood behind the hollow, the hollow, and the nose, each at least the shop’s least web.',
)
export const heightRule = rule('height', 'The wood under the hollow, and the nose over it.')
export const passRule = rule(
  'pass',
  'A loop goes over the nose cornerwise, with the fit; a stiff hole, or a frame’s opening, over the whole height of the hook.',
)
export const backRule = rule(
  'back',
  'The back is as high as it is set, and no lower than the highest hook: the hook’s whole height lies against it, so that it does not wobble.',
)
export const wideRule = rule('wide', 'What hangs reaches aside at least as far as half of its hook.')
