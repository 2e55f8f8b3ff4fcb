// Writes the documents that follow from the code: the schema of a project file, the kinds of tool, the
// lists of a shop, and the rules with an example of each.
import { mkdirSync, readdirSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { projectSchema } from '#core/exchange/project/schema'
import type { Rule } from '#core/working/figure'
import { kindsPage, shopListsPage } from './kinds-page'
import { rulesPage } from './rules-page'

const root = join(dirname(fileURLToPath(import.meta.url)), '..')

/** Every rule of the core, in the order of its folders. */
async function allRules(): Promise<Rule[]> {
  const files = readdirSync(join(root, 'core'), { recursive: true, encoding: 'utf8' })
  const found: Rule[] = []
  for (const file of files.filter((f) => /(^|\/)rules\.ts$/.test(f)).sort()) {
    const module = (await import(pathToFileURL(join(root, 'core', file)).href)) as Record<string, Rule>
    found.push(...Object.values(module))
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
