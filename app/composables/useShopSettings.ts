import type { SettingKey } from '#core/shop/settings'
import type { Bit, Shop, Stock } from '#core/shop/shop'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

/** Ways to change the current shop. */
export function useShopSettings() {
  const records = useRecords()
  const history = useHistory()
  const patch = (label: string, more: Partial<Shop>) => {
    if (records.shop && records.shopId) history.change(label, 'shops', records.shopId, { ...records.shop, ...more })
  }
  return {
    patch,
    setting: (key: SettingKey, value: number, label: string) =>
      patch(label, { settings: { ...records.shop!.settings, [key]: value } }),
    bit: (diameter: number, more: Partial<Bit>, label = 'Bit') =>
      patch(label, { bits: records.shop!.bits.map((b) => (b.diameter === diameter ? { ...b, ...more } : b)) }),
    stock: (id: string, more: Partial<Stock>, label = 'Board') =>
      patch(label, { stock: records.shop!.stock.map((s) => (s.id === id ? { ...s, ...more } : s)) }),
  }
}
