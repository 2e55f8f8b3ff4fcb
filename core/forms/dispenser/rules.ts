import type { Rule } from '../../working/figure'

const source = 'Geometry of a stack in its chute'
const rule = (id: string, says: string): Rule => ({ id: `dispenser.${id}`, says, source })

export const halfRule = rule('half', 'A chute reaches to each side of its middle by half of what its disc needs.')
export const stackHighRule = rule('stack', 'A stack is as often as high as one as there are in it.')
export const centreRule = rule('centre', 'A side stands at each end, and a divider between two chutes.')
export const depthRule = rule('depth', 'The chutes are as deep inside as the widest disc needs.')
export const pickRule = rule('pick', 'The lowest comes out through a gap over the floor, as high as the thickest needs to slide through.') // prettier-ignore
export const highRule = rule('high', 'The chutes are as high as the tallest stack, and leave a front over the gap that is no lower than a lip.') // prettier-ignore
export const frontRule = rule('front', 'The front covers the chutes from the gap up.')
export const floorRule = rule('floor', 'The floor reaches to the front’s outer face.')
export const backRule = rule('back', 'The back is as high as it is set, and no lower than floor and chutes together.')
export const notchRule = rule('notch', 'A notch in the floor lets a finger in from below: as wide as fingers want, but no wider than half of the disc, by the smallest bit that is no wider than three quarters of it; else it is sawn.') // prettier-ignore
export const notchLineRule = rule('notch-line', 'All notches have one line of centres: the widest ends under the middle of the chutes, half of the floor stays behind it.') // prettier-ignore
