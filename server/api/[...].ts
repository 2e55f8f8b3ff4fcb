import { notFound } from '../http/problem'
import { route } from '../http/route'

export default route(() => {
  throw notFound('What was asked for')
})
