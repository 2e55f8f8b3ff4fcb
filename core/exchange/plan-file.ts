import { boardMarks, type MarkedBoard } from '../bench/marks'
import { partsOf, type Part } from '../bench/parts'
import type { Verdict } from '../checks/verdict'
import { finder, type Design } from '../choose/design'
import type { OfferedRemedy } from '../choose/remedies'
import { remediesFor } from '../choose/remedies'
import type { Board, Fastener, Joint, Rod, Seat } from '../model/model'
import type { Figure } from '../working/figure'
import { formulaWithNumbers, writeFigure } from '../working/text'

/** A figure as it is written out: with its formula, the formula with numbers in it, and as printed. */
export interface WrittenFigure extends Omit<Figure, 'origin'> {
  origin: Figure['origin']
  printed: string
  reckoned: string
}

export type WrittenVerdict = Omit<Verdict, 'candidates'> & { remedies: OfferedRemedy[] }

/** What planning one holder gives, as plain data. Lengths mm. docs/formats/plan.md describes it. */
export interface PlanFile {
  holder: { id: string; name: string; form: string }
  drawn: boolean
  verdict: Verdict['level']
  boards: Board[]
  rods: Rod[]
  joints: Joint[]
  fasteners: Fastener[]
  seats: Seat[]
  parts: Part[]
  marks: MarkedBoard[]
  checks: WrittenVerdict[]
  working: WrittenFigure[]
}

/** Writes a design out. @param verdict the gravest level of its checks */
export function planFile(d: Design, verdict: Verdict['level']): PlanFile {
  const { holder, shop } = d.input
  const find = finder(d.working)
  const boards = d.model?.boards ?? []
  return {
    holder: { id: holder.id, name: holder.name, form: holder.form },
    drawn: d.model !== null,
    verdict,
    boards,
    rods: d.model?.rods ?? [],
    joints: d.model?.joints ?? [],
    fasteners: d.model?.fasteners ?? [],
    seats: d.model?.seats ?? [],
    parts: d.model ? partsOf(d.model, shop) : [],
    marks: d.model ? boards.map((board) => boardMarks(d.model!, board, shop)) : [],
    checks: d.verdicts.map((v) => {
      const { candidates: _, ...rest } = v
      return { ...rest, remedies: v.level === 'pass' ? [] : remediesFor(d, v) }
    }),
    working: d.working.map((figure) => ({
      ...figure,
      printed: writeFigure(figure, shop),
      reckoned: formulaWithNumbers(figure, find, shop),
    })),
  }
}
