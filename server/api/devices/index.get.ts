import { deviceStates, listenToDevices } from '../../devices/shelf'

/** A sign of life goes out this often, ms. */
const BEAT = 2000

/** The measuring devices, as server-sent events: `state` of each, `reading`, and `beat`. */
export default defineEventHandler((event) => {
  const stream = createEventStream(event)
  const send = (name: string, data: unknown) => void stream.push({ event: name, data: JSON.stringify(data) })
  const deaf = listenToDevices((news) => ('state' in news ? send('state', news.state) : send('reading', news)))
  for (const state of deviceStates()) send('state', state)
  const beat = setInterval(() => send('beat', null), BEAT)
  stream.onClosed(async () => {
    deaf()
    clearInterval(beat)
    await stream.close()
  })
  return stream.send()
})
