import { Problem } from '../http/problem'
import { MODELS, type DeviceId, type DeviceState, type Reading } from './device'

/** Per cent of the battery that a reading takes, and below which it is low. */
const DRAIN = 1
const LOW = 15

export const BUTTONS = ['unit', 'zero', 'battery', 'carry away', 'bring back', 'run down'] as const
export type Button = (typeof BUTTONS)[number]

/** A number between 0 and 1 that follows from a text, so that the same readings come again. */
export function chance(text: string): number {
  let h = 2166136261
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 16777619)
  h ^= h >>> 15
  h = Math.imul(h, 2246822519)
  h ^= h >>> 13
  return (h >>> 0) / 4294967296
}

/** A normally distributed number, mean 0 and deviation 1, that follows from a text. */
const scatter = (text: string): number =>
  Math.sqrt(-2 * Math.log(Math.max(chance(`${text}/a`), 1e-9))) * Math.cos(2 * Math.PI * chance(`${text}/b`))

/** A stand-in for one device, with what its buttons do. */
export class Device {
  private unit = 0
  private battery = 100
  private connected = true
  private zero = 0
  private last = 0
  private count = 0

  constructor(private readonly id: DeviceId) {}

  private get model() {
    return MODELS[this.id]
  }

  private show(value: number): string {
    const { unit, one, step } = this.model.units[this.unit]!
    const decimals = Math.max(0, Math.ceil(-Math.log10(step)))
    const shown = (Math.round(value / one / step) * step).toFixed(decimals)
    return unit === '°' ? `${shown}°` : `${shown} ${unit}`
  }

  state(): DeviceState {
    const { name, quantity, units } = this.model
    return {
      device: this.id,
      name,
      quantity,
      unit: units[this.unit]!.unit,
      battery: this.battery,
      connected: this.connected,
      relative: this.zero !== 0,
      display: this.battery <= 0 ? '' : this.show(this.last - this.zero),
    }
  }

  press(button: Button): void {
    if (button === 'unit') this.unit = (this.unit + 1) % this.model.units.length
    else if (button === 'zero') this.zero = this.zero === 0 ? this.last : 0
    else if (button === 'battery') this.battery = 100
    else if (button === 'run down') this.battery = Math.min(this.battery, LOW - 1)
    else this.connected = button === 'bring back'
  }

  /**
   * Takes a reading of something that really measures `truth`.
   * @throws Problem 409 when its battery is dead or it is out of reach
   */
  read(truth: number, of: string): Reading {
    const { name, quantity, noise, units } = this.model
    if (!this.connected)
      throw new Problem(409, 'Out of reach', `The ${name.toLowerCase()} is out of reach: no reading came.`)
    if (this.battery <= 0)
      throw new Problem(409, 'Battery empty', `The battery of the ${name.toLowerCase()} is empty: change it.`)
    this.count++
    this.battery = Math.max(0, this.battery - DRAIN)
    this.last = Math.max(0, truth + noise * scatter(`${this.id} ${of} ${this.count}`))
    const { one, step } = units[this.unit]!
    const value = Math.round((this.last - this.zero) / one / step) * step * one
    return {
      device: this.id,
      quantity,
      value: Number(value.toFixed(6)),
      text: this.show(this.last - this.zero),
      relative: this.zero !== 0,
      low: this.battery < LOW,
    }
  }
}
