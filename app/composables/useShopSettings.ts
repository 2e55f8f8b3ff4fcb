import { filledRow, LISTS, type AnyRow, type Column, type ListKey } from '#core/shop/lists'
import type { SettingKey } from '#core/shop/settings'
import { sameBit, type Bit, type Shop } from '#core/shop/shop'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

/** Ways to change the current shop. */
export function useShopSettings() {
  const records = useRecords()
  const history = useHistory()
  const patch = (label: string, more: Partial<Shop>, alone = false) => {
    if (records.shop && records.shopId)
      history.change(label, 'shops', records.shopId, { ...records.shop, ...more }, alone)
  }
  const rows = (list: ListKey) => records.shop![list] as unknown as AnyRow[]
  const setRows = (list: ListKey, now: AnyRow[], label: string, alone = false) =>
    patch(label, { [list]: now } as Partial<Shop>, alone)
  return {
    patch,
    setting: (key: SettingKey, value: number, label: string) =>
      patch(label, { settings: { ...records.shop!.settings, [key]: value } }),
    bit: (which: Pick<Bit, 'kind' | 'diameter'>, more: Partial<Bit>, label = 'Bit') =>
      patch(label, { bits: records.shop!.bits.map((b) => (sameBit(b, which) ? { ...b, ...more } : b)) }),
    rows,
    /** Changes cells of one row. */
    row: (list: ListKey, id: string, more: Partial<AnyRow>, label = 'Row') =>
      setRows(
        list,
        rows(list).map((r) => (r.id === id ? ({ ...r, ...more } as AnyRow) : r)),
        label,
      ),
    /** Adds a row with the usual cells, after the one given or at the end. @returns its id */
    addRow(list: ListKey, given: Partial<AnyRow> = {}): string {
      const id = crypto.randomUUID().slice(0, 8)
      const material = records.shop!.stock[0]?.material ?? records.shop!.materials[0]?.name ?? 'wood'
      const usual = (LISTS[list].columns as readonly Column[]).some((c) => c.type === 'material') ? { material } : {}
      const row = filledRow(list, { name: `New ${LISTS[list].one}`, ...usual, ...given, id }) as AnyRow
      setRows(list, [...rows(list), row], `New ${LISTS[list].one}`, true)
      return id
    },
    removeRow: (list: ListKey, id: string) =>
      setRows(
        list,
        rows(list).filter((r) => r.id !== id),
        `Delete a ${LISTS[list].one}`,
        true,
      ),
  }
}
