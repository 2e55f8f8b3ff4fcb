import { pieceNames } from '#core/bench/steps/cutting-steps'
import { cutUp } from '#core/cutting/bin'
import type { SheetCuts } from '#core/cutting/sheets-used'
import { cutPieces, type Work } from '#core/model/work'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

/** Marks a piece of stock as cut: its pieces are ticked off with their holders, and what is left goes into the bin. */
export function useCutUp() {
  const records = useRecords()
  const history = useHistory()

  /** @param cuts the whole plan that the sheet is part of, by which layers are told apart */
  return (cuts: readonly SheetCuts[], sheet: SheetCuts): void => {
    const { shop, shopId } = records
    if (!shop || !shopId) return
    const at = new Date().toISOString()
    const works = [...records.holders, ...records.walls].flatMap((holder) => {
      const kept = records.get('works', holder.id)?.data ?? null
      const features = pieceNames(cuts, holder.id, cutPieces(kept)).get(sheet) ?? []
      if (features.length === 0) return []
      const ticks = { ...kept?.ticks, ...Object.fromEntries(features.map((f) => [f, { at, done: true }])) }
      const data: Work = { id: holder.id, name: holder.name, ticks }
      return [{ kind: 'works' as const, id: holder.id, shop: shopId, data }]
    })
    const next = cutUp(shop, sheet, () => `o-${crypto.randomUUID().slice(0, 8)}`)
    history.act(`Cut up ${sheet.name}`, [{ kind: 'shops', id: shopId, shop: shopId, data: next }, ...works])
  }
}
