import { formOf } from '../forms/all-forms'
import type { Board, Rod } from '../model/model'
import { namedIn } from '../working/trail'
import type { Subject } from './subject'

const OF = 'thickness:'

/**
 * Key of the question that asks what a part is made from, told by the figure of its stock's thickness; null where the form asks
 * for none.
 */
export function stockAsked({ trail, input }: Pick<Subject, 'trail' | 'input'>, of: Board | Rod): string | null {
  const { figures } = of
  const own = 'thickness' in figures ? (figures.layer ?? figures.thickness) : figures.diameter
  // of several layers it is reckoned from one
  const figure = own.startsWith(OF) ? own : namedIn(trail.get(own).formula ?? '').find((id) => id.startsWith(OF))
  if (!figure) return null
  const key = `${figure.slice(OF.length)}Stock`
  const asked = formOf(input.holder.form)?.choices.some((c) => c.key === key && c.type === 'stock')
  return asked ? key : null
}
