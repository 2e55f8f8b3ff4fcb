import { isRecord } from '#core/exchange/project/checked'
import { BUTTONS, type Button } from '../../devices/bench'
import { isDevice } from '../../devices/device'
import { pressButton, takeReading } from '../../devices/shelf'
import { jsonBody } from '../../http/body'
import { invalid, notFound } from '../../http/problem'
import { route } from '../../http/route'

const text = (value: unknown): string => (typeof value === 'string' ? value.slice(0, 200) : '')

/** Presses a button of a device, `{"press": "unit"}`, or takes a reading, `{"of": {tool, kind, field}}`. */
export default route(async (event) => {
  const id = getRouterParam(event, 'device')
  if (!isDevice(id)) throw notFound('This device')
  const body = await jsonBody(event)
  if (isRecord(body) && isRecord(body.of)) {
    const { tool, kind, field } = body.of
    const by = getRequestHeader(event, 'x-window')?.slice(0, 64) ?? ''
    return takeReading(id, { tool: text(tool), kind: text(kind), field: text(field) }, by)
  }
  if (isRecord(body) && BUTTONS.includes(body.press as Button)) return pressButton(id, body.press as Button)
  throw invalid([{ field: 'press', message: `one of ${BUTTONS.join(', ')}; or send what is measured as "of".` }])
})
