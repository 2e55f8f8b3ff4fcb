import { fileChoice, NoSuchFile } from '#core/exchange/files'
import { invalid, notFound } from '../../../../http/problem'
import { idIn, kindIn } from '../../../../http/params'
import { route } from '../../../../http/route'
import { facesHere } from '../../../../files/faces'
import { fileMeans } from '../../../../files/means'
import { fileHere } from '../../../../files/worked'

/** One file of a holder or a wall: `/api/holders/ID/files/templates.pdf?paper=A4&measured=99.4`. */
export default route(async (event) => {
  const name = getRouterParam(event, 'name', { decode: true }) ?? ''
  try {
    const means = async () => fileMeans(await facesHere())
    const file = await fileHere(kindIn(event), idIn(event), name, fileChoice(getQuery(event)), means)
    setResponseHeader(event, 'content-type', file.type)
    setResponseHeader(event, 'content-disposition', `attachment; filename="${file.name}"`)
    return typeof file.content === 'string' ? file.content : Buffer.from(file.content)
  } catch (error) {
    if (!(error instanceof NoSuchFile)) throw error
    if (error.message.startsWith('There is no file')) throw notFound(`${name.slice(0, 60)}`)
    throw invalid([{ field: '', message: error.message }])
  }
})
