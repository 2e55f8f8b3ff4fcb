import type { Rule } from '../../working/figure'

const source = 'Geometry of the roll on its rod'
const rule = (id: string, says: string): Rule => ({ id: `roll.${id}`, says, source })

export const halfRule = rule('half', 'A roll takes half of its thickness to each side of its middle along the rod.')
export const rodRule = rule('rod', 'The rod is so far from the back that the widest roll turns clear of it.')
export const outRule = rule('out', 'An end reaches so far past the rod as its hole keeps wood to the front edge.')
export const highRule = rule('high', 'An end keeps as much wood over the rod and under it as before it.')
