import type { Board, HolderModel } from '../../model/model'
import { boardBox } from '../../model/standing'
import { formatLength } from '../../units/format-length'
import { driveOf, easeOf, jointOf } from './features'
import { clearanceFor, fastenersText } from './joining-steps'
import { fullSheet } from './sawing-cautions'
import { step, wants, type Bench, type Step } from './step'
import { MINUTES } from './times'
import { lower, running } from './words'

/** A full sheet weighs more than one person lifts, kg/m3 are left aside: from this area on two carry it, mm². */
const HEAVY = 1.5e6

/** What goes up in one go: a sheet, a row of strips, or all that was put together on the bench. */
interface Lift {
  kind: 'sheet' | 'strips' | 'panel' | 'uprights' | 'rack'
  boards: Board[]
  title: string
}

/** In which order what was made goes up. */
function lifts({ boards, joints, fasteners }: HolderModel): Lift[] {
  if (joints.length > 0) {
    if (boards.some((b) => b.bevel)) return [{ kind: 'panel', boards, title: 'Hang the panel' }]
    const ledgers = boards.filter((b) => b.role === 'rail')
    const held = ledgers.filter((l) => fasteners.some((f) => f.into === null && f.through === l.id))
    const leans = held.length > 0 && held.every((l) => l.placement.at.z === Math.max(...ledgers.map((k) => k.placement.at.z))) // prettier-ignore
    return [leans ? { kind: 'rack', boards, title: 'Stand the rack up' } : { kind: 'uprights', boards, title: 'Hang the uprights on their ledgers' }] // prettier-ignore
  }
  const ordered = [...boards].sort((a, b) => a.placement.at.z - b.placement.at.z || a.placement.at.x - b.placement.at.x)
  const sheets = ordered.filter((b) => !b.bevel).map((b): Lift => ({ kind: 'sheet', boards: [b], title: `Put up ${lower(b.name)}` })) // prettier-ignore
  const rows = byHeight(ordered.filter((b) => b.bevel)).map((row, i): Lift => ({ kind: 'strips', boards: row, title: `Row ${i + 1}: ${row.map((b) => lower(b.name)).join(', ')}` })) // prettier-ignore
  return [...sheets, ...rows]
}

const LINE: Record<Lift['kind'], string> = {
  sheet:
    'The floor is rarely level: the line is where the sheets stand. Screw a straight batten along it to carry them.',
  strips: 'The line is the lower edge of the lowest strip.',
  panel: 'The line is the lower edge of the panel. Screw a straight batten along it to carry it while it is fixed.',
  uprights: 'The line is the lower edge of the lowest ledger. Screw a straight batten along it to carry it while it is fixed.', // prettier-ignore
  rack: 'The line is the upper ledger: where it is held. The rack itself stands on the floor.',
}

/** What a screw into masonry is among the shop’s fasteners. */
const PLUG = 'plug'

/** A batten under a line lower than this has no room, mm. */
const LEAST_LINE = 20

const ON_THE_FLOOR = 'The sheets stand on the floor, which is rarely level: shim the first until its edge is plumb, and the next ones until their edges meet.' // prettier-ignore

/** Putting up what goes on a wall first: the studs, a level line, each in its turn with its screws, and a pull. */
export function wallSteps(bench: Bench): Step[] {
  const { model, shop } = bench
  const all = lifts(model)
  const [lowest] = all
  const anchored = model.fasteners.filter((f) => f.into === null)
  const level = lowest!.kind === 'rack' ? Math.max(...model.boards.filter((b) => b.role === 'rail').map((b) => b.placement.at.z)) : Math.min(...lowest!.boards.map((b) => boardBox(b).z[0])) // prettier-ignore
  const studs = model.working.filter((f) => f.id.startsWith('stud:')).map((f) => f.value)
  const plugs = anchored.some((f) => f.item === PLUG)
  const first = step({
    id: 'wall',
    kind: 'wall',
    title: plugs ? 'Draw a level line' : 'Find the studs and draw a level line',
    settings: [
      ...(studs.length > 0 && !plugs ? [{ label: 'Studs at', value: running(studs, shop) }] : []),
      { label: 'Level line', value: `${formatLength(level, shop)} over the floor` },
    ],
    says: [
      plugs ? 'Holes are drilled with a hammer drill through the boards where they hang, never in a joint of the wall; blow them out.' : 'Check every stud with a nail where it will be covered.', // prettier-ignore
      lowest!.kind === 'sheet' && level < LEAST_LINE ? ON_THE_FLOOR : LINE[lowest!.kind],
    ],
    cautions: [
      'Cables and pipes run in walls, above and beside outlets: look before you drill. Near an outlet the circuit is off and proven dead; box extenders and wiring are for a licensed electrician where the code says so.',
      'Drywall alone carries nothing here.',
    ],
    makes: ['wall'],
    minutes: MINUTES.findStuds,
  })
  const up = all.map((lift, i) => upStep(bench, all, lift, i))
  const prove = step({
    id: 'prove',
    kind: 'prove',
    title: 'Pull at it',
    says: [
      'Pull at the edge of each with both hands: nothing gives, nothing creaks.',
      'Hang twice the load that is meant for it for a day before the first holder.',
    ],
    cautions: ['The figures are estimates for dry, sound wood. Follow your local codes and the makers’ instructions.'],
    makes: ['proved'],
    wants: wants(`up:${up.length - 1}`),
    minutes: MINUTES.prove,
  })
  return [first, ...up, prove]
}

function upStep(bench: Bench, all: readonly Lift[], { kind, boards, title }: Lift, i: number): Step {
  const { model, shop } = bench
  const [one] = boards
  const screws = model.fasteners.filter((f) => f.joint === null && boards.some((b) => b.id === f.through))
  const before = all[i - 1]
  const spacer = kind === 'strips' && before?.kind === 'strips' ? one!.placement.at.z - before.boards[0]!.placement.at.z - before.boards[0]!.width : null // prettier-ignore
  const left = Math.min(...boards.map((b) => boardBox(b).x[0]))
  const feet = model.working.find((f) => f.id === 'lean:out')
  return step({
    id: `up:${one!.id}`,
    kind: 'hang',
    title,
    parts: boards.map((b) => b.id),
    settings: [
      ...fastenersText(screws, bench).map((value) => ({ label: 'With', value })),
      // a plug's hole goes through board and wall in one
      ...(screws.length > 0 && screws[0]!.item !== PLUG ? [clearanceFor(screws, bench)] : []),
      kind === 'strips' ? { label: 'Lower edge', value: `${formatLength(one!.placement.at.z, shop)} over the floor` } : { label: 'Left edge', value: `${formatLength(left, shop)} from the corner` }, // prettier-ignore
      ...(spacer === null ? [] : [{ label: 'Spacer', value: formatLength(spacer, shop) }]),
      ...(kind === 'rack' && feet ? [{ label: 'Feet', value: `${formatLength(feet.value, shop)} out from the wall` }] : []), // prettier-ignore
    ],
    says: saysOf(
      kind,
      spacer !== null,
      one!,
      screws.every((f) => f.into === null),
    ),
    cautions: heavy(kind, boards) ? [fullSheet(shop)] : kind === 'panel' || kind === 'uprights' || kind === 'rack' ? ['Two people: one holds it, one fixes it.'] : [], // prettier-ignore
    makes: [...screws.map((f) => driveOf(f.id)), `up:${i}`],
    wants: [
      ...wants('wall', ...boards.map((b) => easeOf(b.id)), ...model.joints.map((j) => jointOf(j.order))),
      ...(i > 0 ? wants(`up:${i - 1}`) : []),
    ],
    minutes: MINUTES.hang + MINUTES.screw * screws.length,
    show: { look: 'front', boards: all.slice(0, i + 1).flatMap((l) => l.boards.map((b) => b.id)) },
  })
}

const heavy = (kind: Lift['kind'], boards: readonly Board[]): boolean => kind === 'sheet' && boards.some((b) => b.length * b.width > HEAVY) // prettier-ignore

/** @param inStuds whether what holds it reaches the wall, and not a sheet alone */
function saysOf(kind: Lift['kind'], spaced: boolean, one: Board, inStuds: boolean): string[] {
  if (kind === 'strips')
    return [
      'The bevel up, its sharp edge away from the wall: look at it from its end before the first screw.',
      spaced ? 'On two spacers of that height, set on the row below.' : 'On the level line; check it again with a long level.', // prettier-ignore
      `${inStuds ? 'One screw in each stud' : 'Screws at the marks, into the sheet'}, in the body of the strip, never in its bevel.`,
    ]
  if (kind === 'sheet')
    return [
      'One screw near the top first; plumb its edge; then the rest, from the middle outwards.',
      ...(one.openings.length > 0 ? ['Cut-outs are measured from this sheet’s own edges: hold it up and try before it is fixed.'] : []), // prettier-ignore
    ]
  if (kind === 'panel') return ['One screw near its top first; level it; then the rest, between its strips, never in one.'] // prettier-ignore
  if (kind === 'uprights') return ['One screw in the upper ledger first; level it; then both screws in each stud, ledger by ledger.'] // prettier-ignore
  return [
    'Saw the feet and the upper back edges at the lean, so that they stand flat and lie against the wall.',
    'Feet out from the wall as told, on a floor that does not let them slide; then hold the uppermost ledger at the wall.',
  ]
}

function byHeight(boards: readonly Board[]): Board[][] {
  const rows: Board[][] = []
  for (const b of boards) {
    const row = rows.at(-1)
    if (row && Math.abs(row[0]!.placement.at.z - b.placement.at.z) < 1) row.push(b)
    else rows.push([b])
  }
  return rows
}
