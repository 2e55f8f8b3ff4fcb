import { database } from '../database/connection'
import { route } from '../http/route'

/** 200 while the records can be reached, 503 while they can't; `pid` tells the start script that it reached its own. */
export default route(async () => {
  await database().raw('select 1')
  return { status: 'well', pid: process.pid }
})
