import { routerPasses } from '../../fit/router'
import { drilled, intoEdge, type Board, type Opening } from '../../model/model'
import { EDGES } from '../marks'
import { bitName } from '../../shop/bit-name'
import type { BitKind } from '../../shop/shop'
import { formatAngle } from '../../units/angle'
import { formatLength } from '../../units/format-length'
import { blankFeatures, boreOf, dustOf, easeOf, fileOf, flareOf, isShaped, markOf, openingFeatures, outlineOf, sawOf } from './features' // prettier-ignore
import { bitSpeed, drillFor, sawFor } from './machines'
import { cutOutLines, isCutOut, runsOut } from './cut-outs'
import { isWall, step, wants, wantsDry, type Bench, type Step } from './step'
import { MINUTES } from './times'
import { listed, theName, theNames } from './words'

/** From here on a bit wants the work clamped and a low speed, mm. */
const LARGE_BIT = 25

/** A board smaller than this is not drilled without a clamp, mm. */
const SMALL = { length: 100, width: 60 }

interface BoreGroup {
  bit: number
  depth: number | null
  slant: number
  bores: { board: Board; opening: Opening; n: number }[]
}

/** All bores by bit, depth and slant: one set-up each, the largest bit first. */
function boreGroups(boards: readonly Board[]): BoreGroup[] {
  const groups = new Map<string, BoreGroup>()
  for (const board of boards)
    for (const opening of board.openings)
      drilled(opening).forEach(({ bit, depth }, n) => {
        const key = `${bit.toFixed(3)} ${depth?.toFixed(1) ?? 'through'} ${opening.slant}`
        const group = groups.get(key) ?? { bit, depth, slant: opening.slant, bores: [] }
        group.bores.push({ board, opening, n })
        groups.set(key, group)
      })
  return [...groups.values()].sort((a, b) => b.bit - a.bit || (b.depth ?? Infinity) - (a.depth ?? Infinity))
}

/** Boards that are alike, so that they can be drilled in one stack. */
function stacks(boards: readonly Board[]): string[] {
  const look = (b: Board): string => JSON.stringify([b.length, b.width, b.placement.lies, b.openings.map((o) => [o.centre, o.width, o.depth, o.slant])].map(String)) + b.openings.map((o) => `${o.centre.x.toFixed(3)},${o.centre.y.toFixed(3)}`).join(';') // prettier-ignore
  const alike = new Map<string, string[]>()
  for (const b of boards) alike.set(look(b), [...(alike.get(look(b)) ?? []), b.name])
  return [...alike.values()].filter((names) => names.length > 1).map((names) => `Stack ${theNames(names)}, datum ends and edges flush, and drill them together.`) // prettier-ignore
}

const KINDS: Record<BitKind, string> = {
  forstner: 'Forstner bit',
  spade: 'spade bit',
  'brad-point': 'brad-point bit',
  twist: 'twist bit',
  'hole saw': 'hole saw',
}

/** Boring: a step for each bit and depth, whatever board it is in. */
export function boreSteps({ model, shop }: Bench): Step[] {
  return boreGroups(model.boards).map(({ bit, depth, slant, bores }) => {
    const boards = [...new Set(bores.map((b) => b.board))]
    const owned = shop.bits.find((b) => Math.abs(b.diameter - bit) < 1e-6)
    const name = bitName(bit, shop)
    const deep = depth ?? Math.max(...boards.map((b) => b.thickness))
    const fromEdge = Math.max(...bores.map(({ board, opening }) => Math.min(opening.centre.y, board.width - opening.centre.y))) // prettier-ignore
    const drill = drillFor(shop, { diameter: bit, deep, fromEdge, slant })
    const small = boards.some((b) => b.length < SMALL.length || b.width < SMALL.width)
    return step({
      id: `bore:${bit.toFixed(2)}${depth === null ? '' : `x${depth.toFixed(1)}`}${slant ? `@${slant}` : ''}`,
      kind: 'bore',
      title: `Bore ${name}${depth === null ? '' : `, ${formatLength(depth, shop, 'down')} deep`}: ${bores.length} ${bores.length === 1 ? 'hole' : 'holes'}`, // prettier-ignore
      parts: boards.map((b) => b.id),
      settings: [
        { label: 'Bit', value: `${name} ${owned ? KINDS[owned.kind] : ''}`.trim() },
        { label: 'Drill', value: drill.machine?.name ?? 'none' },
        { label: 'Speed', value: `about ${bitSpeed(bit)} a minute` },
        {
          label: 'Depth',
          value: depth === null ? 'through, into a backer' : `stop at ${formatLength(depth, shop, 'down')}`,
        },
        ...(slant === 0 ? [] : [{ label: 'Slant', value: `${formatAngle(slant)} from square` }]),
      ],
      says: [
        ...boards.map((b) => `${b.name}: ${numbered(bores.filter((x) => x.board === b).map((x) => model.seats.find((s) => s.id === x.opening.seat)?.place ?? x.opening.lets ?? 'rods'))}.`), // prettier-ignore
        ...stacks(boards),
        ...(slant === 0
          ? []
          : ['From the front, the drill sloping down as it goes in, so that what stands in it leans up.']),
        ...(depth === null
          ? []
          : ['Set the stop from the bit’s cutting edge, and try it in waste: its point goes deeper.']),
        ...(bores.some(isStep)
          ? ['Into the wider bores that are there: the point finds their middle. Depths count from the face.']
          : []),
        ...(drill.says ? [drill.says] : []),
      ],
      cautions: [
        ...(bit >= LARGE_BIT ? ['Large bits: clamp the work, low speed, a backer under the hole.'] : []),
        ...(small
          ? ['Small parts are held in a vice or clamp, never by fingers; or drill before you cut them off.']
          : []),
      ],
      makes: bores.map(({ board, opening, n }) => boreOf(board.id, opening.id, n)),
      // the wider bore first, so that the narrower bit finds its centre
      wants: wants(...boards.map((b) => markOf(b.id)), ...bores.filter((x) => isStep(x)).map(({ board, opening, n }) => boreOf(board.id, opening.id, n - 1))), // prettier-ignore
      minutes: MINUTES.changeBit + MINUTES.bore * bores.length,
      show: { look: 'board', boards: boards.map((b) => b.id) },
    })
  })
}

/** Whether a bore goes on below a wider one. */
const isStep = ({ opening, n }: BoreGroup['bores'][number]): boolean => n >= opening.bores.length

/** Which holes of a board are bored: by place, or what goes through them. */
function numbered(places: readonly (number | string)[]): string {
  const seats = places.filter((p) => typeof p === 'number')
  const others = [...new Set(places.filter((p) => typeof p === 'string'))]
  const each = [...new Set(seats)]
  const times = each.map((place) => seats.filter((p) => p === place).length)
  const alike = times.every((n) => n === times[0]) ? times[0]! : null
  const named = each.map((place, i) => (alike === null ? `${place} (${times[i]})` : place)).join(', ')
  const many = alike !== null && alike > 1 ? `${alike} ${each.length > 1 ? 'at each of ' : 'at '}` : ''
  return [
    ...(each.length > 0 ? [`${many}${each.length === 1 ? 'place' : 'places'} ${named}`] : []),
    ...others.map((what) => `${places.filter((p) => p === what).length} for ${what}`),
  ].join(', ')
}

/** Holes for dust, what is filed between two bores, what is sawn, each in one go. */
export function shapeSteps({ model, shop }: Bench): Step[] {
  const all = model.boards.flatMap((board) => board.openings.map((opening) => ({ board, opening })))
  const steps: Step[] = []
  const idsOf = (list: typeof all): string[] => [...new Set(list.map(({ board }) => board.id))]
  const dusty = all.filter(({ opening }) => opening.dust !== null)
  if (dusty.length > 0)
    steps.push(
      step({
        id: 'dust',
        kind: 'dust',
        title: `Dust holes: ${dusty.length}`,
        parts: idsOf(dusty),
        settings: [{ label: 'Bit', value: formatLength(dusty[0]!.opening.dust!, shop) }],
        says: ['Through the middle of each floor, from above, over waste: dust falls out.'],
        makes: dusty.map(({ board, opening }) => dustOf(board.id, opening.id)),
        wants: wants(...dusty.flatMap(({ board, opening }) => opening.bores.map((_, n) => boreOf(board.id, opening.id, n)))), // prettier-ignore
        minutes: MINUTES.changeBit + MINUTES.dust * dusty.length,
        show: { look: 'board', boards: idsOf(dusty) },
      }),
    )
  const flared = all.filter(({ opening }) => opening.flare)
  if (flared.length > 0)
    steps.push(
      step({
        id: 'flare',
        kind: 'flare',
        title: `Flare the mouths: ${flared.length}`,
        parts: idsOf(flared),
        settings: [{ label: 'Chamfer', value: formatLength(flared[0]!.opening.flare!, shop) }],
        says: ['With a countersink or a chamfer cutter at 45°, so that a tip finds its hole without looking.'],
        makes: flared.map(({ board, opening }) => flareOf(board.id, opening.id)),
        wants: wants(...flared.flatMap(({ board, opening }) => drilled(opening).map((_, n) => boreOf(board.id, opening.id, n)))), // prettier-ignore
        minutes: MINUTES.changeBit + MINUTES.dust * flared.length,
        show: { look: 'board', boards: idsOf(flared) },
      }),
    )
  const filed = all.filter(({ opening }) => opening.bores.length > 1)
  if (filed.length > 0)
    steps.push(
      step({
        id: 'file',
        kind: 'file',
        title: `File between two bores: ${filed.length}`,
        parts: idsOf(filed),
        says: ['Straight from the one to the other on both sides, square to the face.'],
        makes: filed.map(({ board, opening }) => fileOf(board.id, opening.id)),
        wants: wants(...filed.flatMap(({ board, opening }) => opening.bores.map((_, n) => boreOf(board.id, opening.id, n)))), // prettier-ignore
        minutes: MINUTES.file * filed.length,
        show: { look: 'board', boards: idsOf(filed) },
      }),
    )
  for (const board of model.boards) {
    const sawn = board.openings.filter((o) => openingFeatures(board, o).includes(sawOf(board.id, o.id)))
    if (sawn.length > 0) steps.push(sawStep(shop, board, sawn))
  }
  return steps
}

function sawStep(shop: Bench['shop'], board: Board, sawn: readonly Opening[]): Step {
  const widths = sawn.map((o) => o.width)
  const bored = sawn.some((o) => o.bores.length > 0)
  const fence = Math.max(...sawn.map((o) => intoEdge(board, o)))
  const rear = sawn.some((o) => o.opensTo === 'back')
  const [open, closed] = [sawn.some((o) => o.opensTo !== null), sawn.some((o) => o.opensTo === null)]
  const inside = sawn.some((o) => o.opensTo === null && !runsOut(board, o))
  const cutOff = sawn.some((o) => isCutOut(o) && runsOut(board, o))
  const { from, to } = EDGES[board.placement.lies]
  const edge = rear ? `edge that it is marked on, ${to} or ${from}` : to
  const reach = Math.max(...sawn.map(({ centre: { x } }) => Math.min(x, board.length - x)))
  const saw = sawFor(shop, closed ? 'inside' : 'slot', { long: fence, fence, thickness: board.thickness, tilt: 0, reach }) // prettier-ignore
  const kerfs = sawn.filter((o) => o.bores.length === 0 && saw && saw.kerf <= o.width + 1e-6 && o.width < 4 * saw.kerf)
  const passes = kerfs.map((o) => routerPasses(o.width, saw!.kerf)?.passes ?? 1)
  return step({
    id: `saw:${board.id}`,
    kind: 'saw',
    title: bored ? `Saw ${sawn.length} ${sawn.length === 1 ? 'slot' : 'slots'} open in ${theName(board.name)}` : `Saw ${sawn.length} ${closed ? (sawn.length === 1 ? 'opening' : 'openings') : sawn.length === 1 ? 'slot' : 'slots'} in ${theName(board.name)}`, // prettier-ignore
    parts: [board.id],
    settings: [
      {
        label: 'Saw',
        value:
          saw?.name ??
          (closed
            ? 'a keyhole or coping saw: none in the shop gets in there'
            : 'none in the shop that cuts this thickness'),
      },
      ...(sawn.every(isCutOut) ? [] : [{ label: widths.length === 1 ? 'Width' : 'Widths', value: [...new Set(widths.map((w) => formatLength(w, shop, 'up')))].join(' · ') }]), // prettier-ignore
      ...(kerfs.length > 0 ? [{ label: 'Passes', value: [...new Set(passes)].join(' or ') }] : []),
    ],
    says: [
      ...cutOutLines(board, shop),
      ...(inside ? [`${open || cutOff ? 'Closed ones: a' : 'A'} starting hole in the waste, beside the line, then round along it.`] : []), // prettier-ignore
      ...(cutOff ? ['What reaches the edge of the board: in from there along the lines, to their corner.'] : []),
      ...(open ? [bored ? `From the hole’s tangents ${sawn.some((o) => o.slope) ? 'along the sloped lines' : 'square'} to the ${edge}, the blade in the waste, the line left standing.` : `From the ${edge}, to the end mark, the blade in the waste, the line left standing.`] : []), // prettier-ignore
      ...(bored || sawn.every(isCutOut) ? [] : ['Try each with what goes into it before the next one is cut.']),
    ],
    cautions: [
      `Clamp the board, the line beside the clamp; both hands on the saw.${open ? ' Fingers between slots break across the grain: don’t pry the waste out.' : ''}`,
    ],
    makes: sawn.map((o) => sawOf(board.id, o.id)),
    wants: wants(markOf(board.id), ...sawn.flatMap((o) => openingFeatures(board, o).filter((f) => f !== sawOf(board.id, o.id)))), // prettier-ignore
    minutes: MINUTES.setUp + (bored ? MINUTES.sawSlot : MINUTES.kerf) * sawn.length,
    show: { look: 'board', boards: [board.id] },
  })
}

/** Boards whose edges tools are drawn over. */
const OVER_EDGES: ReadonlySet<Board['role']> = new Set(['shelf', 'lip', 'arm', 'hook', 'bar'])

const named = (what: string, boards: readonly Board[]): string[] =>
  boards.length > 0 ? [`${what} ${theNames(boards.map((b) => b.name))}`] : []

/** Edges eased where hands and tools go, before anything is in the way. */
export function easeStep(bench: Bench): Step {
  const { model, shop } = bench
  // over a wall no tool is drawn
  const drawn = isWall(bench)
    ? []
    : [
        ...named(
          'every opening of',
          model.boards.filter((b) => b.openings.length > 0),
        ),
        ...named(
          'the edges of',
          model.boards.filter((b) => b.openings.length === 0 && OVER_EDGES.has(b.role)),
        ),
      ]
  const round = shop.cutters.find((c) => c.kind === 'round-over' && !c.toBuy)
  return step({
    id: 'ease',
    kind: 'ease',
    title: 'Ease the edges',
    parts: model.boards.map((b) => b.id),
    settings: [
      {
        label: 'With',
        value: round ? `${round.name}, or paper round a block` : 'a block plane or paper round a block',
      },
    ],
    says: [
      ...(drawn.length > 0 ? [`Most where tools are drawn across: ${listed(drawn)}.`] : []), // prettier-ignore
      ...(isWall(bench) ? ['Where hands pass: the outer edges, and round every cut-out.'] : []),
      ...(model.joints.some((j) => j.glued) ? ['Leave faces that are glued square and sharp.'] : []),
    ],
    cautions: ['Dust: a mask, and open the door.'],
    makes: model.boards.map((b) => easeOf(b.id)),
    wants: [
      ...wantsDry(...model.boards.flatMap(blankFeatures)),
      ...wants(...model.boards.flatMap((b) => b.openings.flatMap((o) => openingFeatures(b, o)))),
      ...wants(...model.boards.filter(isShaped).map((b) => outlineOf(b.id))),
    ],
    minutes: MINUTES.ease * model.boards.length,
  })
}
