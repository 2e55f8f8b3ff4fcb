import { parseSync, type INode } from 'svgson'
import svgpath from 'svgpath'
import { arcsAlong, bezier } from '../../geometry/arcs-along'
import type { Point, Segment } from '../../geometry/outline'
import type { DrawingRead, Stretch } from './drawn'

/** How far arcs may leave a curve, in the drawing's units before scaling; fine enough for a mm or an inch. */
const OFF = 0.005
const MM: Record<string, number> = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, pc: 25.4 / 6 }
/** Deeper nesting than any drawing program writes. */
const DEEPEST = 60
const MOST_NODES = 50000

const refused = (message: string): DrawingRead => ({ ok: false, message })

/** What a picture file may not hold: it is read as a drawing, never run. */
function unsafe(text: string): string | null {
  if (/<!(DOCTYPE|ENTITY)/i.test(text))
    return 'It declares entities or a document type, which a drawing has no need of.'
  if (/<\s*(script|foreignObject|iframe)\b/i.test(text) || /\son\w+\s*=/i.test(text) || /javascript:/i.test(text))
    return 'It holds a script. Save it as a plain SVG and try again.'
  return null
}

const number = (text: string | undefined, otherwise = 0): number => {
  const n = Number.parseFloat(text ?? '')
  return Number.isFinite(n) ? n : otherwise
}

/** The path of a shape element, in its own coordinates; null for what is no shape. */
function pathOf({ name, attributes: a }: INode): string | null {
  const n = (key: string) => number(a[key])
  if (name === 'path') return a.d ?? ''
  if (name === 'rect') {
    const [x, y, w, h] = [n('x'), n('y'), n('width'), n('height')]
    const rx = Math.min(number(a.rx, number(a.ry)), w / 2)
    const ry = Math.min(number(a.ry, number(a.rx)), h / 2)
    if (rx <= 0 || ry <= 0) return `M${x} ${y}h${w}v${h}h${-w}z`
    const arc = (dx: number, dy: number) => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`
    return `M${x + rx} ${y}h${w - 2 * rx}${arc(rx, ry)}v${h - 2 * ry}${arc(-rx, ry)}h${2 * rx - w}${arc(-rx, -ry)}v${2 * ry - h}${arc(rx, -ry)}z`
  }
  if (name === 'circle' || name === 'ellipse') {
    const rx = name === 'circle' ? n('r') : n('rx')
    const ry = name === 'circle' ? n('r') : n('ry')
    return `M${n('cx') - rx} ${n('cy')}a${rx} ${ry} 0 1 1 ${2 * rx} 0a${rx} ${ry} 0 1 1 ${-2 * rx} 0z`
  }
  if (name === 'polygon' || name === 'polyline') {
    const points = a.points?.trim()
    return points ? `M${points}${name === 'polygon' ? 'z' : ''}` : ''
  }
  if (name === 'line') return `M${n('x1')} ${n('y1')}L${n('x2')} ${n('y2')}`
  return null
}

const hidden = ({ attributes: a }: INode) => /display:\s*none/.test(a.style ?? '') || a.display === 'none'

/** A circular arc by its end points as SVG gives it, y down. */
function circular(from: Point, to: Point, radius: number, large: boolean, sweep: boolean): Segment {
  const [dx, dy] = [to.x - from.x, to.y - from.y]
  const chord = Math.hypot(dx, dy)
  const r = Math.max(radius, chord / 2)
  const h = Math.sqrt(Math.max(0, r * r - (chord * chord) / 4))
  const side = large === sweep ? -1 : 1
  const centre = { x: (from.x + to.x) / 2 + (side * -dy * h) / chord, y: (from.y + to.y) / 2 + (side * dx * h) / chord }
  return { kind: 'arc', to, centre, radius: r, clockwise: !sweep }
}

/** Path data as stretches, y turned up. */
function stretchesOf(d: string, transforms: readonly string[]): Stretch[] | string {
  let path = svgpath(d)
  const { err } = path as unknown as { err?: string }
  if (err) return err
  for (const t of transforms) path = path.transform(t)
  const found: Stretch[] = []
  let at: Point = { x: 0, y: 0 }
  let open: Stretch | null = null
  const push = (s: Segment) => {
    open ??= { start: at, segments: [], closed: false }
    open.segments.push(s)
    at = s.to
  }
  const finish = () => {
    if (open && open.segments.length > 0) found.push(open)
    open = null
  }
  const ends: Point[] = []
  path
    .abs()
    .unshort()
    .iterate((segment) => {
      const [kind, ...v] = segment as [string, ...number[]]
      const p = (i: number): Point => ({ x: v[i]!, y: v[i + 1]! })
      if (kind === 'M') {
        finish()
        at = p(0)
        ends[0] = at
      } else if (kind === 'Z') {
        if (open) {
          if (Math.hypot(at.x - open.start.x, at.y - open.start.y) > 1e-9) push({ kind: 'line', to: open.start })
          open.closed = true
        }
        finish()
        at = ends[0] ?? at
      } else if (kind === 'L') push({ kind: 'line', to: p(0) })
      else if (kind === 'H') push({ kind: 'line', to: { x: v[0]!, y: at.y } })
      else if (kind === 'V') push({ kind: 'line', to: { x: at.x, y: v[0]! } })
      else if (kind === 'C') for (const s of arcsAlong(bezier(at, p(0), p(2), p(4)), 0, 1, OFF)) push(s)
      else if (kind === 'Q') {
        const third = (a: Point, b: Point): Point => ({
          x: a.x + ((b.x - a.x) * 2) / 3,
          y: a.y + ((b.y - a.y) * 2) / 3,
        })
        const [c, to] = [p(0), p(2)]
        for (const s of arcsAlong(bezier(at, third(at, c), third(to, c), to), 0, 1, OFF)) push(s)
      } else if (kind === 'A') arcTo(v, push, at)
    }, true)
  finish()
  return found.map(upright)
}

function arcTo(v: number[], push: (s: Segment) => void, from: Point): void {
  const [rx, ry, turn, large, sweep, x, y] = v as [number, number, number, number, number, number, number]
  const to = { x, y }
  if (Math.hypot(x - from.x, y - from.y) < 1e-9) return
  if (Math.abs(rx - ry) <= 1e-6 * Math.max(rx, ry)) return push(circular(from, to, rx, large === 1, sweep === 1))
  svgpath(`M${from.x} ${from.y}A${rx} ${ry} ${turn} ${large} ${sweep} ${x} ${y}`)
    .unarc()
    .iterate((segment) => {
      const [kind, ...c] = segment as [string, ...number[]]
      if (kind !== 'C') return
      const [b, d, e] = [{ x: c[0]!, y: c[1]! }, { x: c[2]!, y: c[3]! }, { x: c[4]!, y: c[5]! }] // prettier-ignore
      for (const s of arcsAlong(bezier(from, b, d, e), 0, 1, OFF)) push(s)
      from = e
    })
}

/** The same with y pointing up; what ran with the clock on the screen runs the other way in these axes, and so does its flag. */
const upright = (s: Stretch): Stretch => {
  const up = (p: Point): Point => ({ x: p.x, y: -p.y })
  return {
    ...s,
    start: up(s.start),
    segments: s.segments.map((g) =>
      g.kind === 'line'
        ? { kind: 'line', to: up(g.to) }
        : { ...g, to: up(g.to), centre: up(g.centre), clockwise: !g.clockwise },
    ),
  }
}

/** mm in one unit of the drawing, by its size and its view box; null when it doesn't say. */
function unitOf(svg: INode): number | null {
  const { width, height, viewBox } = svg.attributes
  const size = /^([\d.]+)\s*(mm|cm|in|pt|pc)$/.exec((width ?? '').trim())
  const tall = /^([\d.]+)\s*(mm|cm|in|pt|pc)$/.exec((height ?? '').trim())
  const box = (viewBox ?? '').trim().split(/[\s,]+/).map(Number) // prettier-ignore
  const [one, extent] = size ? [size, box[2]] : [tall, box[3]]
  if (!one) return null
  const mm = Number(one[1]) * MM[one[2]!]!
  if (box.length !== 4 || !extent || !(extent > 0)) return MM.in! / 96 // sizes without a view box are in CSS pixels
  return mm / extent
}

/**
 * Reads a drawing from an SVG file: its paths and shapes with their transforms. Nothing in it is run or shown.
 * @param text of the file
 * @returns lines and true arcs, or what is wrong in the shop's words
 */
export function readSvg(text: string): DrawingRead {
  const danger = unsafe(text)
  if (danger) return refused(danger)
  if (!/<svg[\s>]/i.test(text)) return refused('This is no SVG drawing.')
  let root: INode
  try {
    root = parseSync(text)
  } catch {
    return refused('The SVG is not whole: it breaks off or is not well formed.')
  }
  if (root.name !== 'svg') return refused('This is no SVG drawing.')
  const stretches: Stretch[] = []
  const skipped = new Set<string>()
  let nodes = 0
  let broken = ''
  const walk = (node: INode, transforms: readonly string[], depth: number): void => {
    if (depth > DEEPEST || ++nodes > MOST_NODES || hidden(node)) return
    const own = node.attributes.transform ? [node.attributes.transform, ...transforms] : transforms
    if (['defs', 'clipPath', 'mask', 'symbol', 'marker', 'pattern'].includes(node.name)) return
    if (['text', 'image', 'use'].includes(node.name)) skipped.add(node.name)
    const d = pathOf(node)
    if (d) {
      const found = stretchesOf(d, own)
      if (typeof found === 'string') broken ||= found
      else stretches.push(...found)
    }
    for (const child of node.children) walk(child, own, depth + 1)
  }
  walk(root, [], 0)
  if (stretches.length === 0)
    return refused(broken ? `Its path can’t be read: ${broken}` : 'There is no line in it that could be an outline.')
  const words: Record<string, string> = { text: 'text', image: 'pictures', use: 'copies of symbols' }
  return {
    ok: true,
    drawing: {
      stretches,
      unit: unitOf(root),
      notes: [
        ...[...skipped].map((name) => `${words[name]} in it are not read.`),
        ...(broken ? ['One of its paths can’t be read and is left out.'] : []),
      ],
    },
  }
}
