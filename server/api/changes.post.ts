import { database } from '../database/connection'
import { jsonBody } from '../http/body'
import { route } from '../http/route'
import { wantedChanges } from '../records/wanted'
import { changeMany } from '../records/store'

/** Makes many changes in one transaction, each answered by itself. */
export default route(async (event) => {
  const wanted = wantedChanges(await jsonBody(event))
  const by = getRequestHeader(event, 'x-window')?.slice(0, 64) ?? ''
  const outcomes = await changeMany(database(), wanted, by)
  return {
    results: outcomes.map((o) => ('record' in o ? o : { status: o.status, problem: o.problem.toJSON() })),
  }
})
