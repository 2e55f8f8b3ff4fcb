import { worstOf } from '#core/checks/verdict'
import { design } from '#core/choose/design'
import { planFile } from '#core/exchange/plan-file'
import { readProject } from '#core/exchange/project/read'
import { jsonText } from '../http/body'
import { invalid } from '../http/problem'
import { route } from '../http/route'

/** Plans every holder of a project file that is sent, and keeps nothing. */
export default route(async (event) => {
  const project = readProject(await jsonText(event))
  if (!project.ok) throw invalid(project.problems.map((p) => ({ field: p.path, message: p.message })))
  const { shop, tools, holders } = project.value
  const byId = new Map(tools.map((t) => [t.id, t]))
  const plans = holders.map((holder) => {
    const d = design({ shop, tools: byId, holder })
    return planFile(d, worstOf(d.verdicts))
  })
  return { format: 'fingerling-plan', formatVersion: 1, plans }
})
