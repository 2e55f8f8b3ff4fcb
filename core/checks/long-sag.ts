import type { Board } from '../model/model'
import type { Material } from '../shop/materials'
import { formatFine } from '../units/format-length'
import { creepOf } from './creep'
import { creepRule, sagLimitRule } from './rules'
import { limitFrom, TOLERANCE, type Subject } from './subject'
import type { Remedy, Verdict } from './verdict'

/** What sags: its verdict’s own words, the figure of its sag at once, and the span that carries it with the text of that; mm. */
export interface Sagging {
  id: string
  title: string
  board?: Board['id']
  material: Material
  sag: { id: string; value: number }
  span: { value: number; text: string }
  /** ids and labels of what it comes to in the long run, and of how far it may */
  long: { id: string; label: string }
  limit: { id: string; label: string }
  /** what sags, and under what; followed by how far */
  found: (atOnce: string) => string
  waysOut: () => Remedy[]
}

/** The verdict on a sag: what it comes to as the wood creeps, beside the part of its span that is sound. */
export function longSag(subject: Subject, s: Sagging): Verdict {
  const { trail, input } = subject
  const creep = creepOf(s.material)
  const [times, more] = [limitFrom(subject, creep), limitFrom(subject, 'creepMore')]
  const value = trail.derive(s.long.id, s.long.label, s.sag.value * (times + more), creepRule, `{${s.sag.id}} × ({${creep}} + {creepMore})`, { print: 'up' }) // prettier-ignore
  const limit = trail.derive(s.limit.id, s.limit.label, s.span.value / limitFrom(subject, 'sagPart'), sagLimitRule, `${s.span.text} / {sagPart}`, { print: 'down' }) // prettier-ignore
  const level = value > limit + TOLERANCE ? 'stop' : 'pass'
  const [once, long, may] = [s.sag.value, value, limit].map((mm) => formatFine(mm, input.shop)) as [string, string, string] // prettier-ignore
  const found = `${s.found(once)} and ${long} in the long run`
  return {
    id: s.id,
    check: 'sag',
    title: s.title,
    ...(s.board ? { board: s.board } : {}),
    level,
    says: level === 'pass' ? `${found}; up to ${may} is sound.` : `${found}: more than ${may} shows and creeps on.`,
    seats: [],
    figure: s.long.id,
    limitFigure: s.limit.id,
    measured: { value, limit, sense: 'at most', quantity: 'length', print: 'up' },
    candidates: level === 'pass' ? [] : s.waysOut(),
  }
}
