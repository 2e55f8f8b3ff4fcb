import { createServer } from 'node:net'

/** True when nothing listens on a port of the loopback address. */
export const isFree = (port, host = '127.0.0.1') =>
  new Promise((resolve) => {
    const server = createServer()
    server.once('error', () => resolve(false))
    server.listen({ port, host, exclusive: true }, () => server.close(() => resolve(true)))
  })

/** A port that nothing listens on; `first` when that is free, else the next, else any. */
export async function freePort(first) {
  for (let port = first; port < first + 50; port++) if (await isFree(port)) return port
  return new Promise((resolve, reject) => {
    const server = createServer()
    server.once('error', reject)
    server.listen({ port: 0, host: '127.0.0.1' }, () => {
      const { port } = server.address()
      server.close(() => resolve(port))
    })
  })
}
