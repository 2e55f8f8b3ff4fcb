/** A checker of cutting plans that shares nothing with the search: it reads the instance and the plan as they are printed. */
export interface Asked {
  kind: '1d' | '2d'
  kerf: number
  stock: { id: string; length: number; width?: number; count?: number; isOffcut: boolean }[]
  parts: { id: string; length: number; width?: number; count?: number; canRotate?: boolean }[]
}

interface Placed {
  readonly stockId: string
  readonly stockIndex: number
  readonly partId: string
  readonly x: number
  readonly y: number
  readonly length: number
  readonly width: number
  readonly rotated: boolean
}

export interface Answer {
  readonly placements: readonly Placed[]
  readonly unplaced?: readonly { readonly partId: string; readonly count: number }[]
}

const EPS = 2e-6

/** What is wrong with a plan, in words; empty when it can be sawn as it stands. */
export function faults(asked: Asked, answer: Answer): string[] {
  const wrong: string[] = []
  const made = new Map<string, number>()
  const sheets = new Map<string, Placed[]>()
  for (const p of answer.placements) {
    made.set(p.partId, (made.get(p.partId) ?? 0) + 1)
    const name = `${p.stockId} ${p.stockIndex}`
    sheets.set(name, [...(sheets.get(name) ?? []), p])
    const part = asked.parts.find((x) => x.id === p.partId)
    const stock = asked.stock.find((x) => x.id === p.stockId)
    if (!part || !stock) {
      wrong.push(`unknown part or stock: ${p.partId} in ${p.stockId}`)
      continue
    }
    const [l, w] = [part.length, part.width ?? 0]
    const sizes = p.rotated ? [w, l] : [l, w]
    if (p.length !== sizes[0] || p.width !== sizes[1]) wrong.push(`${p.partId}: not its size`)
    if (p.rotated && !part.canRotate) wrong.push(`${p.partId}: turned against its grain`)
    const most = stock.count ?? (stock.isOffcut ? 1 : Infinity)
    if (p.stockIndex < 0 || p.stockIndex >= most || !Number.isInteger(p.stockIndex))
      wrong.push(`${p.stockId}: there is no piece ${p.stockIndex}`)
    const over = p.x + p.length > stock.length + EPS || p.x < -EPS
    const wide = asked.kind === '2d' && (p.y + p.width > (stock.width ?? 0) + EPS || p.y < -EPS)
    if (over || wide) wrong.push(`${p.partId}: beyond the edge of ${p.stockId}`)
  }
  for (const part of asked.parts) {
    const unplaced = (answer.unplaced ?? []).find((u) => u.partId === part.id)?.count ?? 0
    if ((made.get(part.id) ?? 0) + unplaced !== (part.count ?? 1)) wrong.push(`${part.id}: not as many as asked`)
  }
  for (const [name, placed] of sheets)
    if (asked.kind === '1d') {
      const row = [...placed].sort((a, b) => a.x - b.x)
      for (let i = 1; i < row.length; i++)
        if (row[i]!.x < row[i - 1]!.x + row[i - 1]!.length + asked.kerf - EPS)
          wrong.push(`${name}: no room for the kerf`)
    } else if (!separable(placed, asked.kerf)) wrong.push(`${name}: can’t be cut edge to edge`)
  return wrong
}

/** Whether pieces come apart by cuts from edge to edge, each at least a kerf wide. */
function separable(placed: readonly Placed[], kerf: number): boolean {
  if (placed.length <= 1) return true
  for (const along of [true, false]) {
    const from = (p: Placed): number => (along ? p.x : p.y)
    const to = (p: Placed): number => (along ? p.x + p.length : p.y + p.width)
    const row = [...placed].sort((a, b) => from(a) - from(b))
    let end = to(row[0]!)
    for (let i = 1; i < row.length; i++) {
      if (from(row[i]!) >= end + kerf - EPS) return separable(row.slice(0, i), kerf) && separable(row.slice(i), kerf)
      end = Math.max(end, to(row[i]!))
    }
  }
  return false
}
