import { database } from '../../database/connection'
import { idIn, kindIn, versionIn } from '../../http/params'
import { route } from '../../http/route'
import { remove } from '../../records/store'

export default route((event) => remove(database(), kindIn(event), idIn(event), versionIn(event)))
