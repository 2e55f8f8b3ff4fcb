import { describe, expect, it } from 'vitest'
import { FewEach } from '#core/cutting/two-d/few/few-each'
import { LikeliestFirst } from '#core/cutting/two-d/few/likeliest-first'
import { FINE } from '#core/cutting/two-d/few/scope'
import { ByTurns, fewEach, type InRounds } from '#core/cutting/two-d/few/ways'
import { panelsOfSeveralSheets, type Known } from './cut-instances'
import { panelsCutOtherwise } from './cut-otherwise'
import { faultsOf, meansOf, posed, problemOf } from './cut-problems'

/** A way that comes to nothing, and is worth going on with so often. */
function vain(often: number): InRounds & { asked: number } {
  return {
    asked: 0,
    get goes() {
      return this.asked < often
    },
    next() {
      this.asked++
      return null
    },
  }
}

describe('ways to fill sheets of few pieces', () => {
  /** In so many rounds without fault and within the limit. */
  const comesOut = (
    way: (posing: ReturnType<typeof posed>) => Pick<InRounds, 'next'>,
    known: Known,
    rounds: number,
  ): void => {
    const posing = posed(known)
    const search = way(posing)
    let plan = search.next()
    for (let i = 1; i < rounds && !plan; i++) plan = search.next()
    expect(plan, known.instance.id).not.toBeNull()
    expect(plan!.cost).toBeLessThanOrEqual(posing.limit)
    expect(faultsOf(posing.problem, plan!)).toEqual([])
  }

  it('are gone on with by turns, as long as they may come to something', () => {
    const [one, other] = [vain(2), vain(5)]
    const turns = new ByTurns([one, other])
    for (let i = 0; i < 20; i++) expect(turns.next()).toBeNull()
    expect([one.asked, other.asked]).toEqual([2, 5])
    expect(new ByTurns([]).next()).toBeNull()
  })

  it('come out with fines for joins that don\u2019t agree where more is false than true by what sheets waste', () => {
    // nine sheets of 14 and seven of 13 pieces, one of ten of which is a tenth shorter
    for (const known of [panelsOfSeveralSheets(65330), panelsCutOtherwise(1054)])
      comesOut(({ problem, limit }) => new LikeliestFirst(problem, limit, meansOf(1), FINE), known, 4)
    comesOut(({ problem, limit }) => new FewEach(problem, limit, meansOf(1), FINE), panelsCutOtherwise(1054), 6)
  })

  it('come out with fines where more joins are fined in the true sheets than is reckoned with', () => {
    // nine sheets of 16, a tenth of a piece wasted in all: eight joins of each are fined
    const known = panelsOfSeveralSheets(2048)
    comesOut(({ problem, limit }) => new FewEach(problem, limit, meansOf(1), FINE), known, 16)
  })

  it('come out where the sheet that wastes most is none of those listed', () => {
    // four sheets of ten, of which two waste nothing
    comesOut(({ problem, limit }) => new FewEach(problem, limit, meansOf(1)), panelsCutOtherwise(1099), 12)
  })

  it('are with fines where sides tell, of rather many pieces in the first search too', () => {
    const { problem, limit } = posed(panelsCutOtherwise(1054))
    comesOut(() => fewEach(problem, limit, meansOf(1))!, panelsCutOtherwise(1054), 6)
    // where each piece shrank that is left to searches beside the first
    const shrank = problemOf(3, 6, 13, 4, true)
    const all = 6 * shrank.sheets[0]!.cost
    expect(fewEach(shrank, all, meansOf(1))).toBeNull()
    expect(fewEach(shrank, all, { ...meansOf(1), beside: 1 })).not.toBeNull()
  })

  it('come to nothing soon where fines tell nothing', () => {
    // six sheets of 22, half the pieces of which shrank
    const { problem, limit } = posed(panelsCutOtherwise(1072))
    const search = new LikeliestFirst(problem, limit, meansOf(1), FINE)
    for (let i = 0; i < 2; i++) expect(search.next()).toBeNull()
    expect(search.goes).toBe(false)
  })
})
