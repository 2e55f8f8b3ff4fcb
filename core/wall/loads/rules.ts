import type { Rule } from '../../working/figure'

const source = 'Statics of a bevelled strip; docs/rules.md'
const rule = (id: string, says: string): Rule => ({ id: `load.${id}`, says, source })

export const hungMassRule = rule('mass', 'What hangs there: the wood of the holder and every tool that was weighed.')
export const stripPullRule = rule(
  'pull',
  'A holder draws its strip from the wall by its bevel, or by its lever about the foot, whichever is more.',
)
export const atBevelRule = rule('at-bevel', 'The pull acts at the middle of the bevel, over the strip’s lower edge.')
export const atScrewRule = rule('at-screw', 'Screws sit in the middle of the strip’s body, below its bevel.')
export const screwPullRule = rule(
  'screw',
  'About the strip’s lower edge: the pull at the bevel and the weight half of the strip’s thickness out are taken up at the height of the screws, shared by those that the holder covers.',
)
