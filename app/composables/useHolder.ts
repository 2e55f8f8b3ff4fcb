import { computed, onBeforeUnmount, shallowRef, watchEffect, type Ref } from 'vue'
import { withChange, type Change } from '#core/checks/change'
import { design, drawnDesign, type Design } from '#core/choose/design'
import { formOf } from '#core/forms/all-forms'
import type { PlanInput } from '#core/forms/form'
import type { Holder, SeatOrder } from '#core/model/holder'
import type { Tool } from '#core/footprint/tool'
import { useFrameLater } from '~/composables/useFrameLater'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

const frameLater = <T>(now: Ref<T>): Ref<T> => useFrameLater(now, () => now.value)

/** A holder of the current shop, worked out anew whenever anything it comes from changes, and the ways to change it. */
export function useHolder(id: Ref<string>) {
  const records = useRecords()
  const history = useHistory()

  const holder = computed<Holder | null>(() => records.holders.find((h) => h.id === id.value) ?? null)
  const form = computed(() => (holder.value ? formOf(holder.value.form) : undefined))
  const input = computed<PlanInput | null>(() => (holder.value && records.shop ? records.inputOf(holder.value) : null))
  /** Worked out and looked over; while a figure is dragged it stays as it was, and only what is drawn follows. */
  const worked = shallowRef<Design | null>(input.value ? design(input.value) : null)
  const drawn = shallowRef(worked.value)
  /** The same for the marks on the stick, when the drawing and its dimensions have had their frames. */
  const marked = frameLater(frameLater(drawn))
  let next: Design | null = null
  let frame = 0
  /** Worked out in one frame and drawn in the next, so that neither is late. */
  function follow(now: PlanInput): void {
    next = drawnDesign(now, worked.value!.verdicts)
    frame ||= requestAnimationFrame(() => {
      frame = 0
      drawn.value = next
    })
  }
  watchEffect(() => {
    const now = input.value
    if (history.holding && now && worked.value) {
      if (now !== worked.value.input) follow(now)
      return
    }
    cancelAnimationFrame(frame)
    frame = 0
    if (now !== (worked.value?.input ?? null)) worked.value = now ? design(now) : null
    drawn.value = worked.value
  })
  onBeforeUnmount(() => cancelAnimationFrame(frame))

  const change = (label: string, more: Partial<Holder>, alone = false) => {
    if (holder.value) history.change(label, 'holders', holder.value.id, { ...holder.value, ...more }, alone)
  }

  /** Makes a remedy's change, whether it is one of the holder or of the shop. */
  function apply(label: string, wanted: Change, alone = false): void {
    if (!input.value || !records.shopId) return
    const after = withChange(input.value, wanted)
    if (after.shop !== input.value.shop) history.change(label, 'shops', records.shopId, after.shop, alone)
    if (after.holder !== input.value.holder) history.change(label, 'holders', after.holder.id, after.holder, alone)
  }

  const choose = (label: string, key: string, value: string | number | null) =>
    apply(label, { kind: 'choice', key, value })

  function seatTool(tool: Tool): void {
    const { shop } = records
    if (!holder.value || !shop || !form.value) return
    const seat: SeatOrder = {
      id: crypto.randomUUID().slice(0, 8),
      tool: tool.id,
      turn: form.value.attitude(tool, shop),
    }
    change('Add a tool', { seats: [...holder.value.seats, seat] }, true)
  }

  function move(from: number, to: number): void {
    const seats = [...(holder.value?.seats ?? [])]
    if (from === to || to < 0 || to >= seats.length) return
    const [seat] = seats.splice(from, 1)
    seats.splice(to, 0, seat!)
    change('Reorder', { seats }, true)
  }

  const turn = (seat: string, by: SeatOrder['turn']) => apply('Turn a tool', { kind: 'turn', seat, turn: by }, true)
  const unseat = (seat: string) => apply('Take a tool out', { kind: 'leave out', seats: [seat] }, true)

  return { holder, form, input, worked, drawn, marked, change, apply, choose, seatTool, move, turn, unseat }
}
