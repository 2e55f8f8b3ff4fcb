import { computed } from 'vue'
import { formatLength, type LengthFormat } from '#core/units/format-length'
import type { Rounding } from '#core/units/grid'
import { bitName } from '#core/shop/bit-name'
import { briefForce, forceUnitFor } from '#core/units/force'
import { formatMass, massUnitFor } from '#core/units/mass'
import { useRecords } from '~/stores/records'

/** How the current shop writes its figures. */
export function useFormat() {
  const records = useRecords()
  const format = computed<LengthFormat>(() => {
    const { unit = 'mm', gridMm = 0.5, gridIn = 16 } = records.shop ?? {}
    return { unit, gridMm, gridIn }
  })
  return {
    format,
    length: (mm: number, rounding: Rounding = 'nearest') => formatLength(mm, format.value, rounding),
    bare: (mm: number, rounding: Rounding = 'nearest') => formatLength(mm, format.value, rounding, false),
    mass: (kg: number) => formatMass(kg, massUnitFor(format.value.unit)),
    force: (newtons: number) => briefForce(newtons, forceUnitFor(format.value.unit)),
    bit: (diameter: number) => bitName(diameter, format.value),
  }
}
