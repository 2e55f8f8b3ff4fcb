import { circle, moved, polygon, rectangle, roundedRectangle, type Outline } from '../../../geometry/outline'
import type { Card, Kind, Shape, Silhouette } from '../../kind'
import { fields } from './fields'

/** The tool's own figures, with typical ones in the gaps so that there is always something to draw. */
function figures(measures: Record<string, number>) {
  const of = (key: string) => measures[key] ?? fields.find((f) => f.key === key)!.typical
  const handleWidth = of('handleWidth')
  const headLength = of('headLength')
  return {
    handleWidth,
    handleThickness: measures.handleThickness ?? handleWidth,
    headWidth: of('headWidth'),
    headLength,
    headHeight: of('headHeight'),
    handleLength: of('handleLength'),
    face: measures.faceReach ?? headLength / 2,
  }
}

type Figures = ReturnType<typeof figures>

/** The head from its side: the face at x = f.face, the far end at f.face - f.headLength. */
function headFromSide(f: Figures, head: string): Outline {
  const back = f.face - f.headLength
  const h = f.headHeight
  if (head === 'round') return roundedRectangle(back, 0, f.face, h, h * 0.45)
  if (head === 'peen') {
    const cheek = Math.min(f.handleThickness * 0.9, f.face * 0.6, -back * 0.6)
    return polygon([
      [f.face, h * 0.08],
      [f.face, h],
      [f.face * 0.75, h],
      [cheek, h * 0.86],
      [-cheek, h],
      [back, h * 0.72],
      [back, h * 0.58],
      [-cheek, 0],
      [cheek, h * 0.14],
      [f.face * 0.75, h * 0.08],
    ])
  }
  if (head === 'blade') {
    const poll = Math.max(back, -f.handleThickness * 1.2)
    return polygon([
      [f.face, -h * 0.12],
      [f.face * 0.92, h],
      [f.handleThickness * 0.6, h * 0.8],
      [back, h * 0.86],
      [back, h * 0.2],
      [poll, h * 0.12],
      [f.handleThickness * 0.6, h * 0.2],
    ])
  }
  const splay = f.headLength * 0.04
  return polygon([
    [back + splay, 0],
    [f.face - splay, 0],
    [f.face, h],
    [back, h],
  ])
}

function handle(thickness: number, length: number): Outline {
  const t = thickness / 2
  return roundedRectangle(-t, -length, t, 0, t * 0.7)
}

/** Silhouettes of a headed tool about the neck's centre at the underside of the head, mm. */
export const silhouette: Kind['silhouette'] = ({ measures, options }): Silhouette => {
  const f = figures(measures)
  const w = f.headWidth / 2
  const faceOutline =
    options.head === 'round' || options.head === 'peen'
      ? roundedRectangle(-w, 0, w, f.headHeight, w * 0.6)
      : roundedRectangle(-w, 0, w, f.headHeight, w * 0.12)
  const neckOutline =
    options.neck === 'rectangular'
      ? rectangle(-f.handleWidth / 2, -f.handleThickness / 2, f.handleWidth / 2, f.handleThickness / 2)
      : f.handleWidth === f.handleThickness
        ? circle(0, 0, f.handleWidth / 2)
        : roundedRectangle(
            -f.handleWidth / 2,
            -f.handleThickness / 2,
            f.handleWidth / 2,
            f.handleThickness / 2,
            Math.min(f.handleWidth, f.handleThickness) / 2,
          )
  const part = (p: Shape['part'], outline: Outline): Shape => ({ part: p, outline })
  return {
    side: [
      part('handle', handle(f.handleThickness, f.handleLength)),
      part('head', headFromSide(f, options.head ?? 'block')),
    ],
    face: [part('handle', handle(f.handleWidth, f.handleLength)), part('head', faceOutline)],
    top: [
      part('head', roundedRectangle(-w, f.face - f.headLength, w, f.face, options.head === 'round' ? w : w * 0.12)),
      part('handle', neckOutline),
    ],
  }
}

/** The measuring card: the tool from its side on the left, looking at its face on the right. */
export const card: Kind['card'] = (tool): Card => {
  const f = figures(tool.measures)
  const views = silhouette(tool)
  const away = f.headLength - f.face
  const unit = Math.max(f.headHeight, f.headLength, f.handleLength * 0.4) / 10
  const apart = f.face + Math.max(unit * 4.5, (f.headHeight + f.handleLength) * 0.5) + f.headWidth / 2
  const neckAt = -unit * 1.6
  const set = (shapes: Shape[], dx: number): Shape[] =>
    shapes.map((s) => ({ part: s.part, outline: moved(s.outline, dx, 0) }))
  return {
    shapes: [...views.side, ...set(views.face, apart)],
    lines: [
      {
        field: 'handleWidth',
        from: { x: apart - f.handleWidth / 2, y: neckAt },
        to: { x: apart + f.handleWidth / 2, y: neckAt },
        offset: 0,
      },
      {
        field: 'handleThickness',
        from: { x: -f.handleThickness / 2, y: neckAt },
        to: { x: f.handleThickness / 2, y: neckAt },
        offset: 0,
      },
      {
        field: 'headWidth',
        from: { x: apart - f.headWidth / 2, y: f.headHeight },
        to: { x: apart + f.headWidth / 2, y: f.headHeight },
        offset: unit * 1.2,
      },
      {
        field: 'headLength',
        from: { x: -away, y: f.headHeight },
        to: { x: f.face, y: f.headHeight },
        offset: unit * 3.2,
      },
      { field: 'faceReach', from: { x: 0, y: f.headHeight }, to: { x: f.face, y: f.headHeight }, offset: unit * 1.2 },
      { field: 'headHeight', from: { x: -away, y: 0 }, to: { x: -away, y: f.headHeight }, offset: unit * 1.4 },
      {
        field: 'handleLength',
        from: { x: -f.handleThickness / 2, y: -f.handleLength },
        to: { x: -f.handleThickness / 2, y: 0 },
        offset: Math.max(unit * 1.6, away - f.handleThickness / 2 + unit * 1.4),
      },
    ],
    captions: [
      { text: 'from its side', at: { x: 0, y: -f.handleLength - unit * 1.4 } },
      { text: 'looking at its face', at: { x: apart, y: -f.handleLength - unit * 1.4 } },
    ],
  }
}
