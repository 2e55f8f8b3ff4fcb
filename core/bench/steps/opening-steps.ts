import { routerPasses } from '../../fit/router'
import { contactOf, onBoard, axesOf } from '../../model/contact'
import { openingRows, type Board, type Opening } from '../../model/model'
import { bitName } from '../../shop/bit-name'
import type { BitKind } from '../../shop/shop'
import { formatAngle } from '../../units/angle'
import { formatLength } from '../../units/format-length'
import { blankFeatures, boreOf, dustOf, easeOf, fileOf, markOf, openingFeatures, sawOf } from './features'
import { bitSpeed, drillFor, sawFor } from './machines'
import { step, wants, wantsDry, type Bench, type Step } from './step'
import { MINUTES } from './times'
import { fewNames, lower, running } from './words'

/** From here on a bit wants the work clamped and a low speed, mm. */
const LARGE_BIT = 25

/** A board smaller than this is not drilled without a clamp, mm. */
const SMALL = { length: 100, width: 60 }

const FACE: Record<Board['placement']['lies'], string> = {
  flat: 'the upper face',
  upright: 'the face that goes to the wall',
  end: 'the face towards the datum end',
}

const EDGE: Record<Board['placement']['lies'], string> = {
  flat: 'back edge',
  upright: 'lower edge',
  end: 'lower edge',
}

/** Marking: a step for each board that is drilled, sawn, or screwed through. */
export function markSteps({ model, shop }: Bench): Step[] {
  return model.boards.flatMap((board): Step[] => {
    const screws = screwLines(model, board, shop)
    const places = placeLines(model, board, shop)
    if (board.openings.length === 0 && screws.length + places.length === 0) return []
    const slanted = board.openings.some((o) => o.slant !== 0)
    const face = slanted ? 'the face that looks out' : FACE[board.placement.lies]
    const rows = openingRows(board)
    return [
      step({
        id: `mark:${board.id}`,
        kind: 'mark',
        title: `Mark out the ${board.name.toLowerCase()}`,
        parts: [board.id],
        settings: [
          { label: 'Mark on', value: face },
          ...(rows.length > 0 ? [{ label: rows.length > 1 ? 'Lines of centres' : 'Line of centres', value: `${running(rows.map((r) => r[0]!.centre.y), shop)} from the ${EDGE[board.placement.lies]}` }] : []), // prettier-ignore
        ],
        says: [
          `Write ‘${board.name}’ on ${face}, with an arrow to its ${board.placement.lies === 'flat' ? 'front edge' : 'upper edge'} and a cross at the datum end.`,
          ...(board.openings.length > 0 ? ['Hook the rule on the datum end and don’t move it: every mark of the stick in one go; cross the waste side of each saw line.'] : []), // prettier-ignore
          ...places,
          ...screws,
        ],
        makes: [markOf(board.id)],
        wants: wantsDry(...blankFeatures(board)),
        minutes: MINUTES.markBoard + MINUTES.mark * (board.openings.length * 3 + screws.length * 2),
        show: { look: 'board', boards: [board.id] },
      }),
    ]
  })
}

/** Where screws go through a board, by what they go into: running figures, and how far from the edge. */
function screwLines(model: Bench['model'], board: Board, shop: Bench['shop']): string[] {
  const through = model.fasteners.filter((f) => f.through === board.id)
  const groups = new Map<string, { to: string; what: string; xs: number[]; y: number }>()
  for (const f of through) {
    const { x, y } = onBoard(board, f.at)
    const axis = axesOf(board)
    // through an edge there is nothing to mark on the face
    if (f.toward[axis.thickness] === 0) continue
    const to = f.into === null ? 'the wall' : `the ${lower(model.boards.find((b) => b.id === f.into)!.name)}`
    const key = `${f.into} ${y.toFixed(2)}`
    const group = groups.get(key) ?? { to, what: f.kind === 'brad' ? 'Brads' : 'Screws', xs: [], y }
    group.xs.push(x)
    groups.set(key, group)
  }
  const edge = EDGE[board.placement.lies]
  return [...groups.values()].map(({ to, what, xs, y }) => `${what} into ${to}: ${running(xs.sort((a, b) => a - b), shop)} from the datum end, ${running([y], shop)} from the ${edge}.`) // prettier-ignore
}

/** Where other boards stand on this one, so that glue goes there and nowhere else. */
function placeLines(model: Bench['model'], board: Board, shop: Bench['shop']): string[] {
  return model.joints.flatMap(({ parts }): string[] => {
    const other = model.boards.find((b) => b.id === parts[1])
    if (parts[0] !== board.id || !other) return []
    const contact = contactOf(board, other)
    if (!contact || contact.axis !== axesOf(board).thickness) return []
    const corner = (end: 'from' | 'to') => {
      const p = { x: 0, y: 0, z: 0 }
      p[contact.axis] = contact.at
      p[contact.along.axis] = contact.along[end]
      p[contact.across.axis] = contact.across[end]
      return onBoard(board, p)
    }
    const [a, b] = [corner('from'), corner('to')]
    const span = (p: number, q: number): string => running([Math.min(p, q), Math.max(p, q)], shop)
    const whole = Math.min(a.x, b.x) < 0.01 && Math.max(a.x, b.x) > board.length - 0.01
    const alongText = whole ? '' : ` and ${span(a.x, b.x)} from the datum end`
    return [
      `The ${lower(other.name)} stands between ${span(a.y, b.y)} from the ${EDGE[board.placement.lies]}${alongText}.`,
    ]
  })
}

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
      opening.bores.forEach((bore, n) => {
        const key = `${bore.bit.toFixed(3)} ${opening.depth?.toFixed(1) ?? 'through'} ${opening.slant}`
        const group = groups.get(key) ?? { bit: bore.bit, depth: opening.depth, slant: opening.slant, bores: [] }
        group.bores.push({ board, opening, n })
        groups.set(key, group)
      })
  return [...groups.values()].sort((a, b) => b.bit - a.bit || (b.depth ?? Infinity) - (a.depth ?? Infinity))
}

/** Boards that are alike, so that they can be drilled in one stack. */
function stacks(boards: readonly Board[]): string[] {
  const look = (b: Board): string => JSON.stringify([b.length, b.width, b.placement.lies, b.openings.map((o) => [o.centre, o.width, o.depth, o.slant])].map(String)) + b.openings.map((o) => `${o.centre.x.toFixed(3)},${o.centre.y.toFixed(3)}`).join(';') // prettier-ignore
  const alike = new Map<string, string[]>()
  for (const b of boards) alike.set(look(b), [...(alike.get(look(b)) ?? []), lower(b.name)])
  return [...alike.values()].filter((names) => names.length > 1).map((names) => `Stack the ${fewNames(names)}, datum ends and edges flush, and drill them together.`) // prettier-ignore
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
    const fromEdge = Math.max(...bores.map(({ board, opening, n }) => Math.min(opening.bores[n]!.centre.y, board.width - opening.bores[n]!.centre.y))) // prettier-ignore
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
        ...boards.map((b) => `${b.name}: ${numbered(bores.filter((x) => x.board === b).map((x) => model.seats.find((s) => s.id === x.opening.seat)?.place ?? null))}.`), // prettier-ignore
        ...stacks(boards),
        ...(slant === 0
          ? []
          : ['From the front, the drill sloping down as it goes in, so that what stands in it leans up.']),
        ...(depth === null
          ? []
          : ['Set the stop from the bit’s cutting edge, and try it in waste: its point goes deeper.']),
        ...(drill.says ? [drill.says] : []),
      ],
      cautions: [
        ...(bit >= LARGE_BIT ? ['Large bits: clamp the work, low speed, a backer under the hole.'] : []),
        ...(small
          ? ['Small parts are held in a vice or clamp, never by fingers; or drill before you cut them off.']
          : []),
      ],
      makes: bores.map(({ board, opening, n }) => boreOf(board.id, opening.id, n)),
      wants: wants(...boards.map((b) => markOf(b.id))),
      minutes: MINUTES.changeBit + MINUTES.bore * bores.length,
      show: { look: 'board', boards: boards.map((b) => b.id) },
    })
  })
}

const numbered = (places: readonly (number | null)[]): string => {
  const seats = places.filter((p) => p !== null)
  const rods = places.length - seats.length
  return [
    ...(seats.length > 0 ? [`${seats.length === 1 ? 'place' : 'places'} ${seats.join(', ')}`] : []),
    ...(rods > 0 ? [`${rods} for rods`] : []),
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
  const fence = Math.max(...sawn.map((o) => board.width - o.centre.y))
  const saw = sawFor(shop, 'slot', { long: fence, fence, thickness: board.thickness, tilt: 0 })
  const kerfs = sawn.filter((o) => o.bores.length === 0 && saw && saw.kerf <= o.width + 1e-6 && o.width < 4 * saw.kerf)
  const passes = kerfs.map((o) => routerPasses(o.width, saw!.kerf)?.passes ?? 1)
  return step({
    id: `saw:${board.id}`,
    kind: 'saw',
    title: bored ? `Saw ${sawn.length} ${sawn.length === 1 ? 'slot' : 'slots'} open in the ${lower(board.name)}` : `Saw ${sawn.length} ${sawn.length === 1 ? 'slot' : 'slots'} in the ${lower(board.name)}`, // prettier-ignore
    parts: [board.id],
    settings: [
      { label: 'Saw', value: saw?.name ?? 'none in the shop that cuts this thickness' },
      {
        label: widths.length === 1 ? 'Width' : 'Widths',
        value: [...new Set(widths.map((w) => formatLength(w, shop, 'up')))].join(' · '),
      },
      ...(kerfs.length > 0 ? [{ label: 'Passes', value: [...new Set(passes)].join(' or ') }] : []),
    ],
    says: [
      bored ? 'From the hole’s tangents square to the front edge, the blade in the waste, the line left standing.' : 'From the front edge to the end mark, the blade in the waste, the line left standing.', // prettier-ignore
      ...(bored ? [] : ['Try each with what goes into it before the next one is cut.']),
    ],
    cautions: [
      'Clamp the board, the line beside the clamp; both hands on the saw. Fingers between slots break across the grain: don’t pry the waste out.',
    ],
    makes: sawn.map((o) => sawOf(board.id, o.id)),
    wants: wants(markOf(board.id), ...sawn.flatMap((o) => openingFeatures(board, o).filter((f) => f !== sawOf(board.id, o.id)))), // prettier-ignore
    minutes: MINUTES.setUp + (bored ? MINUTES.sawSlot : MINUTES.kerf) * sawn.length,
    show: { look: 'board', boards: [board.id] },
  })
}

/** Edges eased where hands and tools go, before anything is in the way. */
export function easeStep({ model, shop }: Bench): Step {
  const drawn = model.boards.filter((b) => b.openings.length > 0 || b.role === 'shelf' || b.role === 'lip')
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
      ...(drawn.length > 0 ? [`Most where tools are drawn across: every opening of the ${fewNames(drawn.map((b) => lower(b.name)))}.`] : []), // prettier-ignore
      'Leave faces that are glued square and sharp.',
    ],
    cautions: ['Dust: a mask, and open the door.'],
    makes: model.boards.map((b) => easeOf(b.id)),
    wants: [
      ...wantsDry(...model.boards.flatMap(blankFeatures)),
      ...wants(...model.boards.flatMap((b) => b.openings.flatMap((o) => openingFeatures(b, o)))),
    ],
    minutes: MINUTES.ease * model.boards.length,
  })
}
