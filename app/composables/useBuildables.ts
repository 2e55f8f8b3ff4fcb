import { computed } from 'vue'
import { worstOf, type Level } from '#core/checks/verdict'
import { design, type Design } from '#core/choose/design'
import { wallDesign } from '#core/wall/backing/wall-model'
import type { HolderModel } from '#core/model/model'
import { useRecords } from '~/stores/records'

/** Something that is cut and built: a holder, or what goes up on a wall. */
export interface Buildable {
  id: string
  name: string
  what: 'holder' | 'wall'
  design: Design & { model: HolderModel }
  level: Level
}

const drawn = (d: Design): d is Design & { model: HolderModel } => d.model !== null

/** Everything of the current shop that can be drawn: holders first, then walls that want sheets or strips. */
export function useBuildables() {
  const records = useRecords()
  return computed((): Buildable[] => {
    const { shop } = records
    if (!shop) return []
    const holders = records.holders.map((holder) => ({ id: holder.id, name: holder.name, what: 'holder' as const, design: design({ shop, tools: records.toolsById, holder }) })) // prettier-ignore
    const walls = records.walls.map((wall) => ({ id: wall.id, name: wall.name, what: 'wall' as const, design: wallDesign(wall, shop) })) // prettier-ignore
    return [...holders, ...walls].flatMap((b) => {
      const { design: d } = b
      return drawn(d) ? [{ ...b, design: d, level: worstOf(d.verdicts) }] : []
    })
  })
}
