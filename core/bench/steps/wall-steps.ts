import { WALL_FORM } from '../../model/model'
import { formatLength } from '../../units/format-length'
import { driveOf, easeOf } from './features'
import { fastenersText } from './joining-steps'
import { step, wants, type Bench, type Step } from './step'
import { MINUTES } from './times'
import { lower, running } from './words'

/** Whether what is built is a wall's own sheets or strips. */
export const isWall = (bench: Pick<Bench, 'model'>): boolean => bench.model.form === WALL_FORM

/** A full sheet weighs more than one person lifts, kg/m3 are left aside: from this area on two carry it, mm². */
const HEAVY = 1.5e6

/** Putting sheets or strips up: the studs, a level line, each in its turn with its screws, and a pull. */
export function wallSteps(bench: Bench): Step[] {
  const { model, shop } = bench
  const strips = model.boards.some((b) => b.bevel)
  const boards = [...model.boards].sort(
    (a, b) => a.placement.at.z - b.placement.at.z || a.placement.at.x - b.placement.at.x,
  )
  const low = boards[0]!.placement.at.z
  const studs = model.working.filter((f) => f.id.startsWith('stud:')).map((f) => f.value)
  const first = step({
    id: 'wall',
    kind: 'wall',
    title: 'Find the studs and draw a level line',
    settings: [
      ...(studs.length > 0 ? [{ label: 'Studs at', value: running(studs, shop) }] : []),
      { label: 'Level line', value: `${formatLength(low, shop)} over the floor` },
    ],
    says: [
      'Check every stud with a nail where it will be covered.',
      strips ? 'The line is the lower edge of the lowest strip.' : 'The floor is rarely level: the line is where the sheets stand. Screw a straight batten along it to carry them.', // prettier-ignore
    ],
    cautions: [
      'Cables and pipes run in walls, above and beside outlets: look before you drill. Near an outlet the circuit is off and proven dead; box extenders and wiring are for a licensed electrician where the code says so.',
      'Drywall alone carries nothing here.',
    ],
    makes: ['wall'],
    minutes: MINUTES.findStuds,
  })
  const rows = strips ? byHeight(boards) : boards.map((b) => [b])
  const up = rows.map((row, i): Step => {
    const screws = model.fasteners.filter((f) => row.some((b) => b.id === f.through))
    const names = row.map((b) => lower(b.name)).join(', ')
    return step({
      id: `up:${row[0]!.id}`,
      kind: 'hang',
      title: strips ? `Row ${i + 1}: ${names}` : `Put up ${names}`,
      parts: row.map((b) => b.id),
      settings: [
        ...fastenersText(screws, bench).map((value) => ({ label: 'With', value })),
        ...(strips ? [{ label: 'Lower edge', value: `${formatLength(row[0]!.placement.at.z, shop)} over the floor` }] : [{ label: 'Left edge', value: `${formatLength(row[0]!.placement.at.x, shop)} from the corner` }]), // prettier-ignore
        ...(strips && i > 0 ? [{ label: 'Spacer', value: formatLength(row[0]!.placement.at.z - rows[i - 1]![0]!.placement.at.z - rows[i - 1]![0]!.width, shop) }] : []), // prettier-ignore
      ],
      says: strips
        ? [
            'The bevel up, its sharp edge away from the wall: look at it from its end before the first screw.',
            i === 0
              ? 'On the level line; check it again with a long level.'
              : 'On two spacers of that height, set on the row below.',
            'One screw in each stud, in the body of the strip, never in its bevel.',
          ]
        : [
            'One screw near the top first; plumb its edge; then the rest, from the middle outwards.',
            ...(row[0]!.openings.length > 0 ? ['Cut-outs are measured from this sheet’s own edges: hold it up and try before it is fixed.'] : []), // prettier-ignore
          ],
      cautions: row.some((b) => b.length * b.width > HEAVY) ? ['A full sheet weighs 25 to 37 kg: two people, or cut it first.'] : [], // prettier-ignore
      makes: [...screws.map((f) => driveOf(f.id)), `up:${i}`],
      wants: [...wants('wall', ...row.map((b) => easeOf(b.id))), ...(i > 0 ? wants(`up:${i - 1}`) : [])],
      minutes: MINUTES.hang + MINUTES.screw * screws.length,
      show: {
        look: 'front',
        boards: rows
          .slice(0, i + 1)
          .flat()
          .map((b) => b.id),
      },
    })
  })
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
    wants: wants(`up:${rows.length - 1}`),
    minutes: MINUTES.prove,
  })
  return [first, ...up, prove]
}

function byHeight(boards: Bench['model']['boards']): Bench['model']['boards'][] {
  const rows: Bench['model']['boards'][] = []
  for (const b of boards) {
    const row = rows.at(-1)
    if (row && Math.abs(row[0]!.placement.at.z - b.placement.at.z) < 1) row.push(b)
    else rows.push([b])
  }
  return rows
}
