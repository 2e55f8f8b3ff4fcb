import {
  gravityOf,
  withdrawal,
  withdrawalText,
  END_GRAIN_SHEAR,
  shortThread,
  thinThread,
  yieldLoad,
} from '../fit/screw'
import { wallScrew } from '../forms/fastening/wall'
import { boardOf, type Board, type Fastener, type Joint } from '../model/model'
import { boardBox } from '../model/standing'
import { densityOf } from '../shop/materials'
import { SETTINGS } from '../shop/settings'
import { formatLength } from '../units/format-length'
import { briefForce, forceUnitFor } from '../units/force'
import { GRAVITY, GRAVITY_TEXT } from '../units/gravity'
import { handOn, loadsOf, type Load } from './loads'
import { glueRule, pullRule, screwEdgeRule, shearLoadRule, shearRule, withdrawalRule } from './rules'
import { stockAsked } from './stock-asked'
import { limitFrom, offer, remedy, TOLERANCE, type Check, type Subject } from './subject'
import type { Level, Remedy, Verdict } from './verdict'

/** Screws: whether there is one for each joint, and whether they hold what hangs on them without the glue. */
export const checkScrews: Check = (subject) => {
  const loads = subject.model.fasteners.length > 0 ? [...loadsOf(subject), handOn(subject)] : []
  return [
    ...missing(subject),
    ...nearEdges(subject),
    ...holds(subject, 'joint', loads),
    ...holds(subject, 'wall', loads),
  ]
}

const screwed = ({ by }: Joint): boolean => by === 'screws' || by === 'brads'

/** Joints for which the shop has no screw that bites without its point showing. */
function missing(subject: Subject): Verdict[] {
  const { model, input } = subject
  const lacking = model.joints.filter((j) => screwed(j) && !model.fasteners.some((f) => f.joint === j.order))
  const wall = model.boards.some((b) => b.role === 'strip') || model.fasteners.some((f) => f.into === null)
  const back = model.boards.find((b) => b.role === 'back')
  const says = lacking.map((j) => {
    const [side, into] = j.parts.map((id) => boardOf(model, id))
    const most = side!.thickness + Math.min(into!.thickness, into!.width) - input.shop.settings.pointKeep
    return `No screw you own holds the ${side!.name.toLowerCase()} and the ${into!.name.toLowerCase()} together with its point in the wood and clear of every opening: it may be ${formatLength(most, input.shop, 'down')} long at most.` // prettier-ignore
  })
  const told = says.map((text) => ({ says: text, candidates: [] as Remedy[] }))
  if (!wall && back) told.push(noneIntoWall(subject, back))
  return told.map((one, i) => ({ id: `screw missing ${i + 1}`, check: 'screws', title: 'Screws', level: 'watch', seats: [], ...one })) // prettier-ignore
}

/** Why no screw goes through the back into the wall. */
function noneIntoWall({ model, input }: Subject, back: Board): Pick<Verdict, 'says' | 'candidates'> {
  if (!wallScrew(model, input)) return { says: `No screw you own reaches from the back of ${formatLength(back.thickness, input.shop)} far enough into the wall.`, candidates: [] } // prettier-ignore
  const says =
    'What stands before the back leaves a driver no way to a screw into the wall. Behind a strip none is wanted.'
  return { says, candidates: offer(input, 'Hang it on a strip', 'hung', 'strip') }
}

/** The joint whose screws stand nearest to a side of what they go into. */
function nearEdges(subject: Subject): Verdict[] {
  const { model, input, trail } = subject
  const times = limitFrom(subject, 'screwEdge')
  const near = model.fasteners.flatMap((f) => {
    const into = model.boards.find((b) => b.id === f.into)
    if (f.kind !== 'screw' || !into) return []
    const box = boardBox(into)
    const sides = (['x', 'y', 'z'] as const).filter((axis) => f.toward[axis] === 0)
    const edge = Math.min(...sides.flatMap((axis) => [f.at[axis] - box[axis][0], box[axis][1] - f.at[axis]]))
    return [{ f, into, edge, spare: edge - times * f.diameter }]
  })
  if (near.length === 0) return []
  const { f, into, edge, spare } = near.reduce((a, b) => (b.spare < a.spare ? b : a))
  trail.given('edgeScrew', 'Screw nearest to an edge, diameter', f.diameter, { kind: 'screw', id: f.item, key: 'gauge' }, { note: f.name }) // prettier-ignore
  const limit = trail.derive('screwEdgeLimit', 'Screw to an edge, at least', times * f.diameter, screwEdgeRule, '{screwEdge} × {edgeScrew}', { print: 'up' }) // prettier-ignore
  if (spare >= -TOLERANCE) return []
  return [
    {
      id: 'screw edge',
      check: 'screws',
      title: 'Screws near an edge',
      level: 'watch',
      says: `${f.name} stands ${formatLength(edge, input.shop, 'down')} from the edge of the ${into.name.toLowerCase()}; ${times} times its diameter would be ${formatLength(limit, input.shop, 'up')}. A thinner one splits less.`, // prettier-ignore
      seats: [],
      board: into.id,
      limitFigure: 'screwEdgeLimit',
      measured: { value: edge, limit, sense: 'at least', quantity: 'length', print: 'down' },
      candidates: [],
    },
  ]
}

/** The screws that carry everything: those through the back into what hangs on it, or those into the wall. */
interface Carrying {
  base: Board
  screws: Fastener[]
  /** heights of the screws over the edge about which they are pulled out, mm */
  levers: number[]
  /** from which plane the load hangs out, mm from the wall */
  plane: { value: number; formula: string }
  density: number
  glued: boolean
}

/** How far a back's face is from the wall, by its thickness and that of the strip behind it where it hangs on one. */
function faceOf({ figures }: Board, [behind, face]: readonly [number, number], { trail }: Subject): string {
  const strip = 'thickness:strip'
  if (Math.abs(behind) < TOLERANCE) return `{${figures.thickness}}`
  const hangs = trail.has(strip) && Math.abs(behind - trail.get(strip).value) < TOLERANCE
  return hangs ? `({${strip}} + {${figures.thickness}})` : `[${face} mm]`
}

function carrying(subject: Subject, what: 'joint' | 'wall'): Carrying | null {
  const { model, input } = subject
  const base = model.boards.find((b) => b.role === 'back')
  if (!base) return null
  const box = boardBox(base)
  if (what === 'wall') {
    const all = model.fasteners.filter((f) => f.into === null)
    const top = Math.max(...all.map((f) => f.at.z))
    const screws = all.filter((f) => f.at.z > top - 1)
    if (screws.length === 0) return null
    const levers = screws.map((f) => f.at.z - box.z[0])
    return { base, screws, levers, plane: { value: 0, formula: '' }, density: limitFrom(subject, 'wallDensity'), glued: false } // prettier-ignore
  }
  const joints = model.joints.filter((j) => j.by === 'screws' && j.parts[0] === base.id)
  const screws = model.fasteners.filter((f) => joints.some((j) => j.order === f.joint))
  if (screws.length === 0) return null
  const into = screws.map((f) => boardOf(model, f.into!))
  const levers = screws.map((f, i) => f.at.z - Math.max(boardBox(into[i]!).z[0], box.z[0]))
  const weakest = into.reduce((a, b) => (densityOf(input.shop, b.material) < densityOf(input.shop, a.material) ? b : a))
  return { base, screws, levers, plane: { value: box.y[1], formula: ` − ${faceOf(base, box.y, subject)}` }, density: densityOf(input.shop, weakest.material), glued: joints.every((j) => j.glued) } // prettier-ignore
}

function holds(subject: Subject, what: 'joint' | 'wall', loads: readonly Load[]): Verdict[] {
  const c = carrying(subject, what)
  if (!c) return []
  const { trail, input } = subject
  const weight = GRAVITY * loads.reduce((sum, l) => sum + l.mass, 0)
  const moment = GRAVITY * loads.reduce((sum, l) => sum + l.mass * Math.max(l.out - c.plane.value, 0), 0)
  const levers = c.levers.reduce((sum, l) => sum + l, 0)
  const n = c.screws.length
  const weakest = c.screws.reduce((a, b) => (b.bite < a.bite ? b : a))
  const { gauge, diameter, bite, side, endGrain } = weakest
  const key = what === 'wall' ? 'wallScrew' : 'screw'
  const label = what === 'wall' ? 'wall' : 'joint'
  const gauges = trail.given(`${key}Diameter`, `Screw of the ${label}, diameter`, diameter, { kind: 'screw', id: weakest.item, key: 'gauge' }, { note: weakest.name }) // prettier-ignore
  const long = trail.given(`${key}Bite`, `It reaches into the ${what === 'wall' ? 'wall' : 'next board'}`, bite, { kind: 'screw', id: weakest.item, key: 'length' }, { note: weakest.name, print: 'down' }) // prettier-ignore
  trail.given(`${key}Density`, `Density of what it bites into`, c.density, what === 'wall' ? { kind: 'shop', key: 'wallDensity' } : { kind: 'stock', id: c.base.stock, key: 'material' }, { quantity: 'density' }) // prettier-ignore

  const moments = loads.map((l) => `${l.massText} × max(${l.outText}${c.plane.formula}, 0)`).join(' + ')
  const pull = trail.derive(`${key}Pull`, `Pull on each screw of the ${label}`, moment / levers, pullRule, `${GRAVITY_TEXT} × (${moments}) / [${levers} mm]`, { quantity: 'force', print: 'up' }) // prettier-ignore
  const capacity = endGrain ? 0 : withdrawal(gravityOf(c.density), gauges) * long
  const inEnd = endGrain ? '0 × ' : ''
  trail.derive(`${key}Withdrawal`, `What it holds against being pulled out`, capacity, withdrawalRule, inEnd + withdrawalText(`${key}Density`, `({${key}Diameter} / [25.4 mm/in])`, `${key}Bite`), { quantity: 'force', print: 'down', note: endGrain ? 'in end grain' : '' }) // prettier-ignore
  const across = trail.derive(`${key}Load`, `Weight on each screw of the ${label}`, weight / n, shearLoadRule, `${GRAVITY_TEXT} × (${loads.map((l) => l.massText).join(' + ')}) / ${n}`, { quantity: 'force', print: 'up' }) // prettier-ignore
  const gaugeId = `${key}Gauge`
  trail.given(gaugeId, `Screw of the ${label}, gauge`, gauge!, { kind: 'screw', id: weakest.item, key: 'gauge' }, { quantity: 'count', note: weakest.name }) // prettier-ignore
  const whole = yieldLoad(gauge!, gravityOf(c.density), side, bite)
  const thread = what === 'wall' ? thinThread(bite, diameter) : shortThread(bite, diameter)
  const shear = trail.derive(`${key}Shear`, 'What it bears across', whole * thread * (endGrain ? END_GRAIN_SHEAR : 1), shearRule, `screwShear({${gaugeId}}, {${key}Density} / [1120 kg/m³], ${Math.abs(side - trail.get(c.base.figures.thickness).value) < TOLERANCE ? `{${c.base.figures.thickness}}` : `[${side} mm]`}, {${key}Bite})${endGrain ? ` × ${END_GRAIN_SHEAR}` : ''} × ${thread === 0 ? '0' : `min(1, {${key}Bite} / {${key}Diameter} / 10)`}`, { quantity: 'force', print: 'down' }) // prettier-ignore

  const helped = c.glued && !endGrain
  const limit = helped
    ? trail.derive(`${key}Holds`, 'What it holds with the glue', capacity * (1 + limitFrom(subject, 'glueTimes')), glueRule, `{${key}Withdrawal} × (1 + {glueTimes})`, { quantity: 'force', print: 'down' }) // prettier-ignore
    : capacity
  const pulled = pull > limit + TOLERANCE
  const sheared = across > shear + TOLERANCE && !c.glued
  const level: Level = !pulled && !sheared ? 'pass' : c.glued ? 'watch' : 'stop'
  const force = (value: number): string => briefForce(value, forceUnitFor(input.shop.unit))
  const found = `Each of the ${n} screws ${what === 'wall' ? 'into the wall, along the upper edge,' : `through the ${c.base.name.toLowerCase()}`} is pulled by ${force(pull)} and holds ${force(limit)}${helped ? ' with the glue' : ''}` // prettier-ignore
  const says = !pulled
    ? sheared
      ? `Each of the ${n} screws carries ${force(across)} across and bears ${force(shear)}: take longer ones, or more.`
      : `${found}.`
    : endGrain
      ? `The screws through the ${c.base.name.toLowerCase()} go into end grain, where they hold nothing against being pulled: ${force(pull)} on each is left to the glue. Ply for solid wood holds better.` // prettier-ignore
      : c.glued
        ? `${found}: take more of them, or longer ones.`
        : `${found}: take longer screws, a higher back, or fewer tools.`
  return [
    {
      id: `screws ${what}`,
      check: 'screws',
      title: what === 'wall' ? 'Screws into the wall' : 'Screws through the back',
      level,
      says,
      seats: [],
      ...(sheared && !pulled
        ? { figure: `${key}Load`, limitFigure: `${key}Shear`, measured: atMost(across, shear) }
        : {
            figure: `${key}Pull`,
            limitFigure: helped ? `${key}Holds` : `${key}Withdrawal`,
            measured: atMost(pull, limit),
          }),
      candidates: level === 'pass' ? [] : [...(endGrain ? sheets(subject, c) : what === 'wall' ? higher(subject) : closer(subject)), ...(what === 'wall' ? offer(input, 'Hang it on a strip', 'hung', 'strip') : [])], // prettier-ignore
    },
  ]
}

const atMost = (value: number, limit: number): NonNullable<Verdict['measured']> => ({ value, limit, sense: 'at most', quantity: 'force', print: 'up' }) // prettier-ignore

/** Screws half as far apart. */
const closer = ({ input: { shop } }: Subject): Remedy[] => {
  const value = Math.max(SETTINGS.screwSpacing.min, Math.round(shop.settings.screwSpacing / 2))
  return [remedy(`Screws every ${formatLength(value, shop)}`, { kind: 'setting', key: 'screwSpacing', value })]
}

/** A back half as high again, in whole centimetres; none where the form has no such length. */
function higher({ input, trail, model }: Subject): Remedy[] {
  if (!trail.has('backHeight')) return []
  const back = model.boards.find((b) => b.role === 'back')!
  const value = Math.ceil((back.width * 1.5) / 10) * 10
  return [remedy(`Back ${formatLength(value, input.shop)} high`, { kind: 'choice', key: 'backHeight', value })]
}

/** A sheet for the boards that are screwed into by their end grain, where the form asks what they are made from. */
function sheets(subject: Subject, { screws }: Carrying): Remedy[] {
  const { input, model } = subject
  const into = model.boards.filter((b) => screws.some((f) => f.endGrain && f.into === b.id))
  const key = into.map((b) => stockAsked(subject, b)).find((k) => k !== null)
  const stock = input.shop.stock.filter((s) => s.form === 'sheet')
  return key ? stock.slice(0, 3).map((s) => remedy(`Make it from ${s.name}`, { kind: 'choice', key, value: s.id })) : []
}
