import type { Trail } from '../../working/trail'
import { lengthOf, optionOf, settingOf } from '../choice-value'
import type { PlanInput } from '../form'
import { choices } from './choices'
import {
  centreRule,
  edgeRule,
  firstRowRule,
  lengthRule,
  pitchRule,
  rowRule,
  rowStepRule,
  staggerRule,
  standOffRule,
  widthRule,
} from './rules'
import type { Socket } from './sockets'

/** Where the bores stand in the block, and its size; mm. */
export interface Rows {
  /** the sockets row by row, from the back */
  rows: Socket[][]
  centres: Map<Socket, { x: number; y: number }>
  length: number
  width: number
  /** id of the figure of each row's distance from the back edge */
  rowIds: string[]
}

const most = <T>(all: readonly T[], of: (item: T) => number): T => all.reduce((a, b) => (of(b) > of(a) ? b : a))
const x = (s: Socket) => `x:${s.order.id}`

/** The sockets in their order, spread over rows that are as equal as can be. */
export function inRows(all: readonly Socket[], rows: number): Socket[][] {
  const each = Math.ceil(all.length / Math.min(rows, all.length))
  return Array.from({ length: Math.ceil(all.length / each) }, (_, i) => all.slice(i * each, (i + 1) * each))
}

/** Reckons where every bore stands. @param all at least one */
export function layRows(input: PlanInput, trail: Trail, all: readonly Socket[]): Rows {
  const rows = inRows(all, Number(optionOf(choices, input, 'rows')))
  const arrange = optionOf(choices, input, 'arrange')
  const gap = lengthOf(choices, input, trail, 'gap')
  const margin = lengthOf(choices, input, trail, 'margin')
  const xs = arrange === 'rows' ? byNeighbour(trail, rows, gap, margin) : onGrid(trail, rows, gap, margin, arrange)
  const last = most(all, (s) => xs.get(s)! + s.right)
  const length = trail.derive(
    'length',
    'Block length',
    xs.get(last)! + last.right + margin,
    lengthRule,
    `{${x(last)}} + {${last.ids.right}} + {margin}`,
  )
  const across = acrossBlock(input, trail, rows, gap, arrange === 'staggered')
  const centres = new Map(rows.flatMap((row, r) => row.map((s) => [s, { x: xs.get(s)!, y: across.ys[r]! }] as const)))
  return { rows, centres, length, width: across.width, rowIds: across.ids }
}

/** Each row by its own neighbours. */
function byNeighbour(trail: Trail, rows: readonly Socket[][], gap: number, margin: number): Map<Socket, number> {
  const xs = new Map<Socket, number>()
  for (const row of rows) {
    row.forEach((s, i) => {
      const before = row[i - 1]
      const value = before ? xs.get(before)! + before.right + gap + s.left : margin + s.left
      const formula = before
        ? `{${x(before)}} + {${before.ids.right}} + {gap} + {${s.ids.left}}`
        : `{margin} + {${s.ids.left}}`
      xs.set(s, trail.derive(x(s), `Centre ${s.place} from the datum end`, value, centreRule, formula))
    })
  }
  return xs
}

/** An even grid; every other row half a pitch on, where it is staggered. */
function onGrid(
  trail: Trail,
  rows: readonly Socket[][],
  gap: number,
  margin: number,
  arrange: string,
): Map<Socket, number> {
  const pairs = rows.flatMap((row) => row.slice(1).map((s, i) => [row[i]!, s] as const))
  // rows of one tool each still want a pitch to be staggered by
  const [a, b] = pairs.length > 0 ? most(pairs, ([p, q]) => p.right + q.left) : (() => {
    const widest = most(rows.flat(), (s) => s.left + s.right)
    return [widest, widest] as const
  })() // prettier-ignore
  const pitch = trail.derive(
    'pitch',
    'Even pitch',
    a.right + gap + b.left,
    pitchRule,
    `{${a.ids.right}} + {gap} + {${b.ids.left}}`,
    { note: a === b ? a.tool.name : `between ${a.place} and ${b.place}` },
  )
  const first = most(
    rows.map((row) => row[0]!),
    (s) => s.left,
  )
  const xs = new Map<Socket, number>()
  rows.forEach((row, r) => {
    const shifted = arrange === 'staggered' && r % 2 === 1
    row.forEach((s, i) => {
      const before = row[i - 1]
      const value = before ? xs.get(before)! + pitch : margin + first.left + (shifted ? pitch / 2 : 0)
      const formula = before
        ? `{${x(before)}} + {pitch}`
        : `{margin} + {${first.ids.left}}${shifted ? ' + {pitch} / 2' : ''}`
      xs.set(s, trail.derive(x(s), `Centre ${s.place} from the datum end`, value, centreRule, formula))
    })
  })
  return xs
}

/** Wood from a row's widest bore to the edge beside it. @returns the figure's id */
function edgeOf(input: PlanInput, trail: Trail, name: string, label: string, widest: Socket): string {
  const id = `edge:${name}`
  const value = Math.max(settingOf(input, trail, 'edge'), settingOf(input, trail, 'edgePerOpening') * widest.mouth)
  trail.derive(
    id,
    `Wood to the ${label} edge`,
    value,
    edgeRule,
    `max({edge}, {edgePerOpening} × {${widest.ids.mouth}})`,
    {
      print: 'up',
    },
  )
  return id
}

function acrossBlock(
  input: PlanInput,
  trail: Trail,
  rows: readonly Socket[][],
  gap: number,
  staggered: boolean,
): { ys: number[]; ids: string[]; width: number } {
  const clearance = settingOf(input, trail, 'headClearance')
  const below = optionOf(choices, input, 'back') === 'below'
  const label = 'Stand-off behind the block'
  const standOff = below
    ? trail.derive('standOff', label, trail.get('thickness:back').value, standOffRule, '{thickness:back}')
    : trail.given('standOff', label, 0, { kind: 'choice', key: 'back' })
  const ids = rows.map((_, r) => `row:${r + 1}`)

  const backRow = rows[0]!
  const deepest = most(backRow, (s) => s.back)
  const widest = most(backRow, (s) => s.mouth)
  const backEdge = edgeOf(input, trail, 'back', 'back', widest)
  const first = trail.derive(
    ids[0]!,
    rows.length > 1 ? 'Row 1 from the back edge' : 'Back edge to the line of centres',
    Math.max(deepest.back + clearance - standOff, widest.mouth / 2 + trail.get(backEdge).value),
    firstRowRule,
    `max({${deepest.ids.back}} + {headClearance} − {standOff}, {${widest.ids.mouth}} / 2 + {${backEdge}})`,
  )
  const ys = [first]
  for (let r = 1; r < rows.length; r++) {
    const step = stepTo(trail, rows, r, gap, staggered)
    ys.push(
      trail.derive(ids[r]!, `Row ${r + 1} from the back edge`, ys[r - 1]! + trail.get(step).value, rowRule, `{${ids[r - 1]}} + {${step}}`), // prettier-ignore
    )
  }
  const frontWidest = most(rows.at(-1)!, (s) => s.mouth)
  const frontEdge = edgeOf(input, trail, 'front', 'front', frontWidest)
  const width = trail.derive(
    'width',
    'Block depth',
    ys.at(-1)! + frontWidest.mouth / 2 + trail.get(frontEdge).value,
    widthRule,
    `{${ids.at(-1)}} + {${frontWidest.ids.mouth}} / 2 + {${frontEdge}}`,
  )
  return { ys, ids, width }
}

/** The step from row r − 1 to row r. @returns the figure's id */
function stepTo(trail: Trail, rows: readonly Socket[][], r: number, gap: number, staggered: boolean): string {
  if (staggered) {
    const id = 'rowStep'
    if (trail.has(id)) return id
    const all = rows.flat()
    const wide = most(all, (s) => Math.max(s.left + s.right, s.front + s.back))
    const sides = wide.left + wide.right >= wide.front + wide.back ? (['left', 'right'] as const) : (['front', 'back'] as const) // prettier-ignore
    const nearest = wide[sides[0]] + wide[sides[1]] + gap
    const apart = `({${wide.ids[sides[0]]}} + {${wide.ids[sides[1]]}} + {gap})`
    const pitch = trail.get('pitch').value
    const value = Math.sqrt(Math.max(nearest ** 2 - pitch ** 2 / 4, nearest ** 2 / 4))
    trail.derive(id, 'From row to row', value, staggerRule, `√(max(${apart}² − {pitch}² / 4, ${apart}² / 4))`)
    return id
  }
  const behind = most(rows[r - 1]!, (s) => s.front)
  const before = most(rows[r]!, (s) => s.back)
  const id = `rowStep:${r + 1}`
  trail.derive(id, `From row ${r} to row ${r + 1}`, behind.front + gap + before.back, rowStepRule, `{${behind.ids.front}} + {gap} + {${before.ids.back}}`) // prettier-ignore
  return id
}
