import { listen, listenMany } from '../records/changes'

/** A sign of life goes out this often, ms, so that a page notices a cut connection. */
const BEAT = 2000

/** Tells a page what was saved or deleted, as server-sent events: `change`, `many` and `beat`. */
export default defineEventHandler((event) => {
  const stream = createEventStream(event)
  const deaf = listen((change) => void stream.push({ event: 'change', data: JSON.stringify(change) }))
  const deafToMany = listenMany((many) => void stream.push({ event: 'many', data: JSON.stringify(many) }))
  const alive = () => void stream.push({ event: 'beat', data: '' })
  alive() // the first one also tells the page that it is connected
  const beat = setInterval(alive, BEAT)
  stream.onClosed(async () => {
    deaf()
    deafToMany()
    clearInterval(beat)
    await stream.close()
  })
  return stream.send()
})
