import { database } from '../../database/connection'
import { kindIn } from '../../http/params'
import { route } from '../../http/route'
import { list } from '../../records/store'

export default route((event) => {
  const { shop } = getQuery(event)
  return list(database(), kindIn(event), typeof shop === 'string' ? shop : undefined)
})
