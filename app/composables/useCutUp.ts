import { pieceFeatures } from '#core/bench/steps/cutting-steps'
import type { ToCut } from '#core/cutting/from-holders'
import { cutUp } from '#core/cutting/bin'
import type { SheetCuts } from '#core/cutting/sheets-used'
import { pieceAs, type Tick, type Work } from '#core/model/work'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

/** Marks pieces of stock as cut: their pieces are ticked off with their holders, and what is left goes into the bin. */
export function useCutUp() {
  const records = useRecords()
  const history = useHistory()

  /**
   * @param cuts the whole plan that the sheets are part of, by which layers are told apart
   * @param of the holders and walls that are cut
   */
  return (cuts: readonly SheetCuts[], sheets: readonly SheetCuts[], of: readonly ToCut[]): void => {
    const { shop, shopId } = records
    if (!shop || !shopId) return
    const at = new Date().toISOString()
    const works = of.flatMap(({ id, model, cut }) => {
      const kept = records.get('works', id)?.data ?? null
      const named = pieceFeatures(cuts, id, cut)
      const pieces = sheets.flatMap((sheet) => named.get(sheet) ?? [])
      if (pieces.length === 0) return []
      const parts = [...model.boards, ...model.rods]
      const ticked = pieces.map((piece): [string, Tick] => {
        const part = parts.find((p) => piece.startsWith(`cut:${p.id}#`))!
        return [piece, { at, done: true, as: pieceAs(part) }]
      })
      const data: Work = { id, name: model.name, ticks: { ...kept?.ticks, ...Object.fromEntries(ticked) } }
      return [{ kind: 'works' as const, id, shop: shopId, data }]
    })
    const newId = (): string => `o-${crypto.randomUUID().slice(0, 8)}`
    const next = sheets.reduce((left, sheet) => cutUp(left, sheet, newId), shop)
    history.act(`Cut up ${sheets.map((s) => s.name).join(', ')}`.slice(0, 120), [
      { kind: 'shops', id: shopId, shop: shopId, data: next },
      ...works,
    ])
  }
}
