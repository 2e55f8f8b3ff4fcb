import { database } from '../../database/connection'
import { jsonBody } from '../../http/body'
import { kindIn } from '../../http/params'
import { route } from '../../http/route'
import { incoming } from '../../records/incoming'
import { create } from '../../records/store'

export default route(async (event) => {
  const kind = kindIn(event)
  const made = await create(database(), kind, incoming(kind, await jsonBody(event)))
  setResponseStatus(event, 201)
  setResponseHeader(event, 'location', `/api/${kind}/${made.id}`)
  return made
})
