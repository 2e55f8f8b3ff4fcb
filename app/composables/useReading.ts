import { onBeforeUnmount, shallowRef } from 'vue'

/** A field that a measuring device may fill. */
export interface ReadingTarget {
  quantity: 'length' | 'mass' | 'angle'
  label: string
  /** what is measured, for the stand-ins; null where that is not a tool's figure */
  of: { tool: string; kind: string; field: string } | null
  /** mm, kg or degrees */
  take: (value: number) => void
}

/** The field that was in focus last: a button of the device's panel takes the focus away, not the meaning. */
const target = shallowRef<ReadingTarget | null>(null)

export const useReadingTarget = () => target

/** Offers a field to the measuring devices while it is there. */
export function useReading() {
  let mine: ReadingTarget | null = null
  onBeforeUnmount(() => {
    if (target.value === mine) target.value = null
  })
  return {
    offer: (offered: ReadingTarget) => {
      mine = offered
      target.value = offered
    },
  }
}
