import { design } from '#core/choose/design'
import { filesOf } from '#core/exchange/file-names'
import { notFound } from '../../../../http/problem'
import { idIn, kindIn } from '../../../../http/params'
import { route } from '../../../../http/route'
import { planInput } from '../../../../files/plan-input'

/** The names of the files that a holder can be taken along as. */
export default route(async (event) => {
  if (kindIn(event) !== 'holders') throw notFound('What was asked for')
  const { model } = design(await planInput(idIn(event)))
  return { files: model ? filesOf(model) : [] }
})
