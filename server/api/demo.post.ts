import { database } from '../database/connection'
import { resetDemo } from '../demo/seed'
import { route } from '../http/route'

/** Brings the sample shops back: `npm run reset-demo` asks for it. */
export default route(async () => ({ shops: await resetDemo(database()) }))
