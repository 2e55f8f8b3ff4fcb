import { database } from '../../database/connection'
import { idIn, kindIn } from '../../http/params'
import { route } from '../../http/route'
import { read } from '../../records/store'

export default route((event) => read(database(), kindIn(event), idIn(event)))
