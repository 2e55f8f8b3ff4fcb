import { driverBox, boxesMeet } from '../../forms/fastening/places'
import type { Fastener, HolderModel, Joint } from '../../model/model'
import { boardBox, rodBox } from '../../model/standing'
import { formatLength } from '../../units/format-length'
import { usualGlue } from '../../shop/usual-choice'
import { cutOf, driveOf, easeOf, jointOf, markOf, slantOf } from './features'
import { cautionsAt, isWall, step, wants, type Bench, type Step, type Want } from './step'
import { MINUTES } from './times'
import { fewNames, lower, theName, theNames } from './words'

export const DRY_FIT = 'dry fit'

const nameOf = ({ boards, rods }: HolderModel, id: string): string =>
  [...boards, ...rods].find((p) => p.id === id)?.name ?? id

/**
 * Which joints must be made before another: those before it in their order that share a part with it, and those whose
 * screws could not be driven any more once its parts are there.
 */
export function before(model: HolderModel, joint: Joint): number[] {
  const sharing = model.joints.filter((j) => j.order < joint.order && j.parts.some((p) => joint.parts.includes(p)))
  const covered = model.joints.filter((j) => j.order < joint.order && blocks(model, joint, j.order))
  return [...new Set([...sharing, ...covered].map((j) => j.order))].sort((a, b) => a - b)
}

/** Joints that are made in one go: next to each other in their order, alike, from the same part. */
function grouped(model: HolderModel): Joint[][] {
  const groups: Joint[][] = []
  for (const joint of [...model.joints].sort((a, b) => a.order - b.order)) {
    const last = groups.at(-1)
    const alike =
      last && last[0]!.parts[0] === joint.parts[0] && last[0]!.by === joint.by && last[0]!.fixing === joint.fixing
    if (alike) last.push(joint)
    else groups.push([joint])
  }
  return groups
}

/** What holds, in words: `6 × Screw 8 x 40, pilot 3 mm`. */
export function fastenersText(fasteners: readonly Fastener[], { shop }: Pick<Bench, 'shop'>): string[] {
  const kinds = new Map<string, { count: number; f: Fastener }>()
  for (const f of fasteners) {
    const key = `${f.item} ${f.pilot}`
    kinds.set(key, { count: (kinds.get(key)?.count ?? 0) + 1, f })
  }
  return [...kinds.values()].map(({ count, f }) => `${count} × ${f.name}${f.pilot === null ? '' : `, pilot ${formatLength(f.pilot, { ...shop, gridMm: 0.5, gridIn: 64 })}`}`) // prettier-ignore
}

/** The hole that a screw goes through freely. */
export const clearanceFor = (
  [screw]: readonly Fastener[],
  { shop }: Pick<Bench, 'shop'>,
): Step['settings'][number] => ({
  label: 'Clearance hole',
  value: formatLength(screw!.diameter + 0.3, { ...shop, gridMm: 0.5, gridIn: 64 }, 'up'),
})

/** Putting it together: a dry fit, then each joint as soon as what it must wait for is done. */
export function joiningSteps(bench: Bench): Step[] {
  const { model, shop } = bench
  if (model.joints.length === 0) return []
  const ready: Want[] = wants(
    ...model.boards.map((b) => easeOf(b.id)),
    ...model.rods.flatMap((r) => [cutOf(r.id, 1), ...(r.pipe?.slant ? [slantOf(r.id)] : [])]),
    ...model.boards.filter((b) => needsMarks(model, b.id)).map((b) => markOf(b.id)),
  )
  const fit = step({
    id: 'fit',
    kind: 'fit',
    title: 'Put it together dry',
    parts: [...model.boards, ...model.rods].map((p) => p.id),
    says: [
      'Without glue, every part where it goes: joints closed, square, nothing rocks.',
      ...(model.seats.length > 0 ? ['Try each tool in its place. A hole that is tight is opened now, not later.'] : []),
      ...(model.rods.some((r) => betweenEnds(model, r.id)) ? ['Rods go in before the second end goes on.'] : []),
    ],
    makes: [DRY_FIT],
    wants: ready,
    minutes: MINUTES.dryFit,
    show: { look: 'front', boards: [...model.boards, ...model.rods].map((p) => p.id) },
  })
  return [fit, ...grouped(model).map((group) => joinStep(bench, group))].map((s) => ({ ...s, settings: [...s.settings], cautions: [...s.cautions, ...openTime(s, shop, model)] })) // prettier-ignore
}

/** Whether a rod is fixed in a socket at either end: it can't go in any more when both stand. */
const betweenEnds = (model: HolderModel, rod: string): boolean =>
  model.joints.filter((j) => j.by === 'socket' && j.glued && j.parts.includes(rod)).length > 1

const needsMarks = (model: HolderModel, id: string): boolean =>
  (model.boards.find((b) => b.id === id)?.openings.length ?? 0) > 0

function joinStep(bench: Bench, group: readonly Joint[]): Step {
  const { model, shop } = bench
  const [first] = group
  const orders = group.map((j) => j.order)
  const fasteners = model.fasteners.filter((f) => f.joint !== null && orders.includes(f.joint))
  const glue = usualGlue(shop)
  const glued = group.some((j) => j.glued)
  const through = nameOf(model, first!.parts[0])
  const others = group.map((j) => nameOf(model, j.parts[1]))
  const earlier = [...new Set(group.flatMap((j) => before(model, j)))].filter((o) => !orders.includes(o))
  const screws = fasteners.filter((f) => f.kind === 'screw')
  // a wall's own strips have their bevel up
  const strip = isWall(bench)
    ? undefined
    : model.boards.find((b) => b.bevel && group.some((j) => j.parts.includes(b.id)))
  const rods = group.some((j) => j.by === 'socket')
  return step({
    id: `join:${orders.join('+')}`,
    kind: 'join',
    title:
      first!.by === 'loose'
        ? `Try ${theName(others[0]!)} in its place`
        : strip
          ? `${strip.name}, the bevel down and against the wall`
          : `Join ${lower(through)} and ${fewNames(others.map(lower))}`,
    parts: [...new Set(group.flatMap((j) => j.parts))],
    settings: [
      ...fastenersText(fasteners, bench).map((value, i) => ({ label: i === 0 ? 'With' : 'and', value })),
      ...(glued ? [{ label: 'Glue', value: glue?.name ?? 'wood glue' }] : []),
      ...(screws.length > 0 ? [clearanceFor(screws, bench)] : []),
    ],
    says: [
      `${first!.fixing}.`,
      ...(screws.length > 0 ? [`Clearance hole and countersink in ${theName(through)}, pilot hole ${formatLength(Math.max(...screws.map((f) => f.bite)), shop, 'down')} deep in the other; soap or wax on the thread in hard wood.`] : []), // prettier-ignore
      ...(fasteners.length === 0 && (first!.by === 'screws' || first!.by === 'brads') ? ['No screw of the shop fits here: glue and clamp it, or buy one of the length that the checks name.'] : []), // prettier-ignore
      ...(strip ? ['Look at it from its end as drawn: its wide face towards the wall, the sharp edge lowest. The strip on the wall is the mirror of it, sharp edge up.'] : []), // prettier-ignore
    ],
    cautions: [
      ...(screws.some((f) => f.endGrain) ? ['The screws go into end grain: the glue carries it. Size the end grain with a first thin coat, and clamp it.'] : []), // prettier-ignore
      ...cautionsAt(model, 'join'),
    ],
    notYet: notYet(model, orders),
    makes: [...orders.map(jointOf), ...fasteners.map((f) => driveOf(f.id))],
    wants: [...wants(DRY_FIT), ...wants(...earlier.map(jointOf))],
    minutes:
      (glued ? MINUTES.glue * group.length : 0) +
      MINUTES.screw * screws.length +
      MINUTES.brad * (fasteners.length - screws.length),
    sets: glued ? (glue?.clampTime ?? 60) : 0,
    show: { look: strip || rods || leaning(model, orders) ? 'side' : 'front', boards: standingAfter(model, orders) },
  })
}

/** Whether one of the parts joined leans: square on it the rest is seen askew. */
const leaning = (model: HolderModel, orders: readonly number[]): boolean =>
  model.boards.some(
    (b) => b.placement.tilt && model.joints.some((j) => orders.includes(j.order) && j.parts.includes(b.id)),
  )

/** Parts that stand when these joints are made. */
const standingAfter = (model: HolderModel, orders: readonly number[]): string[] => [
  ...new Set(model.joints.filter((j) => j.order <= Math.max(...orders)).flatMap((j) => j.parts)),
]

/** Joints that would close the way to screws of these if they were made before. */
function notYet(model: HolderModel, orders: readonly number[]): string[] {
  const blocking = model.joints.filter((j) => j.order > Math.max(...orders))
  const names = [...new Set(blocking.flatMap((j) => orders.flatMap((o) => blockersOf(model, j, o))))]
  return names.length > 0 ? [`Not yet ${theNames(names.map((id) => nameOf(model, id)))}: ${names.length === 1 ? 'it' : 'they'} would cover these screws.`] : [] // prettier-ignore
}

/** Whether parts of a joint stand in the way of the driver for another joint's screws. */
const blocks = (model: HolderModel, joint: Joint, order: number): boolean => blockersOf(model, joint, order).length > 0

/** Those parts of a joint that do. */
function blockersOf(model: HolderModel, joint: Joint, order: number): string[] {
  const own = model.joints.find((j) => j.order === order)!
  const drivers = model.fasteners.filter((f) => f.joint === order).map(driverBox)
  return joint.parts.filter((id) => {
    if (own.parts.includes(id)) return false
    const board = model.boards.find((b) => b.id === id)
    const rod = model.rods.find((r) => r.id === id)
    const box = board ? boardBox(board) : rod ? rodBox(rod) : null
    return box !== null && drivers.some((d) => boxesMeet(d, box))
  })
}

/** Glue that is open for less time than its joints take. */
function openTime(s: Step, shop: Bench['shop'], model: HolderModel): string[] {
  const glue = usualGlue(shop)
  if (s.kind !== 'join' || !glue) return []
  const joints = model.joints.filter((j) => s.makes.includes(jointOf(j.order)) && j.glued).length
  return joints * MINUTES.glue > glue.openTime ? [`${glue.name} stays open for ${glue.openTime} min: glue ${joints} joints in several goes, or take a slower one.`] : [] // prettier-ignore
}
