import type { Rule } from '../../working/figure'

export const jawRule: Rule = {
  id: 'clip.stand-off',
  says: 'Behind the bar the rear jaw has room to open: half of the widest mouth and its jaw, less half of the bar, clear of the back.',
  source: 'Geometry of the clamp',
}
