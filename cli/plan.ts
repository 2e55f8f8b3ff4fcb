import { worstOf } from '#core/checks/verdict'
import { design } from '#core/choose/design'
import { planFile } from '#core/exchange/plan-file'
import { fail, option } from './input'
import { projectFile } from './project-file'

/** `plan FILE [--holder ID]`: prints the plans as JSON. @returns the exit code */
export async function planCommand(args: string[]): Promise<number> {
  const rest = [...args]
  const only = option(rest, 'holder')
  if (only === null) return fail('--holder wants the id of a holder.')
  const [file, ...more] = rest
  if (file === undefined) return fail('Which file? plan FILE, or plan - for standard input.')
  if (more.length > 0) return fail(`Not understood: ${more.join(' ')}`)

  const project = await projectFile(file)
  if (typeof project === 'number') return project
  const { shop, tools, holders } = project
  const asked = only === undefined ? holders : holders.filter((h) => h.id === only)
  if (asked.length === 0)
    return fail(only === undefined ? 'There is no holder in this file.' : `No holder has the id ${only}.`)
  const byId = new Map(tools.map((t) => [t.id, t]))
  const plans = asked.map((holder) => {
    const d = design({ shop, tools: byId, holder })
    return planFile(d, worstOf(d.verdicts))
  })
  process.stdout.write(`${JSON.stringify({ format: 'fingerling-plan', formatVersion: 1, plans }, null, 2)}\n`)
  return 0
}
