import { defineStore } from 'pinia'
import { reactive, ref } from 'vue'
import { useReadingTarget } from '~/composables/useReading'
import { ask, WINDOW } from './backend'

export type DeviceId = 'caliper' | 'scale' | 'gauge'

/** How a device stands, as the server tells it. */
export interface DeviceState {
  device: DeviceId
  name: string
  quantity: 'length' | 'mass' | 'angle'
  unit: string
  battery: number
  connected: boolean
  relative: boolean
  display: string
}

interface Reading {
  device: DeviceId
  quantity: DeviceState['quantity']
  value: number
  text: string
  relative: boolean
  low: boolean
}

/** Nothing heard for this long, ms, means that the stream is cut. */
const SILENCE = 4500
const NEEDS = { length: 'a length', mass: 'a weight', angle: 'an angle' }

/** The measuring devices: how they stand, their buttons, and readings that go into the field in focus. */
export const useDevices = defineStore('devices', () => {
  const target = useReadingTarget()
  const states = reactive(new Map<DeviceId, DeviceState>())
  const open = ref(false)
  const cut = ref(false)
  /** what there is to say of the last reading */
  const says = ref('')
  let source: EventSource | undefined
  let silence: ReturnType<typeof setTimeout> | undefined

  function alive(): void {
    cut.value = false
    clearTimeout(silence)
    silence = setTimeout(() => {
      cut.value = true
      if (open.value) listen()
    }, SILENCE)
  }

  function listen(): void {
    source?.close()
    source = new EventSource('/api/devices')
    source.addEventListener('beat', alive)
    source.addEventListener('state', (event) => {
      alive()
      const state = JSON.parse((event as MessageEvent<string>).data) as DeviceState
      states.set(state.device, state)
    })
    source.addEventListener('reading', (event) => {
      alive()
      const { reading, by } = JSON.parse((event as MessageEvent<string>).data) as { reading: Reading; by: string }
      if (by === WINDOW) fill(reading)
    })
    alive()
  }

  function fill(reading: Reading): void {
    const field = target.value
    if (!field) {
      says.value = `${reading.text}, but no field is in focus to take it.`
      return
    }
    if (field.quantity !== reading.quantity) {
      says.value = `${reading.text}, but “${field.label}” wants ${NEEDS[field.quantity]}.`
      return
    }
    if (reading.value <= 0) {
      says.value = `${reading.text} can’t be “${field.label}”: nothing was taken.`
      return
    }
    const notes = [reading.relative ? 'from where it was set to nought' : '', reading.low ? 'its battery is low' : '']
    says.value = [`${reading.text} into “${field.label}”`, ...notes.filter(Boolean)].join('; ')
    field.take(reading.value)
  }

  function show(wanted: boolean): void {
    open.value = wanted
    if (wanted) return listen()
    source?.close()
    clearTimeout(silence)
    cut.value = false
  }

  async function tell(device: DeviceId, body: object): Promise<void> {
    const answer = await ask('POST', `/api/devices/${device}`, body)
    if (answer.kind === 'problem') says.value = answer.problem.detail
    else if (answer.kind === 'away') says.value = 'The devices can’t be reached just now.'
  }

  const press = (device: DeviceId, button: string) => tell(device, { press: button })
  /** Takes a reading of what the field in focus asks for. */
  const take = (device: DeviceId) =>
    tell(device, { of: target.value?.of ?? { tool: 'test piece', kind: '', field: target.value?.label ?? '' } })

  return { states, open, cut, says, show, press, take }
})
