import { computed, type Ref } from 'vue'
import { benchSteps } from '#core/bench/steps/steps'
import type { Design } from '#core/choose/design'
import { quickCuts } from '#core/cutting/quick-cuts'
import { cutBefore, cutPieces, stillCut } from '#core/model/work'
import { useRecords } from '~/stores/records'

/** The cards of the work on a holder that is worked out; null when there is nothing to build. */
export function useBench(worked: Ref<Design | null>) {
  const records = useRecords()
  return computed(() => {
    const model = worked.value?.model
    if (!model) return null
    const { shop, holder } = worked.value!.input
    const pieces = cutPieces(records.get('works', holder.id)?.data)
    const cut = stillCut(model, pieces)
    const cuts = quickCuts(shop, [{ id: holder.id, model, cut }])
    return { ...benchSteps({ model, shop, cuts, cut }, holder.id), model, cuts, cut, before: cutBefore(model, pieces) }
  })
}
