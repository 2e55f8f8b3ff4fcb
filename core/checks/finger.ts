import { intoEdge, openingKey, openingRows, seatedBoards, type Board, type Opening } from '../model/model'
import { materialOf, type Material } from '../shop/materials'
import { formatMass, massUnitFor } from '../units/mass'
import { GRAVITY, GRAVITY_TEXT } from '../units/gravity'
import { acrossGrainRule, fingerRule } from './rules'
import { stockAsked } from './stock-asked'
import { limitFrom, remedy, TOLERANCE, type Check, type Subject } from './subject'
import type { Remedy, Verdict } from './verdict'
import { wider } from './web'

/** Below this density, kg/m³, solid wood is soft across the grain: a specific gravity of 0.5. */
const SOFT_BELOW = 560

/**
 * Bending stress in a finger of wood that stands out between two slots.
 * @param load N, @param reach from its root to where the load may stand, @param width, @param thickness mm
 * @returns MPa
 * @source beam theory, rectangular cantilever; docs/rules.md, check.finger
 */
export const fingerStress = (load: number, reach: number, width: number, thickness: number): number =>
  (6 * load * reach) / (width * thickness ** 2)

/** A finger: the wood beside one opening or between two, and the seats whose tools stand on it. mm */
interface Finger {
  title: string
  width: number
  widthFigure: string
  beside: Opening[]
  end: 'gap' | 'margin'
}

/** Whether the fingers of each board with open slots bear the tools beside them: the worst of a board is told. */
export const checkFingers: Check = (subject) =>
  seatedBoards(subject.model)
    .filter((b) => b.openings.some((o) => o.opensTo !== null))
    .flatMap((board) => boardFingers(subject, board))

/** The fingers of a post are bent the strong way: as high as they are wide, as thick as the board. */
const onEdge = (board: Board): boolean => board.placement.lies === 'post'

/** The fingers beside the slots of both edges. */
const fingersOf = (subject: Subject, board: Board): Finger[] =>
  openingRows(board).flatMap((row, r) => (row.some((o) => o.opensTo !== null) ? fingersIn(subject, board, row, r === 0 ? '' : `:${r + 1}`) : [])) // prettier-ignore

/** @param suffix of the figures of the webs at the row's ends */
function fingersIn({ model }: Subject, board: Board, row: Opening[], suffix: string): Finger[] {
  const place = (o: Opening) => model.seats.find((s) => s.id === o.seat)?.place ?? o.id
  const [first, last] = [row[0]!, row.at(-1)!]
  const half = (o: Opening) => o.width / 2
  return [
    { title: 'at the datum end', width: first.centre.x - half(first), widthFigure: `web:start${suffix}`, beside: [first], end: 'margin' }, // prettier-ignore
    ...row.slice(1).map((b, i): Finger => {
      const a = row[i]!
      const width = b.centre.x - a.centre.x - half(a) - half(b)
      return {
        title: `${place(a)}–${place(b)}`,
        width,
        widthFigure: `web:${openingKey(board, a)}`,
        beside: [a, b],
        end: 'gap',
      }
    }),
    { title: 'at the far end', width: board.length - last.centre.x - half(last), widthFigure: `web:end${suffix}`, beside: [last], end: 'margin' }, // prettier-ignore
  ]
}

function boardFingers(subject: Subject, board: Board): Verdict[] {
  const { trail, model, input } = subject
  const { shop } = input
  const handling = limitFrom(subject, 'handling')
  const reachOf = (o: Opening) => intoEdge(board, o)
  const loaded = fingersOf(subject, board).flatMap((f) => {
    const seats = f.beside.map((o) => model.seats.find((s) => s.id === o.seat)!)
    const heavier = seats.reduce((a, b) => ((b?.mass ?? 0) > (a?.mass ?? 0) ? b : a))
    if (!heavier?.mass || !trail.has(f.widthFigure)) return []
    const load = handling * heavier.mass * GRAVITY
    return [
      {
        ...f,
        heavier,
        load,
        stress: onEdge(board)
          ? fingerStress(load, reachOf(f.beside[0]!), board.thickness, f.width)
          : fingerStress(load, reachOf(f.beside[0]!), f.width, board.thickness),
      },
    ]
  })
  if (loaded.length === 0) return []
  const worst = loaded.reduce((a, b) => (b.stress > a.stress ? b : a))
  const y = `{${worst.beside[0]!.figures.y}}`
  const reach = worst.beside[0]!.opensTo === 'back' ? y : `({${board.figures.width}} − ${y})`
  const value = trail.derive(
    'finger',
    `Stress in the finger ${worst.title}`,
    worst.stress,
    fingerRule,
    `6 × {handling} × {${worst.heavier.figures.mass}} × ${GRAVITY_TEXT} × ${reach} / ${onEdge(board) ? `({${board.figures.thickness}} × {${worst.widthFigure}}²)` : `({${worst.widthFigure}} × {${board.figures.thickness}}²)`}`,
    { quantity: 'stress', note: worst.heavier.name },
  )
  const base = {
    id: 'finger',
    check: 'finger',
    title: 'Fingers',
    seats: [worst.heavier.id],
    board: board.id,
    figure: 'finger',
  }
  const weight = formatMass(worst.heavier.mass!, massUnitFor(shop.unit))
  const material = materialOf(shop.materials, board.material)
  if (!material)
    return [
      {
        ...base,
        level: 'watch',
        says: `How strong ${board.material || 'this wood'} is is not known, so its fingers can’t be judged. Put it among the shop’s materials.`,
        candidates: [],
      },
    ]
  const limit = bearable(subject, board, material)
  const level = value > limit + TOLERANCE ? 'stop' : 'pass'
  const [has, may] = [value, limit].map((v) => v.toFixed(2))
  const found = `The finger ${worst.title}, under ${worst.heavier.name} (${weight}), is bent to ${has} MPa across the grain of ${material.name}`
  const short = worst.width * (value / limit - 1)
  return [
    {
      ...base,
      level,
      says: level === 'pass' ? `${found}; up to ${may} is sound.` : `${found}: more than ${may} splits it off.`,
      limitFigure: 'fingerLimit',
      measured: { value, limit, sense: 'at most', quantity: 'stress', print: 'up' },
      candidates: level === 'pass' ? [] : candidates(subject, board, worst, short),
    },
  ]
}

/** What a finger of a material bears, MPa; on the trail under `fingerLimit`. */
function bearable(subject: Subject, board: Board, material: Material): number {
  const { trail } = subject
  const label = 'What a finger bears'
  const origin = { kind: 'stock', id: board.stock, key: 'material' } as const
  if (material.kind === 'softwood' || material.kind === 'hardwood') {
    const key = material.density < SOFT_BELOW ? 'acrossSoft' : 'acrossHard'
    const limit = limitFrom(subject, key)
    return trail.derive('fingerLimit', label, limit, acrossGrainRule, `{${key}}`, { quantity: 'stress', note: material.name }) // prettier-ignore
  }
  const parts = limitFrom(subject, 'strengthPart')
  trail.given('strength', `Bending strength of ${material.name}`, material.strength, origin, { quantity: 'stress', note: material.source }) // prettier-ignore
  const layered = material.kind === 'ply' || material.kind === 'OSB'
  const share = layered ? limitFrom(subject, 'faceShare') : 1
  const formula = layered ? '{strength} × {faceShare} / {strengthPart}' : '{strength} / {strengthPart}'
  return trail.derive('fingerLimit', label, (material.strength * share) / parts, acrossGrainRule, formula, { quantity: 'stress', note: material.name }) // prettier-ignore
}

/** At most so many other boards are tried. */
const MOST_BOARDS = 4

function candidates(
  subject: Subject,
  board: Board,
  worst: Finger & { heavier: { id: string; name: string } },
  short: number,
): Remedy[] {
  const { input } = subject
  const key = stockAsked(subject, board)
  const boards = input.shop.stock.filter((s) => s.id !== board.stock && (s.form === 'board' || s.form === 'sheet'))
  return [
    ...(key
      ? boards.slice(0, MOST_BOARDS).map((s) => remedy(`Make it from ${s.name}`, { kind: 'choice', key, value: s.id }))
      : []),
    ...wider(subject, worst.end, worst.end === 'gap' ? 'Gap' : 'Margin', short),
    remedy(`Leave ${worst.heavier.name} out`, { kind: 'leave out', seats: [worst.heavier.id] }),
  ]
}
