import { point3d, type DxfWriter } from '@tarikjabiri/dxf'
import type { Outline } from '../geometry/outline'

const degrees = (radians: number): number => (radians * 180) / Math.PI

/** Draws an outline as lines and true arcs; arcs run counter-clockwise in DXF. */
export function drawOutline(dxf: DxfWriter, outline: Outline): void {
  let from = outline.start
  for (const s of outline.segments) {
    if (s.kind === 'line') {
      if (Math.hypot(s.to.x - from.x, s.to.y - from.y) > 1e-9)
        dxf.addLine(point3d(from.x, from.y), point3d(s.to.x, s.to.y))
    } else {
      const angle = (p: { x: number; y: number }): number => degrees(Math.atan2(p.y - s.centre.y, p.x - s.centre.x))
      const [a, b] = s.clockwise ? [s.to, from] : [from, s.to]
      dxf.addArc(point3d(s.centre.x, s.centre.y), s.radius, angle(a), angle(b))
    }
    from = s.to
  }
}
