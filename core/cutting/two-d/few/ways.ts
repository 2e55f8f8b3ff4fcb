import { isBeside, type Means } from '../../means'
import type { Layout } from '../layout'
import { stockWithin, type Problem } from '../sheets'
import { areFewBeside, areFewEach } from './are-few'
import { FewEach } from './few-each'
import { LikeliestFirst } from './likeliest-first'
import { FINE } from './scope'
import { sidesTell } from './sides'

/** A way to fill sheets, in rounds. */
export interface InRounds {
  /** Whether it may come to something. */
  readonly goes: boolean
  /** @returns a plan with all pieces; null where this round came to none */
  next(): Layout | null
}

/** Ways that are gone on with one after the other, as long as they may come to something. */
export class ByTurns implements Pick<InRounds, 'next'> {
  private turn = 0

  constructor(private readonly ways: readonly InRounds[]) {}

  next(): Layout | null {
    const { ways } = this
    for (let i = 0; i < ways.length; i++) {
      const way = ways[this.turn++ % ways.length]!
      if (way.goes) return way.next()
    }
    return null
  }
}

/**
 * Full sheets of few pieces listed: in searches beside the first one filled by what is likeliest, which comes to more, but later.
 * Where it tells whether sides agree, with fines for those that don't as well, by turns; of rather many pieces a sheet the first
 * search does only that.
 * @param limit what the sheets may cost, mm²
 * @returns null where it is not for such a heap
 */
export function fewEach(problem: Problem, limit: number, means: Means): Pick<InRounds, 'next'> | null {
  const stock = stockWithin(problem, limit)
  const comesLater = isBeside(means)
  const mayTell = areFewBeside(problem, stock)
  const tells = mayTell && sidesTell(problem.pieces.map((p) => problem.shapes[p]!))
  const plain = comesLater ? mayTell : areFewEach(problem, stock)
  const fines = [...(tells ? [FINE] : []), ...(plain ? [0] : [])]
  if (fines.length === 0) return null
  const one = (fine: number): InRounds =>
    comesLater ? new LikeliestFirst(problem, limit, means, fine) : new FewEach(problem, limit, means, fine)
  return new ByTurns(fines.map(one))
}
