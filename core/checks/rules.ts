import type { Rule } from '../working/figure'

const source = 'Workshop practice; each limit is a setting'
const rule = (id: string, says: string): Rule => ({ id: `check.${id}`, says, source })

export const trimRule = rule(
  'trim',
  'What is left of a new piece of stock when both its ends, or both edges of a sheet, are cut off.',
)
export const webRule = rule(
  'web',
  'Wood between two openings; marks may lie half a grid step off, so half a step counts against it.',
)
export const webLimitRule = rule(
  'web-limit',
  'A web is at least the shop’s least web, and no thinner than a part of one layer’s thickness.',
)
export const discWebRule = rule(
  'disc-web',
  'Discs are glued into blind holes, and nothing pulls at the wood between them: half of the gap that they are set at is enough.',
)
export const endWebRule = rule(
  'end-web',
  'Wood from the outermost opening to the board’s end: it is a web on one side only.',
)
export const bearingRule = rule(
  'bearing',
  'Wood under the head beside the slot, on its narrower side, with the head as narrow as the measuring may hide it to be.',
)
export const backWebRule = rule(
  'back-web',
  'Wood behind the widest opening, which carries the rail between its fixings.',
)
export const backWebLimitRule = rule('back-web-limit', 'The back web is at least this part of the board’s depth.')
export const clearanceRule = rule('clearance', 'From the back of the head that reaches furthest to what is behind it.')
export const keepRule = rule(
  'keep',
  'How far the neck stands behind the front edge: what a knock must move it by before it is out.',
)
export const shoulderRule = rule(
  'shoulder',
  'Wood under a handle or ferrule on each side of its bore, with it as thin as the measuring may hide it to be.',
)
export const standsOutRule = rule('stands-out', 'What hangs out below the board a tool stands in.')
export const rowWebRule = rule(
  'row-web',
  'Wood between the two nearest openings of neighbouring rows, by the distance of their centres.',
)

const estimate = 'Beam theory; strengths are estimates for dry, sound wood (USDA Wood Handbook, FPL-GTR-282)'
export const fingerRule: Rule = {
  id: 'check.finger',
  says: 'A finger between two slots bends as a cantilever across the grain under the heavier neighbour, pressed down as it is put in.',
  source: estimate,
}
export const acrossGrainRule: Rule = {
  id: 'check.across-grain',
  says: 'Solid wood across the grain bears little, and less below a specific gravity of 0.5; a sheet bears its own strength, ply and OSB half of it across the face grain.',
  source: estimate,
}

export const sagRule: Rule = {
  id: 'check.sag',
  says: 'A rod between two ends, evenly loaded, sags at its middle by 5 w L⁴ / (384 E I); two rods share the load.',
  source: estimate,
}
export const spineRule = rule('spine', 'The wood behind the slots carries a rail from bracket to bracket.')
export const spineSagRule: Rule = {
  id: 'check.rail-sag',
  says: 'A rail between two brackets, evenly loaded, sags at its middle by 5 w L⁴ / (384 E I), its I the spine’s: two layers count as one only where they are glued.',
  source: estimate,
}
export const wholeRule = rule(
  'whole',
  'What its longest opening leaves of a board’s width carries from cheek to cheek.',
)
export const cheekSagRule: Rule = {
  id: 'check.cheek-sag',
  says: 'A board that leans between two cheeks, evenly loaded square to its face, sags at its middle by 5 w L⁴ / (384 E I); what is glued along its edge carries beside it.',
  source: estimate,
}
export const creepRule: Rule = {
  id: 'check.creep',
  says: 'Wood that is loaded for good sags on: by so many times the sag at once.',
  source: estimate,
}
export const sagLimitRule = rule('sag-limit', 'In the long run a rail or rod may sag by this part of its span.')
export const pinRule: Rule = {
  id: 'check.pin',
  says: 'A pin bends where it leaves the wood, under its tool pressed down as it is hung up.',
  source: estimate,
}
export const strengthRule: Rule = {
  id: 'check.strength',
  says: 'Of a material’s bending strength only a part is counted on, for wood that is not tested.',
  source: estimate,
}
export const armRule: Rule = {
  id: 'check.arm',
  says: 'An arm bends most where it leaves the back: each tool, pressed down as it is put on, by how far out it hangs; the arms share it.',
  source: estimate,
}
export const hookRule: Rule = {
  id: 'check.hook',
  says: 'A hook bends most under its hollow, the load as far out as the hollow’s middle from the back, pressed down as it is put on.',
  source: estimate,
}
export const pinDepthRule = rule('pin-depth', 'A pin is held by so many times its own thickness of wood.')
export const reachOutRule = rule('reach-out', 'From the wall to what stands furthest out, wood or tool.')
export const volumeRule = rule(
  'volume',
  'Length times width times thickness, less what is cut, bored and bevelled away, by the shapes of it.',
)
export const woodMassRule = rule('wood-mass', 'The volume of each part times the density of its material.')
export const woodOutRule = rule('wood-out', 'The middle of the wood from the wall: of each part, by its weight.')
export const toolOutRule = rule(
  'tool-out',
  'As far out as a tool reaches where it is held, less what its weight lies behind its front: by its balance point where that was found, else by its shape.',
)
export const outRule = rule(
  'load-out',
  'Each weight times its distance from the wall, over all weights, in the worst way of loading it.',
)
export const heldRule = rule(
  'rocking',
  'A load pulls a holder on a bevel to the wall by the bevel’s tangent; at the foot that holds against its weight, which hangs out in front.',
)

export const magnetRule: Rule = {
  id: 'check.magnet',
  says: 'What sticks to an upright face is held by friction: its coefficient times half of the pull, over the weight; leaning back, less of the weight slides and some of it presses.',
  source: 'Statics; coefficients are estimates until a pull test replaces them',
}

export const staysRule = rule(
  'stays',
  'A tool that is drawn upward takes its holder with it unless what stays weighs more than it drags: at worst the wood alone.',
)
export const liftRule = rule(
  'lift',
  'What stands in a closed hole is lifted until its lower end is clear of the board; so much must be free above it.',
)
export const neckStraightRule = rule(
  'neck-straight',
  'A grip goes straight down for less than half of the way to its battery, and leans from there on.',
)
export const neckRoomRule = rule(
  'neck-room',
  'What carries a tool by its neck goes in where that is straight, above what leans or is wider again below, with a sliding fit to spare.',
)
export const fingersRule = rule('fingers', 'From one tool to the next, as far as each reaches.')
export const shearRule: Rule = {
  id: 'check.screw-shear',
  says: 'What a screw bears across its axis: the least of the six yield modes, less for a short thread, and two thirds of it in end grain.',
  source: 'National Design Specification for Wood Construction (NDS 2018), 12.3; estimates for dry, sound wood',
}

const nds = 'National Design Specification for Wood Construction (NDS 2018), chapter 12; estimates for dry, sound wood'
export const pullRule: Rule = {
  id: 'check.screw-pull',
  says: 'What hangs in front turns about the lower edge of the joint and pulls at its screws, shared by all of them.',
  source: 'Statics',
}
export const withdrawalRule: Rule = {
  id: 'check.withdrawal',
  says: 'A screw in side grain holds 2850 G² D pounds to an inch of thread, G being the density over 1,120 kg/m³; in end grain nothing is counted.',
  source: nds,
}
export const shearLoadRule: Rule = {
  id: 'check.screw-load',
  says: 'The whole weight hangs across the screws, shared by all of them.',
  source: 'Statics',
}
export const glueRule = rule('glue', 'A glued joint along the grain holds as much again as its screws, so many times.')
export const screwEdgeRule = rule(
  'screw-edge',
  'A screw keeps so many times its diameter from the side of what it goes into, or the wood splits.',
)
export const knockRule = rule(
  'knock',
  'What stands on a shelf tips over its lip at atan(weight behind its front / weight over the lip), and later by as much as the shelf’s front is raised; what is centred no higher than the lip never does.',
)
export const seenRule = rule(
  'seen',
  'What stands behind a front is seen over it by its height less the front’s; a part of its own height is wanted, so that it is found.',
)
export const oneAtATimeRule = rule(
  'one-at-a-time',
  'A gap as high as two of the thinnest lets two out at once; half a step of the grid counts against it.',
)
export const drawRule = rule(
  'draw',
  'The lowest is drawn out against friction at both of its faces: below it carries all of the stack, above it all but itself.',
)
export const slideRule = rule('slide', 'What lies on a floor slides off once that is tipped by atan(friction).')
