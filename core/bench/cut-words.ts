import type { Cut } from '../cutting/cuts'
import type { SheetCuts } from '../cutting/sheets-used'
import { formatLength, type LengthFormat } from '../units/format-length'
import { listed, lower } from './steps/words'

/** One cut in words: how it is set, to what, and what comes of it. */
export interface CutWords {
  /** `Rip, fence at` */
  set: string
  /** the setting in the shop's unit */
  at: string
  /** `: back and lip; the rest waits for cut 5`, or nothing where it goes on by itself */
  then: string
}

const SET = {
  rip: { near: 'Rip', turned: 'Rip from the other edge', at: 'fence at' },
  cross: { near: 'Cross-cut', turned: 'Cross-cut from the other end', at: 'stop at' },
} as const

/**
 * What a cut of a piece of stock is set to and what comes off by it; the holder of each part where there are several.
 * @param saw name of the one that makes it, where that has to be said
 */
export function cutWords(cut: Cut, { job, placements }: SheetCuts, format: LengthFormat, saw?: string): CutWords {
  const direction = job.instance.kind === '1d' ? 'cross' : cut.direction
  const words = SET[direction]
  const holders = new Set(placements.map((p) => job.names[p.partId]?.holder))
  const name = (id: string): string => {
    const named = job.names[id]
    return named ? `${lower(named.part)}${holders.size > 1 ? ` of ${named.holder}` : ''}` : id
  }
  const gives = cut.gives.length > 0 ? `: ${listed(cut.gives.map(name))}` : ''
  const waits = cut.waits === null ? '' : `${gives ? ';' : ':'} the rest waits for cut ${cut.waits}`
  return {
    set: `${words[cut.turned ? 'turned' : 'near']}${saw ? ` by the ${lower(saw)}` : ''}, ${words.at}`,
    at: formatLength(cut.fence, format),
    then: `${gives}${waits}`,
  }
}
