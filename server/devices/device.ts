export const DEVICES = ['caliper', 'scale', 'gauge'] as const
export type DeviceId = (typeof DEVICES)[number]

export const isDevice = (text: unknown): text is DeviceId => DEVICES.includes(text as DeviceId)

/** What a stand-in for a measuring device is like. Values are mm, kg or degrees. */
export interface DeviceModel {
  name: string
  quantity: 'length' | 'mass' | 'angle'
  /** how much readings scatter (standard deviation) */
  noise: number
  /** what its unit button steps through, and what one of the unit is */
  units: readonly { unit: string; one: number; step: number }[]
}

export const MODELS: Record<DeviceId, DeviceModel> = {
  caliper: {
    name: 'Digital caliper',
    quantity: 'length',
    noise: 0.03,
    units: [
      { unit: 'mm', one: 1, step: 0.01 },
      { unit: 'in', one: 25.4, step: 0.0005 },
    ],
  },
  scale: {
    name: 'Kitchen scale',
    quantity: 'mass',
    noise: 0.0015,
    units: [
      { unit: 'g', one: 0.001, step: 1 },
      { unit: 'oz', one: 0.028349523125, step: 0.05 },
    ],
  },
  gauge: { name: 'Angle gauge', quantity: 'angle', noise: 0.06, units: [{ unit: '°', one: 1, step: 0.1 }] },
}

/** How a device stands. */
export interface DeviceState {
  device: DeviceId
  name: string
  quantity: DeviceModel['quantity']
  unit: string
  /** per cent; low below 15, dead at nought */
  battery: number
  connected: boolean
  /** set to nought on something: readings are differences from it */
  relative: boolean
  /** what its display shows */
  display: string
}

/** One reading, as it is sent to the window that asked. */
export interface Reading {
  device: DeviceId
  quantity: DeviceModel['quantity']
  /** mm, kg or degrees, as the display rounds it */
  value: number
  /** as on the display */
  text: string
  relative: boolean
  low: boolean
}
