import { boardMarks, type Mark } from '../bench/marks'
import { partsOf } from '../bench/parts'
import type { QuickPlan } from '../cutting/quick-cuts'
import { boardOf, type HolderModel } from '../model/model'
import { bitName } from '../shop/bit-name'
import type { Shop } from '../shop/shop'
import { formatExact, formatLength, type LengthFormat } from '../units/format-length'
import { csvText } from './csv-text'

const WASTE: Record<NonNullable<Mark['waste']>, string> = { left: 'waste to the left', right: 'waste to the right' }

/**
 * The marks of one board as a table: running figures from the datum end as printed, and in mm as the model has them.
 * @returns CSV (RFC 4180, CRLF)
 */
export function marksCsv(model: HolderModel, board: string, format: LengthFormat): string {
  const { marks, acrossFrom } = boardMarks(model, boardOf(model, board), format)
  return csvText(
    marks.map((m, i) => ({
      no: i + 1,
      mark: m.label,
      tool: model.seats.find((s) => s.id === m.seat)?.name ?? '',
      'from datum end': formatLength(m.printed, format),
      [`from ${acrossFrom}`]: m.across === null ? '' : formatLength(m.across, format),
      bit: m.bit === null ? '' : bitName(m.bit, format),
      depth: m.depth === null ? '' : formatLength(m.depth, format, 'down'),
      waste: m.waste ? WASTE[m.waste] : '',
      'from datum end mm (model)': Number(m.x.toFixed(4)),
    })),
  )
}

/** The parts list. @returns CSV (RFC 4180, CRLF) */
export function partsCsv(model: HolderModel, shop: Shop): string {
  const format: LengthFormat = shop
  return csvText(
    partsOf(model, shop).map((p) => ({
      part: p.name,
      count: p.count,
      material: p.material,
      from: p.stock,
      length: formatLength(p.length, format),
      width: formatLength(p.width, format),
      thickness: formatExact(p.thickness, format),
      openings: p.openings,
      'length mm': Number(p.length.toFixed(4)),
      'width mm': Number(p.width.toFixed(4)),
      'thickness mm': Number(p.thickness.toFixed(4)),
    })),
  )
}

/** Each piece where it lies on its stock, then those that no stock is large enough for. @returns CSV (RFC 4180, CRLF) */
export function cuttingCsv({ cuts, noPlace }: QuickPlan): string {
  const placed = cuts.flatMap((sheet) =>
    sheet.placements.map((p) => ({
      from: sheet.name,
      'from the bin': sheet.offcut ? 'yes' : '',
      part: sheet.job.names[p.partId]?.part ?? p.partId,
      'x mm': p.x,
      'y mm': p.y,
      'length mm': p.length,
      'width mm': p.width,
      turned: p.rotated ? 'yes' : '',
    })),
  )
  const left = noPlace.flatMap(({ stock, part, count, length, width }) =>
    Array.from({ length: count }, () => ({
      ...{ from: `no ${stock.name} is large enough`, 'from the bin': '', part },
      ...{ 'x mm': '', 'y mm': '', 'length mm': length, 'width mm': width, turned: '' },
    })),
  )
  return csvText([...placed, ...left])
}
