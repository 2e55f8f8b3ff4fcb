import { checkAgainst, type Checked } from './problems'
import { filledIn, ProjectDto } from './project.dto'
import { quoted } from '../../units/result'

/**
 * Reads a project file.
 * @param text JSON; docs/formats/project.md describes it
 * @returns the project with everything that was left out filled in, or what is wrong and where
 */
export function readProject(text: string): Checked<ProjectDto> {
  let data: unknown
  try {
    data = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch (error) {
    const found = /\b(NaN|-?Infinity|undefined)\b/.exec(text)?.[0]
    const message = found
      ? `JSON has no ${quoted(found)}; leave the figure out.`
      : `this is no JSON: ${(error as Error).message}`
    return { ok: false, problems: [{ path: '', message }] }
  }
  return checkAgainst(ProjectDto, filledIn(data))
}
