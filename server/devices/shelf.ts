import { EventEmitter } from 'node:events'
import { Device, type Button } from './bench'
import { DEVICES, type DeviceId, type DeviceState, type Reading } from './device'
import { truthOf, type Lying } from './truth'

/** What the devices tell: how one stands, or a reading, and for which window. */
export type DeviceNews = { state: DeviceState } | { reading: Reading; by: string }

const devices = new Map(DEVICES.map((id) => [id, new Device(id)]))
const bus = new EventEmitter().setMaxListeners(0)

export const deviceStates = (): DeviceState[] => DEVICES.map((id) => devices.get(id)!.state())

/** Listens to the devices. @returns a function that ends it */
export function listenToDevices(hear: (news: DeviceNews) => void): () => void {
  bus.on('news', hear)
  return () => bus.off('news', hear)
}

const tell = (news: DeviceNews) => void bus.emit('news', news)

export function pressButton(id: DeviceId, button: Button): DeviceState {
  const device = devices.get(id)!
  device.press(button)
  const state = device.state()
  tell({ state })
  return state
}

/** Takes a reading and sends it to the window that asked. @throws Problem 409 */
export function takeReading(id: DeviceId, lying: Lying, by: string): Reading {
  const device = devices.get(id)!
  const reading = device.read(truthOf(id, lying), `${lying.tool} ${lying.field}`)
  tell({ state: device.state() })
  tell({ reading, by })
  return reading
}
