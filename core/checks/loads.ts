import { densityOf } from '../shop/materials'
import { boughtWeights, toolWeight } from '../solid/mass'
import { toolOutRule, woodMassRule, woodOutRule } from './rules'
import { limitFrom, type Subject } from './subject'
import { woodVolumes } from './volumes'

/** Something that weighs on what holds a holder up, kg, so far out from the wall, mm; each with the text of its formula. */
export interface Load {
  seat: string | null
  name: string
  mass: number
  out: number
  massText: string
  outText: string
}

/** The wood, what is bought for it and each tool that was weighed, their figures on the trail. Asked for several times, the figures stay. */
export function loadsOf({ model, input, trail }: Subject): Load[] {
  const parts = woodVolumes(model, trail).map((p) => {
    const id = `density:${p.stock}`
    const density = densityOf(input.shop, p.material)
    const origin = { kind: 'stock', id: p.stock, key: 'material' } as const
    trail.given(id, `Density of ${p.material}`, density, origin, { quantity: 'density' })
    return { mass: (p.volume * density) / 1e9, out: p.out, text: `{${p.figure}} × {${id}}` }
  })
  const mass = parts.reduce((sum, p) => sum + p.mass, 0)
  const inAll = `(${parts.map((p) => p.text).join(' + ')}) / [1000000000 mm³/m³]`
  trail.derive('woodMass', 'Weight of the wood', mass, woodMassRule, inAll, { quantity: 'mass' })
  const out = parts.reduce((sum, p) => sum + p.mass * p.out, 0) / mass
  const moments = parts.map((p) => `${p.text} × [${p.out} mm]`).join(' + ')
  const middle = `(${moments}) / [1000000000 mm³/m³] / {woodMass}`
  trail.derive('woodOut', 'Middle of the wood from the wall', out, woodOutRule, middle)
  const wood: Load = { seat: null, name: 'the wood', mass, out, massText: '{woodMass}', outText: '{woodOut}' }
  const tools = model.seats.flatMap((seat): Load[] => {
    const weight = toolWeight(seat, input.tools.get(seat.tool))
    if (!weight || !seat.figures.mass) return []
    const id = `weightOut:${seat.id}`
    const inside = `weightIn:${seat.id}`
    const behind = seat.at.y + seat.extent.front - weight.at.y
    trail.given(inside, `Weight of ${seat.place} behind its front`, behind, { kind: 'shape', tool: seat.tool }, { note: seat.name }) // prettier-ignore
    trail.derive(id, `Weight of ${seat.place} from the wall`, weight.at.y, toolOutRule, `${seat.reach} − {${inside}}`)
    return [{ seat: seat.id, name: seat.name, mass: weight.mass, out: weight.at.y, massText: `{${seat.figures.mass}}`, outText: `{${id}}` }] // prettier-ignore
  })
  const bought = boughtWeights(model).map((b): Load => ({ seat: null, name: b.name, mass: b.mass, out: b.at.y, massText: `{${b.figure}}`, outText: `[${b.at.y} mm]` })) // prettier-ignore
  return [wood, ...bought, ...tools]
}

/** One way in which a holder may be loaded. */
export interface LoadCase {
  name: string
  loads: readonly Load[]
}

/** All tools in, each one out, and a hand that pulls at the front edge. */
export function loadCases(loads: readonly Load[], hand: Load): LoadCase[] {
  return [
    { name: 'all tools in', loads },
    ...loads.filter((l) => l.seat !== null).map((out) => ({ name: `without ${out.name}`, loads: loads.filter((l) => l !== out) })), // prettier-ignore
    { name: 'a hand pulling at the front edge', loads: [...loads, hand] },
  ]
}

export const outOf = (loads: readonly Load[]): number =>
  loads.reduce((sum, l) => sum + l.mass * l.out, 0) / loads.reduce((sum, l) => sum + l.mass, 0)

/** A hand that pulls down at the front edge. */
export function handOn(subject: Subject): Load {
  const { value: edge, formula } = subject.model.reach
  return { seat: null, name: 'a hand', mass: limitFrom(subject, 'pull'), out: edge, massText: '{pull}', outText: `(${formula})` } // prettier-ignore
}
