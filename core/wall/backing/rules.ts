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
export const trimRule = rule('trim', 'Mouldings above and below reach over those at the sides.')
export const ledgerRule = rule(
  'ledger',
  'Ledgers reach from one thing on the wall to the next, half an upright past the outer ones.',
)
export const ledgerHighRule = rule('ledger-high', 'Ledgers stand at even heights between the ends of the uprights.')
export const uprightRule = rule('upright', 'An upright reaches from the lower to the upper end.')
export const uprightMarkRule = rule(
  'upright-mark',
  'An upright is marked at half its thickness to the left of its middle, the cross on the side where the board goes.',
)
export const leanLongRule = rule(
  'lean',
  'A rack that leans is as long as its height over the cosine of how far it leans.',
)
export const leanOutRule = rule('lean-out', 'Its feet stand out from the wall by its length times the sine of that.')
export const cutOutRule = rule('cut-out', 'A cut-out is measured from the sheet’s own edges, with room round the box.')
