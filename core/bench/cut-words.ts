import type { SheetCuts } from '../cutting/sheets-used'
import type { Shop } from '../shop/shop'
import { formatExact, formatLength, type LengthFormat } from '../units/format-length'
import { sawnCuts, type SawnCut } from './steps/cut-saws'
import { guideOf } from './steps/machines'
import { listed, lower, pieceNames } from './steps/words'

/** One cut in words: how it is set, to what, and what comes of it. */
export interface CutWords {
  number: number
  /** `Rip, fence at`; `Rip to the line at` where the saw has none */
  set: string
  /** the setting in the shop's unit */
  at: string
  /** parts that come off by it */
  gives: string[]
  /** number of the cut that the rest waits for; null where none does */
  waits: number | null
}

/** What comes of a cut: `: back and lip; the rest waits for cut 5`, or nothing where it goes on by itself. */
export function thenText({ gives, waits }: Pick<CutWords, 'gives' | 'waits'>): string {
  const parts = gives.length > 0 ? `: ${pieceNames(gives)}` : ''
  return waits === null ? parts : `${parts}${parts ? ';' : ':'} the rest waits for cut ${waits}`
}

/** What is cut off a new piece before; nothing where all of it is used. */
export function trimWords({ trim }: Pick<SheetCuts, 'trim'>, shop: LengthFormat): string | null {
  const off = [
    ...(trim.ends > 0 ? [`${formatExact(trim.ends, shop)} off one end`] : []),
    ...(trim.edges > 0 ? [`${formatExact(trim.edges, shop)} off one edge`] : []),
  ]
  return off.length === 0 ? null : `Trim ${listed(off)}, square: all is measured from there.`
}

const WAY = {
  rip: { near: 'Rip', turned: 'Rip from the other edge' },
  cross: { near: 'Cross-cut', turned: 'Cross-cut from the other end' },
} as const

const AT = { fence: ', fence at', stop: ', stop at', line: ' to the line at' } as const

/**
 * The cuts of a piece of stock in words: what each is set to and what comes off by it. The saw is named where there are several
 * for a direction, the holder of a part where parts of several lie there.
 */
export function cutWords(sheet: SheetCuts, shop: Shop): CutWords[] {
  const sawn = sawnCuts(sheet, shop)
  const several = (direction: SawnCut['direction']): boolean => new Set(sawn.filter((s) => s.direction === direction).map((s) => s.saw?.name)).size > 1 // prettier-ignore
  const { job, placements } = sheet
  const holders = new Set(placements.map((p) => job.names[p.partId]?.holder))
  const nameOf = (id: string): string => {
    const named = job.names[id]
    return named ? `${lower(named.part)}${holders.size > 1 ? ` of ${named.holder}` : ''}` : id
  }
  return sawn.map(({ cut, direction, saw }) => {
    const by = saw && several(direction) ? ` by the ${lower(saw.name)}` : ''
    return {
      number: cut.number,
      set: `${WAY[direction][cut.turned ? 'turned' : 'near']}${by}${AT[guideOf(saw, direction)]}`,
      at: formatLength(cut.fence, shop),
      gives: cut.gives.map(nameOf),
      waits: cut.waits,
    }
  })
}
