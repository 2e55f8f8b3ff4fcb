import { database } from '../../database/connection'
import { jsonBody } from '../../http/body'
import { idIn, kindIn } from '../../http/params'
import { route } from '../../http/route'
import { incoming } from '../../records/incoming'
import { save } from '../../records/store'

export default route(async (event) => {
  const kind = kindIn(event)
  return save(database(), kind, incoming(kind, await jsonBody(event), idIn(event)))
})
