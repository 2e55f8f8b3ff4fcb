import { boredBy, chooseBit, neededOpening } from '../../fit/bore'
import type { Measured } from '../../footprint/kind'
import type { Tool } from '../../footprint/tool'
import type { SeatOrder } from '../../model/holder'
import { bitName } from '../../shop/bit-name'
import { FIT_SETTING, type Bit, type Fit } from '../../shop/shop'
import { formatLength } from '../../units/format-length'
import type { Trail } from '../../working/trail'
import { holeOf } from '../bit-hole'
import { optionOf, settingOf } from '../choice-value'
import { fieldDoubt } from '../doubt'
import type { PlanInput, Refusal } from '../form'
import { massFigure, measuredFigure } from '../measured-figure'
import { seatTool } from '../seat-tool'
import type { Spot } from '../spread'
import { buttonEnvelope, buttonThick, THICK_PART, type ButtonEnvelope } from './button'
import { choices } from './choices'
import { neededRule, sizeRule, thickRule, widthRule } from './rules'

/** Something by its button in its notch; mm, with the ids of its figures. */
export interface Buttoned extends Spot {
  order: SeatOrder
  tool: Tool
  notch: number
  bit: Bit | null
  shaft: number
  button: number
  thick: number
  depth: number
  ids: Record<'left' | 'right' | 'slot' | 'needed' | 'neckAcross' | 'button' | 'thick' | 'depth' | 'mass', string>
}

/** What stands before a button of a notch's plate: how thick it is, and how deep the room behind it. mm */
export interface Plate {
  thick: number
  room: number
}

/** What hangs in the notches; what is gone, unmeasured, or whose button can't go behind the plate is left out and named. */
export function buttoned(input: PlanInput, trail: Trail, plate: Plate): { hung: Buttoned[]; refusals: Refusal[] } {
  const hung: Buttoned[] = []
  const refusals: Refusal[] = []
  for (const order of input.holder.seats) {
    const seated = seatTool(input, order, (_, tool) => buttonEnvelope(tool), 'has no button to hang by.')
    if ('says' in seated) {
      refusals.push(seated)
      continue
    }
    const found = one(input, trail, order, seated.tool, seated.envelope, hung.length + 1)
    const wrong = found === null ? slips(input, order, seated.tool) : behind(input, trail, found, plate)
    if (wrong) refusals.push(wrong)
    else hung.push(found!)
  }
  return { hung, refusals }
}

/** @returns null where no notch that admits the shaft holds the button */
function one(
  input: PlanInput,
  trail: Trail,
  order: SeatOrder,
  tool: Tool,
  e: ButtonEnvelope,
  place: number,
): Buttoned | null {
  const put = (name: string, label: string, m: Measured): string => measuredFigure(trail, order, tool, name, `${label} of ${place}`, m, sizeRule) // prettier-ignore
  const id = (name: string): string => `${name}:${order.id}`
  const fit = FIT_SETTING[optionOf(choices, input, 'fit') as Fit]
  const play = settingOf(input, trail, fit)
  const doubt = fieldDoubt(input, trail, tool, 'shaftDiameter')
  const shaft = put('shaft', 'Shaft', e.shaft)
  const needed = trail.derive(id('needed'), `Notch needed for ${place}`, neededOpening(e.shaft.value, doubt.value, play), neededRule, `{${shaft}} + ${doubt.text} + {${fit}}`, { print: 'up' }) // prettier-ignore
  const most = e.button.value - fieldDoubt(input, trail, tool, 'buttonDiameter').value - 2 * settingOf(input, trail, 'shoulderBearing') // prettier-ignore
  if (needed > most + 1e-6) return null
  const bit = chooseBit({ needed, bits: input.shop.bits, atMost: most })
  const notch = bit
    ? trail.derive(id('notch'), `Notch ${place}`, boredBy(bit), widthRule, `{${holeOf(input, trail, bit)}} ≥ {${id('needed')}}`, { print: 'up', note: `${bitName(bit.diameter, input.shop)} bit` }) // prettier-ignore
    : trail.derive(id('notch'), `Notch ${place}`, needed, widthRule, `{${id('needed')}}`, { print: 'up', note: 'sawn to the line' }) // prettier-ignore
  const button = put('button', 'Button', e.button)
  const half = put('half', 'Half the width', e.half)
  return {
    seat: order.id,
    order,
    tool,
    place,
    left: e.half.value,
    right: e.half.value,
    notch,
    bit,
    shaft: e.shaft.value,
    button: e.button.value,
    thick: buttonThick(tool.measures),
    depth: e.depth.value,
    ids: { left: half, right: half, slot: id('notch'), needed: id('needed'), neckAcross: shaft, button, thick: thickOf(trail, order, tool, button, place), depth: put('depth', 'Depth', e.depth), mass: massFigure(trail, tool) }, // prettier-ignore
  }
}

/** How thick the button is: measured, or reckoned from its width. @returns the figure's id */
function thickOf(trail: Trail, order: SeatOrder, tool: Tool, button: string, place: number): string {
  const { buttonThickness } = tool.measures
  const label = `Thickness of button ${place}`
  if (buttonThickness !== undefined)
    return measuredFigure(trail, order, tool, 'thick', label, { value: buttonThickness, expression: '{buttonThickness}', moves: { buttonThickness: 1 } }, sizeRule) // prettier-ignore
  trail.derive(`thick:${order.id}`, label, buttonThick(tool.measures), thickRule, `${THICK_PART} × {${button}}`)
  return `thick:${order.id}`
}

function slips({ shop }: PlanInput, order: SeatOrder, tool: Tool): Refusal {
  const says = `${tool.name} is left out: a notch that its shaft of ${formatLength(tool.measures.shaftDiameter!, shop)} goes into would let its button of ${formatLength(tool.measures.buttonDiameter!, shop)} slip through. Take a snugger fit.`
  return { id: `slips:${order.id}`, says, tool: tool.id, seats: [order.id] }
}

/** Why a button doesn't go behind the plate; null where it does. */
function behind(input: PlanInput, trail: Trail, { tool, order, thick }: Buttoned, plate: Plate): Refusal | null {
  const { shop } = input
  const fit = FIT_SETTING[optionOf(choices, input, 'fit') as Fit]
  const play = settingOf(input, trail, fit)
  const has = tool.measures.backToButton! - fieldDoubt(input, trail, tool, 'backToButton').value
  const refusal = (id: string, says: string): Refusal => ({ id: `${id}:${order.id}`, says: `${tool.name} is left out: ${says}`, tool: tool.id, seats: [order.id] }) // prettier-ignore
  const format = (mm: number, print?: 'up' | 'down'): string => formatLength(mm, shop, print)
  if (plate.thick + play > has + 1e-6)
    return refusal('plate', `between its back and its button there is room for a plate of ${format(Math.max(0, has - play), 'down')}, and the plate is ${format(plate.thick)} thick. Make it from a thinner board or sheet, which the shop may have to get.`) // prettier-ignore
  if (thick + play > plate.room + 1e-6)
    return refusal('button', `its button is ${format(thick, 'up')} thick, and behind the plate there is ${format(plate.room)}. Make the strip from thicker stock.`) // prettier-ignore
  return null
}
