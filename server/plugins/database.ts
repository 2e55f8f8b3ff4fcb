import { disconnect } from '../database/connection'
import { ready } from '../database/ready'

/** Prepares the database while the server starts; a server that can't is ended, rather than left answering half. */
export default defineNitroPlugin((nitro) => {
  ready().catch((error) => {
    console.error('The database could not be prepared:', error)
    process.exit(1)
  })
  nitro.hooks.hook('close', disconnect)
  // the start script that holds the other end of the channel is gone: end with it
  if (process.channel) process.on('disconnect', () => process.exit(0))
})
