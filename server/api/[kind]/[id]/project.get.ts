import { database } from '../../../database/connection'
import { idIn, kindIn } from '../../../http/params'
import { notFound } from '../../../http/problem'
import { route } from '../../../http/route'
import { exportProject } from '../../../records/projects'

/** A shop with everything in it, as a project file: `/api/shops/ID/project`. */
export default route((event) => {
  if (kindIn(event) !== 'shops') throw notFound('What was asked for')
  return exportProject(database(), idIn(event))
})
