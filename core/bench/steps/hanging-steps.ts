import type { Fastener } from '../../model/model'
import { formatMass, massUnitFor } from '../../units/mass'
import { driveOf, easeOf, jointOf } from './features'
import { clearanceFor, fastenersText } from './joining-steps'
import { cautionsAt, step, wants, wantsDry, type Bench, type Step } from './step'
import { MINUTES } from './times'

/** Whether screws stand at more than one height. */
const severalRows = (screws: readonly Fastener[]): boolean => new Set(screws.map((f) => f.at.z.toFixed(1))).size > 1

/** Readying the wall, finish, hanging and the proof. */
export function hangingSteps(bench: Bench): Step[] {
  const { model, shop } = bench
  const strip = model.boards.some((b) => b.role === 'strip')
  const intoWall = model.fasteners.filter((f) => f.into === null)
  const all = [...model.boards, ...model.rods].map((p) => p.id)
  const weights = model.seats.reduce((sum, s) => sum + (s.mass ?? 0), 0)
  return [
    step({
      id: 'wall',
      kind: 'wall',
      title: strip ? 'Ready the wall’s strip' : 'Find what holds in the wall',
      says: strip
        ? ['The strip on the wall: bevel up, its sharp edge away from the wall, level, screwed into studs or a sound panel in its body, never in its bevel.'] // prettier-ignore
        : ['Find the studs and check each with a nail where the holder will cover it, or use a sound panel.', 'Draw a level line for the upper edge.'], // prettier-ignore
      cautions: [
        'Cables and pipes run in walls, above and beside outlets: look before you drill. Near an outlet the circuit is off and proven dead; wiring is for a licensed electrician where the code says so.',
        'Drywall alone carries nothing here.',
      ],
      makes: ['wall'],
      minutes: MINUTES.findStuds,
    }),
    step({
      id: 'finish',
      kind: 'finish',
      title: 'Finish, if you want one',
      parts: all,
      says: [`None is needed. Oil or a film takes ${shop.unit === 'in' ? '0.004 to 0.008"' : '0.1 to 0.2 mm'} of each fit: thin, and nothing inside the openings.`], // prettier-ignore
      cautions: ['Fumes: air through. Oily rags lie flat outdoors until they are hard: in a heap they catch fire.'],
      makes: ['finish'],
      wants: [
        ...wants(...model.boards.map((b) => easeOf(b.id))),
        ...wantsDry(...model.joints.map((j) => jointOf(j.order))),
      ],
      minutes: MINUTES.finish,
    }),
    step({
      id: 'hang',
      kind: 'hang',
      title: 'Hang it',
      parts: all,
      settings: [
        ...fastenersText(intoWall, bench).map((value) => ({ label: 'With', value })),
        ...(intoWall.length > 0 ? [clearanceFor(intoWall, bench)] : []),
      ],
      says: strip
        ? ['Over the wall’s strip from above, then down until it seats; the foot lies on the wall below.']
        : intoWall.length > 0
          ? [
              `Clearance holes at the marks for the wall, countersunk in front. One screw${severalRows(intoWall) ? ' in the upper row' : ''} first; pivot it level; then the rest.`,
            ]
          : ['No screw of the shop is long enough for the back and the wall behind it: see the checks.'],
      cautions: [
        'Nothing heavy above head height, or over a bed, a seat or a child’s reach; edges and points covered.',
        ...cautionsAt(model, 'hang'),
      ],
      makes: ['hung', ...intoWall.map((f) => driveOf(f.id))],
      wants: wants('wall', 'finish'),
      minutes: MINUTES.hang,
      show: { look: strip ? 'side' : 'front', boards: all },
    }),
    step({
      id: 'prove',
      kind: 'prove',
      title: 'Load it and prove it',
      parts: all,
      says: [
        `Each tool in and out with one hand${model.batteries ? ', battery on and off' : ''}. Pull at the front edge; knock the wall.`,
        `Hang twice the load for a day${weights > 0 ? `, about ${formatMass(2 * weights, massUnitFor(shop.unit))} in all` : ''}; then look for sag, gaps and cracks.`, // prettier-ignore
        'Write down what was tight or loose: the next one learns from it.',
      ],
      cautions: [
        'The figures are estimates for dry, sound wood. Follow your local codes and the makers’ instructions.',
      ],
      makes: ['proved'],
      wants: wants('hung'),
      minutes: MINUTES.prove,
      sets: 24 * 60,
    }),
  ]
}
