import { pieceNames } from '#core/bench/steps/cutting-steps'
import type { ToCut } from '#core/cutting/from-holders'
import { cutUp } from '#core/cutting/bin'
import type { SheetCuts } from '#core/cutting/sheets-used'
import { pieceAs, type Tick, type Work } from '#core/model/work'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

/** Marks a piece of stock as cut: its pieces are ticked off with their holders, and what is left goes into the bin. */
export function useCutUp() {
  const records = useRecords()
  const history = useHistory()

  /**
   * @param cuts the whole plan that the sheet is part of, by which layers are told apart
   * @param of the holders and walls that are cut
   */
  return (cuts: readonly SheetCuts[], sheet: SheetCuts, of: readonly ToCut[]): void => {
    const { shop, shopId } = records
    if (!shop || !shopId) return
    const at = new Date().toISOString()
    const works = of.flatMap(({ id, model, cut }) => {
      const kept = records.get('works', id)?.data ?? null
      const pieces = pieceNames(cuts, id, cut).get(sheet) ?? []
      if (pieces.length === 0) return []
      const parts = [...model.boards, ...model.rods]
      const ticked = pieces.map((piece): [string, Tick] => {
        const part = parts.find((p) => piece.startsWith(`cut:${p.id}#`))!
        return [piece, { at, done: true, as: pieceAs(part) }]
      })
      const data: Work = { id, name: model.name, ticks: { ...kept?.ticks, ...Object.fromEntries(ticked) } }
      return [{ kind: 'works' as const, id, shop: shopId, data }]
    })
    const next = cutUp(shop, sheet, () => `o-${crypto.randomUUID().slice(0, 8)}`)
    history.act(`Cut up ${sheet.name}`, [{ kind: 'shops', id: shopId, shop: shopId, data: next }, ...works])
  }
}
