import type { Rule } from '../working/figure'

const source = 'Workshop practice; allowances are settings, replaced by the shop’s own test fits'

export const neededRule: Rule = {
  id: 'fit.needed',
  says: 'An opening must take the tool at its widest: the size, what the measuring may be out by, and the fit’s allowance, all on the width.',
  source,
}
export const doubtRule: Rule = {
  id: 'fit.doubt',
  says: 'What a reckoned length may be out by: each figure it is made of may be out by as much as its way of measuring, and all against you at once.',
  source,
}
export const boreRule: Rule = {
  id: 'fit.bore',
  says: 'The smallest owned bit whose hole is at least what is needed, by the hole it really makes where that was measured.',
  source,
}
export const rodHoleRule: Rule = {
  id: 'fit.rod-hole',
  says: 'A rod or pin goes into the nearest hole that is wide enough: with up to half a millimetre of play glue holds it, with up to two wedges do, with more it wants another bit.',
  source: 'Workshop practice',
}
export const twoBoresRule: Rule = {
  id: 'fit.two-bores',
  says: 'Where no single bit is near, two bores side by side are filed straight between: the opening is just as wide as is needed.',
  source,
}
export const apartRule: Rule = {
  id: 'fit.bores-apart',
  says: 'The two bores’ centres stand apart by what one of them falls short of the opening.',
  source,
}
export const sawnRule: Rule = {
  id: 'fit.sawn',
  says: 'A slot cut with a jigsaw is as wide as is needed: no bit decides it.',
  source,
}
export const playRule: Rule = {
  id: 'fit.play',
  says: 'What a bore leaves beyond the neck as it was measured.',
  source,
}
export const looseRule: Rule = {
  id: 'fit.loose',
  says: 'A bore is loose when it exceeds the tool by more than the given number of allowances and a little.',
  source,
}
