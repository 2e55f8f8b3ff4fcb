import type { ProjectDto } from '#core/exchange/project/project.dto'
import { readProject } from '#core/exchange/project/read'
import { fail, input, named } from './input'

/** A project from a file, or `-` for standard input; the exit code where it can't be used, said on standard error. */
export async function projectFile(file: string): Promise<ProjectDto | number> {
  let content: string
  try {
    content = (await input(file)).toString('utf8')
  } catch (error) {
    return fail(`Can’t read ${file}: ${(error as Error).message}`)
  }
  const project = readProject(content)
  if (project.ok) return project.value
  const problems = project.problems.map((p) => `  ${p.path || 'the file'}: ${p.message}`)
  return fail([`${named(file)} can’t be used:`, ...problems].join('\n'))
}
