import { kindOf } from '../footprint/kinds'
import type { Shape, Silhouette } from '../footprint/kind'
import type { Tool } from '../footprint/tool'
import { flipped, mirrored, spun, transposed, turned, type Outline } from '../geometry/outline'
import type { Seat } from '../model/model'
import type { OutlineItem, View } from './view'

/** Ghosts already drawn, by tool: a tool's record is replaced when it changes, never changed in place. */
const drawn = new WeakMap<Tool['measures'], { options: Tool['options']; ghosts: Map<string, OutlineItem[]> }>()

function shapesOf(views: Silhouette, turn: Seat['turn'], look: View['name']): Shape[] {
  if (look === 'top') return views.top
  return (turn % 2 === 1) === (look === 'front') ? views.side : views.face
}

function outlineOf(shape: Shape, turn: Seat['turn'], look: View['name']): Outline {
  if (look === 'top') return flipped(turned(shape.outline, turn))
  // which way its face or its right side looks in the view
  const away = look === 'front' ? turn >= 2 : turn === 1 || turn === 2
  return away ? mirrored(shape.outline) : shape.outline
}

/** The view of an upright tool that is seen when it lies along the wall, its top towards the datum. */
const LYING: Record<View['name'], View['name']> = { front: 'front', top: 'side', side: 'top' }

function lyingOutline(shape: Shape, turn: Seat['turn'], look: View['name']): Outline {
  if (look === 'front') return spun(outlineOf(shape, turn, 'front'), 90)
  if (look === 'top') return spun(transposed(outlineOf(shape, turn, 'side')), 180)
  return transposed(turned(shape.outline, turn))
}

/** The silhouette of a seated tool in a view, as it is turned in its seat, about its neck. mm, y up */
export function ghost(tool: Tool, { turn, along }: Pick<Seat, 'turn' | 'along'>, look: View['name']): OutlineItem[] {
  let kept = drawn.get(tool.measures)
  if (kept?.options !== tool.options) {
    kept = { options: tool.options, ghosts: new Map() }
    drawn.set(tool.measures, kept)
  }
  const key = `${tool.kind} ${look} ${turn} ${along ?? false}`
  let items = kept.ghosts.get(key)
  if (!items) {
    const views = kindOf(tool.kind)?.silhouette(tool)
    items = views
      ? shapesOf(views, turn, along ? LYING[look] : look).map((s) => ({
          role: s.part === 'handle' ? 'handle' : 'head',
          outline: along ? lyingOutline(s, turn, look) : outlineOf(s, turn, look),
        }))
      : []
    kept.ghosts.set(key, items)
  }
  return items
}
