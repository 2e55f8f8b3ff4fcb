import type { Rule } from '../../working/figure'

const source = 'Statics of two supports; limits from workshop practice'
const rule = (id: string, says: string): Rule => ({ id: `outline-board.${id}`, says, source })

export const sizeRule = rule('size', 'What lies against the board, by its own figures.')
export const reachRule = rule('reach', 'To each side of its middle: half of what its outline and its pins take up.') // prettier-ignore
export const pinRule = rule('pin', 'Where a pin of that rod touches the outline from below; of all such places the two that bear it steadiest, its weight between them.') // prettier-ignore
export const liesRule = rule('lies', 'Each thing lies with its middle half-way up the board.')
export const armRule = rule('arm', 'Its weight hangs at half of its thickness from the board.')
export const outRule = rule('out', 'Past its thickness by the keep.')
export const lengthRule = rule('pin-length', 'What stands out, along the slant, and what is in the wood.')
export const heightRule = rule('height', 'The tallest as it lies, with its pins, and the margin above and below.')
export const boardRule = rule('board', 'Boards glued on each other, each as thick as it really is.')
