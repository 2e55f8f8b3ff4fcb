import { force, length, type SettingDeclaration } from './setting'

/** What a holder is fixed to behind a lining, and what a hand needs when it takes a tool. */
export const HANGING_SETTINGS = {
  studSpacing: length('Wall strips', 'Stud spacing', 600, [200, 1500], 'From centre to centre: find yours and check one with a nail.'), // prettier-ignore
  wallLining: length('Wall strips', 'Lining over the studs', 12.5, [0, 60], 'Drywall or boards between a back and the studs: a screw gets longer by it, and it carries nothing.'), // prettier-ignore
  studDepth: length('Wall strips', 'Screws go into a stud', 60, [20, 200], 'How deep they may go: pipes and cables lie behind.'), // prettier-ignore
  slatRoom: length('Wall strips', 'Room of a lock slat', 1, [0, 5], 'So that it can be pushed in below the wall strip and pulled out.'), // prettier-ignore
  dragSnug: force('Fits', 'A snug tool drags', 10, [0, 100], 'What it pulls up with as it is taken out; as you learn it.'), // prettier-ignore
  dragSliding: force('Fits', 'A sliding tool drags', 3, [0, 100], 'What it pulls up with as it is taken out; as you learn it.'), // prettier-ignore
  dragEasy: force('Fits', 'An easy tool drags', 0, [0, 100], 'What it pulls up with as it is taken out; as you learn it.'), // prettier-ignore
  sheetEdgeSpacing: length(
    'Wall strips',
    'Screws along a sheet’s edge',
    175,
    [50, 600],
    'Along edges that lie on a stud.',
  ),
  sheetFieldSpacing: length(
    'Wall strips',
    'Screws in a sheet’s field',
    300,
    [50, 1200],
    'On the studs between its edges.',
  ),
  cutOutPlay: length(
    'Wall strips',
    'Room round a cut-out',
    3,
    [0, 30],
    'Of a sheet round an outlet, a switch or a window.',
  ),
  ledgerWidth: length('Wall strips', 'Ledgers, width', 65, [20, 300], 'The boards along the wall that carry uprights.'),
  uprightDepth: length('Wall strips', 'Uprights, depth', 65, [20, 400], 'How far a board on edge stands out from its ledgers.'), // prettier-ignore
  growRoom: length(
    'Spacing',
    'Room to grow between holders',
    30,
    [0, 500],
    'Kept between two holders when a wall is arranged, where it has that much.',
  ),
  cupDepth: length('Spacing', 'Depth of a cup', 12, [4, 60], 'That a handle’s end stands in.'),
  fingers: length('Spacing', 'Fingers between tools', 20, [0, 100], 'Less room than this between neighbours is told.'),
  liftFree: length('You', 'Lifted out by at most', 300, [50, 2000], 'What must be lifted further than this wants a free place above.'), // prettier-ignore
} as const satisfies Record<string, SettingDeclaration>
