import { readFile, writeFile, mkdir } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { join } from 'node:path'
import { design } from '#core/choose/design'
import { filesOf } from '#core/exchange/file-names'
import { fileChoice, makeFile, NoSuchFile } from '#core/exchange/files'
import { fileMeans, readFaces, type Faces } from '../server/files/means'
import { fail, option } from './input'
import { projectFile } from './project-file'

/** The faces from the font's own package. */
const faces = (): Promise<Faces> =>
  readFaces((file) => readFile(createRequire(import.meta.url).resolve(`@fontsource/source-sans-3/files/${file}`)))

/**
 * `export FILE --holder ID [--as NAME] [--paper P] [--measured MM] [--to FOLDER]`: writes one file of a holder, or all.
 * @returns the exit code
 */
export async function exportCommand(args: string[]): Promise<number> {
  const rest = [...args]
  const names = ['holder', 'as', 'paper', 'measured', 'to'] as const
  const asked = Object.fromEntries(names.map((n) => [n, option(rest, n)])) as Record<(typeof names)[number], string | null | undefined> // prettier-ignore
  const empty = names.find((n) => asked[n] === null)
  if (empty) return fail(`--${empty} wants a value.`)
  const [file, ...more] = rest
  if (file === undefined) return fail('Which file? export FILE --holder ID, or - for standard input.')
  if (more.length > 0) return fail(`Not understood: ${more.join(' ')}`)
  const project = await projectFile(file)
  if (typeof project === 'number') return project
  const { shop, tools, holders } = project
  const holder = asked.holder === undefined && holders.length === 1 ? holders[0] : holders.find((h) => h.id === asked.holder) // prettier-ignore
  if (!holder) return fail(`Which holder? --holder is one of ${holders.map((h) => h.id).join(', ') || 'none in this file'}.`) // prettier-ignore
  const worked = design({ shop, tools: new Map(tools.map((t) => [t.id, t])), holder })
  try {
    const choice = fileChoice({ ...(asked.paper ? { paper: asked.paper } : {}), ...(asked.measured ? { measured: asked.measured } : {}) }) // prettier-ignore
    const wanted = asked.as ? [asked.as] : worked.model ? filesOf(worked.model) : []
    if (!worked.model) throw new NoSuchFile('There is nothing to draw yet: `plan` says what is missing.')
    const folder = asked.to ?? '.'
    await mkdir(folder, { recursive: true })
    const means = fileMeans(await faces())
    for (const name of wanted) {
      const made = await makeFile(name, worked, choice, means).catch((error: unknown) => {
        // of all files, the one there is nothing for is left out
        if (error instanceof NoSuchFile && !asked.as) return null
        throw error
      })
      if (!made) continue
      await writeFile(join(folder, made.name), made.content)
      process.stdout.write(`${join(folder, made.name)}\n`)
    }
    return 0
  } catch (error) {
    if (error instanceof NoSuchFile) return fail(error.message)
    throw error
  }
}
