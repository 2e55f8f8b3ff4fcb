import { DxfWriter, point3d, Units } from '@tarikjabiri/dxf'
import { axesOf, onBoard } from '../model/contact'
import { drilled, type Board, type HolderModel } from '../model/model'
import { bitName } from '../shop/bit-name'
import { formatLength, type LengthFormat } from '../units/format-length'
import { drawOutline } from './dxf-outline'
import { cutOutline } from './svg'

/** Layers of a board's drawing, with the colours that readers show: saw and knife, drill, router, pencil. */
const LAYERS = { cut: 7, bore: 5, groove: 3, mark: 8 } as const
type Layer = keyof typeof LAYERS

/**
 * One board at true size as DXF: mm, x from the datum end, y from the back (or lower) edge; layers `cut`, `bore`,
 * `groove`, `mark`; true arcs and circles, the unrounded model.
 */
export function boardDxf(model: HolderModel, board: Board, format: LengthFormat): string {
  const dxf = new DxfWriter()
  dxf.setUnits(Units.Millimeters)
  dxf.setVariable('$LASTSAVEDBY', { 1: 'Fingerling' })
  for (const [name, colour] of Object.entries(LAYERS)) dxf.addLayer(name, colour, 'CONTINUOUS')
  const on = (layer: Layer): void => dxf.setCurrentLayerName(layer)
  const cross = (x: number, y: number): void => {
    dxf.addLine(point3d(x - 4, y), point3d(x + 4, y))
    dxf.addLine(point3d(x, y - 4), point3d(x, y + 4))
  }
  on('cut')
  drawOutline(dxf, cutOutline(board))
  for (const o of board.openings) {
    const seat = model.seats.find((s) => s.id === o.seat)
    for (const [n, { centre, diameter, bit, depth }] of drilled(o).entries()) {
      const deep = depth === null ? '' : `, ${formatLength(depth, format, 'down')} deep`
      on('bore')
      dxf.addCircle(point3d(centre.x, centre.y), diameter / 2)
      on('mark')
      cross(centre.x, centre.y)
      dxf.addText(
        point3d(centre.x + 3, centre.y + 3 + 4 * (o.steps ? n : 0)),
        3,
        `${seat?.place ?? ''} ${bitName(bit, format)}${deep}`.trim(),
      )
    }
    // closed openings that no drill makes
    if (o.opensTo === null && o.bores.length === 0) {
      on(o.depth === null ? 'cut' : 'groove')
      drawOutline(dxf, o.outline)
    }
  }
  on('mark')
  for (const f of model.fasteners.filter((x) => x.through === board.id && x.toward[axesOf(board).thickness] !== 0)) {
    const { x, y } = onBoard(board, f.at)
    cross(x, y)
  }
  if (board.bevel) {
    const up = board.thickness * Math.tan((board.bevel.tilt * Math.PI) / 180)
    dxf.addLine(point3d(0, up), point3d(board.length, up))
  }
  dxf.addText(point3d(4, 4), 4, `${board.name}, datum end here`)
  return dxf.stringify()
}
