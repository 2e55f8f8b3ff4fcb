import { design } from '#core/choose/design'
import { fileChoice, makeFile, NoSuchFile } from '#core/exchange/files'
import { invalid, notFound } from '../../../../http/problem'
import { idIn, kindIn } from '../../../../http/params'
import { route } from '../../../../http/route'
import { facesHere } from '../../../../files/faces'
import { fileMeans } from '../../../../files/means'
import { planInput } from '../../../../files/plan-input'

/** One file of a holder: `/api/holders/ID/files/templates.pdf?paper=A4&measured=99.4`. */
export default route(async (event) => {
  if (kindIn(event) !== 'holders') throw notFound('What was asked for')
  const name = getRouterParam(event, 'name', { decode: true }) ?? ''
  const worked = design(await planInput(idIn(event)))
  try {
    const file = await makeFile(name, worked, fileChoice(getQuery(event)), fileMeans(await facesHere()))
    setResponseHeader(event, 'content-type', file.type)
    setResponseHeader(event, 'content-disposition', `attachment; filename="${file.name}"`)
    return typeof file.content === 'string' ? file.content : Buffer.from(file.content)
  } catch (error) {
    if (!(error instanceof NoSuchFile)) throw error
    if (error.message.startsWith('There is no file')) throw notFound(`${name.slice(0, 60)}`)
    throw invalid([{ field: '', message: error.message }])
  }
})
