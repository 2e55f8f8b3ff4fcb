import { HANGING_SETTINGS } from './hanging-settings'
import { LIMIT_SETTINGS } from './limit-settings'
import { MAGNET_SETTINGS } from './magnet-settings'
import { angle, density, length, mass, ratio, type SettingDeclaration } from './setting'

/**
 * Every number of a shop, with its usual value. The shop's page, its checks, the file format and the working all read
 * this list; a new setting is one new entry. Lengths mm, masses kg.
 */
export const SETTINGS = {
  fitSnug: length(
    'Fits',
    'Snug fit',
    0.8,
    [0, 20],
    'Added to a neck’s width in all; workshop practice, replaced by your own after test fits.',
  ),
  fitSliding: length(
    'Fits',
    'Sliding fit',
    3,
    [0, 20],
    'Added to a neck’s width in all; workshop practice, replaced by your own after test fits.',
  ),
  fitEasy: length(
    'Fits',
    'Easy fit',
    6,
    [0, 30],
    'Added to a neck’s width in all; workshop practice, replaced by your own after test fits.',
  ),
  sureCaliper: length(
    'How sure a figure is',
    'By caliper',
    0,
    [0, 10],
    'How much wider a neck, or narrower a head, may be than measured.',
  ),
  sureRule: length(
    'How sure a figure is',
    'By rule',
    0.5,
    [0, 10],
    'How much wider a neck, or narrower a head, may be than measured.',
  ),
  sureEye: length(
    'How sure a figure is',
    'By eye',
    3,
    [0, 30],
    'How much wider a neck, or narrower a head, may be than measured.',
  ),
  gap: length('Spacing', 'Gap between heads', 25, [0, 500], 'Room for fingers between neighbours.'),
  margin: length('Spacing', 'Margin at the ends', 20, [0, 500], 'From the outermost head to the board’s end.'),
  backHeight: length(
    'Spacing',
    'Height of the back',
    90,
    [20, 1000],
    'Of the board behind a rail, by which it is fixed.',
  ),
  rowRise: length(
    'Spacing',
    'Rise of a row',
    35,
    [5, 200],
    'Of a row of sockets over the one in front of it, so that its grip is seen and reached.',
  ),
  mouthFlare: length(
    'Spacing',
    'Flare of a mouth',
    3,
    [0.5, 20],
    'Chamfer round a bore, by which a tip finds its hole.',
  ),
  lipHeight: length('Spacing', 'Height of a lip', 20, [5, 200], 'In front of a shelf, so that nothing walks off it.'),
  dividerHeight: length('Spacing', 'Height of a divider', 40, [10, 300], 'Between tools that lie on a shelf.'),
  cordSlot: length(
    'Spacing',
    'Slot for a cord',
    16,
    [4, 100],
    'In the front or the end of a tray, open above; as wide as its plug, if that has to pass.',
  ),
  ventHole: length(
    'Spacing',
    'Holes for air',
    20,
    [5, 80],
    'In the front of a tray, low before what has vents: the air rises through it.',
  ),
  fingerNotch: length(
    'Spacing',
    'Notch for a finger',
    30,
    [10, 120],
    'In the floor of a dispenser: a finger reaches the lowest disc through it from below.',
  ),
  ...LIMIT_SETTINGS,
  stripThickness: length(
    'Wall strips',
    'Strip thickness',
    18,
    [6, 60],
    'Of the bevelled strips on the wall, and of those on the holders.',
  ),
  stripWidth: length(
    'Wall strips',
    'Width a pair is ripped from',
    140,
    [30, 600],
    'Strips come in pairs out of a wider strip, by one bevelled rip.',
  ),
  stripBevel: angle('Wall strips', 'Bevel', 45, [10, 60], 'How far the saw is tilted from square; 30 to 45 is usual.'),
  pinSlant: angle(
    'Limits',
    'Pins lean up by',
    8,
    [0, 30],
    'So that nothing walks off a pin; 5 to 15 degrees is usual.',
  ),
  footHeight: length(
    'Wall strips',
    'Height of a foot',
    40,
    [10, 200],
    'Below a holder’s strip, as thick as the strip, so that it hangs upright.',
  ),
  pull: mass(
    'Limits',
    'Hand’s pull, as weight',
    5,
    [0, 50],
    'What a hand may pull down at the front edge; 5 kg, or 11 lb, are about 50 N.',
  ),
  rockingSpare: ratio(
    'Limits',
    'Spare against rocking',
    1.3,
    [1, 5],
    'How many times the foot’s hold must exceed the pull of the load, friction left out.',
  ),
  stripFlat: length(
    'Wall strips',
    'Flat on the sharp edge',
    2,
    [0, 15],
    'The sharp arris is flattened, so that dust below it does not hold a strip off.',
  ),
  sticksOut: length(
    'You',
    'Sticks out at most',
    400,
    [50, 2000],
    'From the wall, with its tools: what a walkway or a vehicle leaves.',
  ),
  pace: ratio(
    'You',
    'Your pace',
    1,
    [0.2, 5],
    'Times of the steps are multiplied by it: 1 for now and then, less with practice.',
  ),
  easyFrom: ratio(
    'You',
    'Easy reach from, times the height',
    0.42,
    [0.1, 1],
    'Of a person’s height; below it one stoops.',
  ),
  bestFrom: ratio(
    'You',
    'Best reach from, times the height',
    0.63,
    [0.2, 1],
    'About the elbow: where daily tools hang.',
  ),
  easyTo: ratio(
    'You',
    'Best and easy reach to, times the height',
    0.82,
    [0.4, 1.5],
    'About the shoulder; nothing heavy above it.',
  ),
  reachTo: ratio('You', 'Reach ends at, times the height', 1.18, [0.6, 1.6], 'Above it one wants a step.'),
  highLoad: mass(
    'You',
    'Heavy, as a whole holder, is over',
    5,
    [0.5, 100],
    'A holder that weighs more with its tools hangs no higher than the easy reach.',
  ),
  outletKeep: length(
    'You',
    'Free round outlets and switches',
    50,
    [0, 500],
    'A plug and its cord want room; on the cord’s side more. Codes may ask for more.',
  ),
  userHeight: length(
    'You',
    'Your height',
    1750,
    [1000, 2300],
    'Reach follows from it: what hangs high, what hangs low.',
  ),
  screwSpacing: length(
    'Limits',
    'Screws along a joint, every',
    150,
    [20, 1000],
    'How far screws through one board into another stand apart at most.',
  ),
  bradSpacing: length('Limits', 'Brads along a joint, every', 80, [10, 500], 'They hold while glue sets.'),
  wallScrewSpacing: length(
    'Limits',
    'Screws into the wall, every',
    300,
    [50, 1000],
    'Along a holder that is screwed on; into studs they follow the studs.',
  ),
  screwEdge: ratio(
    'Limits',
    'Screw to an edge, times its diameter',
    2,
    [1, 6],
    'With a pilot hole, which is always bored; 3 without one. Nearer the wood splits.',
  ),
  screwEnd: ratio(
    'Limits',
    'Screw to an end, times its diameter',
    4,
    [1, 15],
    'With a pilot hole, which is always bored.',
  ),
  bradEnd: ratio('Limits', 'Brad to an end, times its thickness', 7, [1, 30], 'No hole is bored for it.'),
  glueTimes: ratio(
    'Limits',
    'Glue, times the screws',
    1,
    [0, 5],
    'A sound glue joint along the grain holds so many times as much again as its screws; nought counts on screws alone.',
  ),
  pointKeep: length('Limits', 'Wood before a screw’s point', 2, [0, 20], 'So that no point shows.'),
  wallPanel: length(
    'Wall strips',
    'What screws into the wall bite into',
    18,
    [6, 100],
    'Thickness of the panel, or how deep they may go into a stud. Lining such as drywall carries nothing.',
  ),
  wallDensity: density('Wall strips', 'Density of it', 500, [200, 1200], 'Softwood ply about 500, studs 450 to 540.'),
  leastOffcut: length(
    'Limits',
    'Offcuts are kept from, length',
    150,
    [20, 2000],
    'What is left of a board, sheet or rod and shorter than this is firewood.',
  ),
  leastOffcutWidth: length('Limits', 'and from, width', 40, [5, 1000], 'The same across; rods have none.'),
  trimEnds: length('Limits', 'Cut off each end of new stock', 0, [0, 200], 'What is split, dirty or out of square is cut off before anything is measured; nought uses all of it.'), // prettier-ignore
  trimEdges: length('Limits', 'Cut off each edge of a new sheet', 0, [0, 100], 'Edges and corners that got knocked; nought uses all of it.'), // prettier-ignore
  longestBoard: length('Limits', 'Longest board', 2400, [100, 20000], 'The longest you can buy, carry and cut.'),
  ...HANGING_SETTINGS,
  ...MAGNET_SETTINGS,
} as const satisfies Record<string, SettingDeclaration>

export type SettingKey = keyof typeof SETTINGS
export const settingKeys = Object.keys(SETTINGS) as SettingKey[]

/** The usual value of every setting. */
export const usualSettings = (): Record<SettingKey, number> =>
  Object.fromEntries(settingKeys.map((key) => [key, SETTINGS[key].value])) as Record<SettingKey, number>
