import { isRecord } from '#core/exchange/project/checked'
import { finderPass, forgetPasses } from '../devices/finder'
import { database } from '../database/connection'
import { jsonBody } from '../http/body'
import { invalid, notFound } from '../http/problem'
import { route } from '../http/route'
import { read } from '../records/store'

/** One pass of the stud finder's stand-in along a wall, `{"wall": id}`; `{"wall": id, "anew": true}` forgets those before it. */
export default route(async (event) => {
  const body = await jsonBody(event)
  if (!isRecord(body) || typeof body.wall !== 'string')
    throw invalid([{ field: 'wall', message: 'say which wall: its id.' }])
  const wall = await read(database(), 'walls', body.wall)
  if (wall.deleted) throw notFound('This wall')
  if (body.anew === true) forgetPasses(body.wall)
  return finderPass(body.wall, (wall as unknown as { width: number }).width)
})
