import { idIn, kindIn } from '../../../../http/params'
import { route } from '../../../../http/route'
import { filesHere } from '../../../../files/worked'

/** The names of the files that a holder or a wall can be taken along as. */
export default route(async (event) => ({ files: await filesHere(kindIn(event), idIn(event)) }))
