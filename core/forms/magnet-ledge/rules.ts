import type { Rule } from '../../working/figure'

const source = 'Geometry of the ledge; limits from workshop practice'
const rule = (id: string, says: string): Rule => ({ id: `magnet.${id}`, says, source })

export const pullRule: Rule = {
  id: 'magnet.disc',
  says: 'Pull of one disc on thick flat steel through the cover, by its size and remanence: two coaxial magnetised discs, the steel as a mirror.',
  source: 'Magnetostatics of uniformly magnetised discs; an estimate until a pull test replaces it',
}
export const shareRule = rule(
  'share',
  'Thin steel and a round shank take only a part of a disc’s pull; of both, the product.',
)
export const countRule = rule(
  'count',
  'Friction holds half of the pull times its coefficient; leaning back, less of the weight slides and some of it presses. As many discs as hold the weight so many times over.',
)
export const mostRule = rule('most', 'Discs all alike: as many as the tool takes that needs most.')
export const acrossRule = rule(
  'across',
  'How wide the tool lies across the strip; a blade whose width is not measured, so wide as it is thick.',
)
export const stripPullRule = rule(
  'strip-pull',
  'A strip pulls what lies across it by so much a length as is told of it, times the tool’s width; thin steel and a round shank take only a part.',
)
export const stripsRule = rule('strips', 'So many strips end to end as reach under all tools.')
export const stripLengthRule = rule('strip-length', 'A ledge is as long as its tools take, and as the strips on it.')
export const stripHeightRule = rule('strip-height', 'The ledge stands out above and below its strip.')
export const faceRule = rule('face', 'The tools lie on the strip’s face, in front of the wood.')
export const stripMassRule = rule('strip-mass', 'All strips together.')
export const thickRule = rule('thick', 'How thick the tool lies on the ledge.')
export const extentRule = rule('extent', 'How far the tool reaches from the middle of its discs, as it hangs.')
export const longestRule = rule('longest', 'As long as the longest of its ledges.')
export const rowPitchRule = rule(
  'row-pitch',
  'From ledge to ledge: what hangs down from the upper one, what stands up from the lower one, and the gap.',
)
export const backHighRule = rule('back-high', 'The back reaches over all ledges.')
export const heightRule = rule('height', 'A column of discs with wood between them and at both edges.')
export const depthRule = rule('depth', 'A disc’s hole is bored from behind and leaves the cover.')
export const holeRule = rule('hole', 'A disc and its glue have room in the hole.')
export const lineRule = rule('line', 'The middle of the magnets is half of the ledge’s height up.')
export const discRule = rule('at', 'Discs of a column stand from its middle by their pitch.')
export const pitchRule = rule('pitch', 'From disc to disc: its diameter and the wood between two.')
export const offRule = rule(
  'tilt-off',
  'A ledge that leans back stands so far off the back that its top, and the tools above it, clear the wall.',
)
export const cheekLengthRule = rule('cheek-length', 'A cheek reaches as far out as the lower front edge of the ledge.')
export const cheekHeightRule = rule('cheek-height', 'A cheek is as high as the ledge at its tilt.')
export const backLengthRule = rule('back-length', 'The back is as long as the ledge and its two cheeks.')
