// Writes the documents that follow from the code: the schema of a project file, the kinds of tool, the
// lists of a shop, and the rules with an example of each.
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { projectSchema } from '#core/exchange/project/schema'
import type { Rule } from '#core/working/figure'
import { kindsPage, shopListsPage } from './kinds-page'
import { rulesPage } from './rules-page'

const root = join(dirname(fileURLToPath(import.meta.url)), '..')

const isRule = (made: unknown): made is Rule =>
  typeof made === 'object' && made !== null && 'id' in made && 'says' in made && 'source' in made

/** Every rule of the core by its id: those of a folder's `rules.ts`, and those that several forms share. */
async function allRules(): Promise<Rule[]> {
  const files = readdirSync(join(root, 'core'), { recursive: true, encoding: 'utf8' })
  const found: Rule[] = []
  const sources = files.filter((f) => f.endsWith('.ts') && !f.endsWith('.test.ts'))
  for (const file of sources.sort()) {
    const path = join(root, 'core', file)
    if (!/^export const \w*[rR]ule\b/m.test(readFileSync(path, 'utf8'))) continue
    const module = (await import(pathToFileURL(path).href)) as Record<string, unknown>
    found.push(...Object.values(module).filter(isRule))
  }
  return found.sort((a, b) => (a.id < b.id ? -1 : 1))
}

/** The documents by their path in the repository. */
export async function documents(): Promise<Record<string, string>> {
  return {
    'docs/formats/project.schema.json': `${JSON.stringify(projectSchema(), null, 2)}\n`,
    'docs/formats/kinds.md': kindsPage(),
    'docs/formats/shop-lists.md': shopListsPage(),
    'docs/rules.md': rulesPage(await allRules()),
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  for (const [path, text] of Object.entries(await documents())) {
    mkdirSync(dirname(join(root, path)), { recursive: true })
    writeFileSync(join(root, path), text)
    console.log(path)
  }
}
