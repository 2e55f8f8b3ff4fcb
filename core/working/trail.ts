import type { Figure, Origin, Rule } from './figure'

const NAMED = /\{([^}]+)\}/g
/** What is fixed and has a unit: `[0.5 mm]`, `[9.80665 N/kg]`. */
const FIXED = /\[([^ \]]+) ([^\]]+)\]/g

/** The ids a formula names, each once. Every figure of every plan goes through here: it is kept plain and fast. */
export function namedIn(formula: string): string[] {
  const ids: string[] = []
  for (let open = formula.indexOf('{'); open >= 0;) {
    const close = formula.indexOf('}', open)
    if (close < 0) break
    const id = formula.slice(open + 1, close)
    if (!ids.includes(id)) ids.push(id)
    open = formula.indexOf('{', close)
  }
  return ids
}

/** A formula with each named figure, and each fixed one that has a unit, replaced. */
export const fillIn = (
  formula: string,
  write: (id: string) => string,
  writeFixed: (value: number, unit: string) => string,
): string =>
  formula
    .replace(FIXED, (_, value: string, unit: string) => writeFixed(Number(value), unit))
    .replace(NAMED, (_, id: string) => write(id))

/** The units of what is fixed in a formula. */
export const fixedUnitsIn = (formula: string): string[] => [...formula.matchAll(FIXED)].map(([, , unit]) => unit!)

type Extra = Partial<Pick<Figure, 'quantity' | 'print' | 'note'>>

/** Collects figures while a plan is reckoned. A figure may only be derived from figures already on the trail. */
export class Trail {
  private readonly figures = new Map<string, Figure>()

  /** A trail that goes on from figures reckoned before. */
  static from(figures: readonly Figure[]): Trail {
    const trail = new Trail()
    for (const f of figures) trail.figures.set(f.id, f)
    return trail
  }

  /** A figure that stands by itself: measured, set or chosen. Given twice, the first stays. */
  given(id: string, label: string, value: number, origin: Origin, extra: Extra = {}): number {
    if (!this.figures.has(id)) this.add(id, label, value, origin, '', extra)
    return value
  }

  /**
   * A figure reckoned from others.
   * @param formula with figure ids in braces
   * @throws RangeError when the value is not a finite number or the formula names an unknown figure
   */
  derive(id: string, label: string, value: number, rule: Rule, formula: string, extra: Extra = {}): number {
    if (!Number.isFinite(value)) throw new RangeError(`${label} came out as ${value}`)
    this.add(id, label, value, { kind: 'derived', rule }, formula, extra)
    return value
  }

  get(id: string): Figure {
    const figure = this.figures.get(id)
    if (!figure) throw new RangeError(`no figure ${id} on the trail`)
    return figure
  }

  has(id: string): boolean {
    return this.figures.has(id)
  }

  all(): Figure[] {
    return [...this.figures.values()]
  }

  private add(id: string, label: string, value: number, origin: Origin, formula: string, extra: Extra) {
    const from = formula === '' ? [] : namedIn(formula)
    for (const source of from) this.get(source)
    this.figures.set(id, {
      id,
      label,
      value,
      origin,
      formula,
      from,
      quantity: extra.quantity ?? 'length',
      print: extra.print ?? 'nearest',
      note: extra.note ?? '',
    })
  }
}
