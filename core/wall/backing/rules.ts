import type { Rule } from '../../working/figure'

const source = 'Workshop practice; spacings are settings'
const rule = (id: string, says: string): Rule => ({ id: `wall.${id}`, says, source })

export const pieceRule = rule(
  'piece',
  'A strip runs from one thing on the wall to the next; one longer than its stock is joined on a stud.',
)
export const sheetRule = rule(
  'sheet',
  'A sheet reaches as far as it is wide, back to the last stud that its edge can lie on; at a corner out of plumb as far as that goes.',
)
export const sheetHeightRule = rule(
  'sheet-height',
  'A sheet stands from the floor up as far as it is long, or to the ceiling.',
)
export const cutOutRule = rule('cut-out', 'A cut-out is measured from the sheet’s own edges, with room round the box.')
