import { isRecord } from '#core/exchange/project/checked'
import { labelPrinter, PRINTER_BUTTONS, type PrinterButton, type ToPrint } from '../devices/label-printer'
import { jsonBody } from '../http/body'
import { invalid } from '../http/problem'
import { route } from '../http/route'

/** No run has more labels, and no label more letters; none is wider, mm. */
const MOST = 500
const LETTERS = 200
const WIDEST = 500

function toPrint(value: unknown): ToPrint | null {
  if (!isRecord(value)) return null
  const { name, size = '', room = 90 } = value
  if (typeof name !== 'string' || name === '' || typeof size !== 'string') return null
  if (typeof room !== 'number' || !(room > 0 && room <= WIDEST)) return null
  return { name: name.slice(0, LETTERS), size: size.slice(0, LETTERS), room }
}

/** Prints labels on the stand-in, `{"print": [{name, size, room}]}`, or presses a button of it, `{"press": "new tape"}`. */
export default route(async (event) => {
  const body = await jsonBody(event)
  if (isRecord(body) && PRINTER_BUTTONS.includes(body.press as PrinterButton)) return labelPrinter.press(body.press as PrinterButton) // prettier-ignore
  const run = isRecord(body) && Array.isArray(body.print) ? body.print.map(toPrint) : null
  if (!run || run.length === 0 || run.length > MOST)
    throw invalid([{ field: 'print', message: `one to ${MOST} labels; or "press": one of ${PRINTER_BUTTONS.join(', ')}.` }]) // prettier-ignore
  const errors = run.flatMap((l, i) => (l === null ? [{ field: `print.${i}`, message: `a name, perhaps a size, and how wide it may be, up to ${WIDEST} mm.` }] : [])) // prettier-ignore
  if (errors.length > 0) throw invalid(errors)
  return labelPrinter.print(run as ToPrint[])
})
