import { computed, onBeforeUnmount, reactive, ref, shallowRef } from 'vue'
import type { ReadingOrder } from '#core/exchange/tools/open-list'
import { sizeTold } from '#core/exchange/tools/text-of'
import type { Tool } from '#core/footprint/tool'
import { useListWorker } from '~/composables/useListWorker'
import { useToolImport } from '~/composables/useToolImport'
import { useRecords } from '~/stores/records'
import type { BadRow, FromList, ListColumn } from '~/workers/list-messages'

/** How far a list has come: nothing is kept of it before `saving`. */
export type Stage = 'none' | 'opening' | 'open' | 'reading' | 'read' | 'saving' | 'done'

/** Takes a list of tools in, step by step: open the file, settle what its columns are, look at what was read, keep it. */
export function useImport() {
  const records = useRecords()
  const saver = useToolImport()
  const stage = ref<Stage>('none')
  const file = shallowRef<File>()
  const wrong = ref('')
  /** what could stand between the cells, where a comma doesn't */
  const parting = ref<string>()
  const columns = shallowRef<ListColumn[]>([])
  const rows = ref(0)
  const order = reactive<Omit<ReadingOrder, 'columns'>>({ unit: records.shop!.unit, kind: null })
  const progress = ref(0)
  const read = shallowRef<{ good: number; ids: string[]; bad: BadRow[]; first: Tool[] } | null>(null)
  const worker = useListWorker(hear, () => stop('The list can’t be read.'))
  onBeforeUnmount(worker.end)

  function stop(message = ''): void {
    worker.end()
    saver.cancel()
    wrong.value = message
    stage.value = 'none'
    read.value = null
    parting.value = undefined
  }

  async function open(picked: File, between?: string): Promise<void> {
    stop()
    file.value = picked
    const size = sizeTold(picked.size)
    if (size) return stop(size)
    stage.value = 'opening'
    try {
      const bytes = await picked.arrayBuffer()
      worker.ask({ ask: 'open', bytes, ...(between ? { parting: between } : {}) })
    } catch {
      stop('The file can’t be read any more. Choose it again.')
    }
  }

  function hear(message: FromList): void {
    if (message.say === 'opened') {
      if (!message.opened.ok) {
        const { message: told, parting: other } = message.opened
        stop(told)
        parting.value = other
        return
      }
      columns.value = message.opened.columns
      rows.value = message.opened.rows
      stage.value = 'open'
      readRows()
    } else if (message.say === 'reading') progress.value = message.done / message.of
    else if (message.say === 'read') {
      read.value = message
      stage.value = 'read'
    } else saver.give(message.tools)
  }

  function readRows(): void {
    stage.value = 'reading'
    progress.value = 0
    worker.ask({ ask: 'read', order: { ...order, columns: columns.value.map((c) => ({ ...c.use })) } })
  }

  /** Settles what a column is, and reads the rows anew. @param as a label, or null to leave the column out */
  function take(index: number, as: string | null): void {
    columns.value = columns.value.map((c, i) => {
      if (i === index) return { ...c, use: { ...c.use, as } }
      return as !== null && c.use.as === as ? { ...c, use: { ...c.use, as: null } } : c
    })
    readRows()
  }
  function change(more: Partial<typeof order>): void {
    Object.assign(order, more)
    if (file.value && stage.value === 'read') readRows()
  }

  /** Keeps the good rows: all of them, or, when it is cancelled, none. */
  async function keep(): Promise<void> {
    stage.value = 'saving'
    const kept = await saver.run(read.value!.good, (from, count) => worker.ask({ ask: 'batch', from, count }))
    if (kept === 'cancelled') return
    worker.end()
    stage.value = 'done'
  }

  return {
    stage,
    file,
    wrong,
    parting,
    columns,
    rows,
    order,
    read,
    progress: computed(() => (stage.value === 'saving' ? saver.progress.value : progress.value)),
    result: saver.result,
    leftBehind: saver.leftBehind,
    updates: computed(() => read.value?.ids.filter((id) => records.toolsById.has(id)).length ?? 0),
    open,
    take,
    change,
    keep,
    cancel: () => stop(),
  }
}
