// Writes the lists of forms of holder and kinds of tool from the folders and files that hold them: only a bundler knows globs,
// and the command line and the tests have none.
import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

/**
 * @param {string} root the house
 * @param {{folder: string, under: string, one: string, many: string, type: string, from: string}} list
 */
function write(root, { folder, under, one, many, type, from }) {
  const found = readdirSync(join(root, folder, under), { withFileTypes: true })
    .filter((entry) =>
      entry.isDirectory()
        ? existsSync(join(root, folder, under, entry.name, 'index.ts'))
        : under !== '.' && entry.name.endsWith('.ts') && !entry.name.endsWith('.test.ts'),
    )
    .map((entry) => entry.name.replace(/\.ts$/, ''))
    .sort()
  // the word in front keeps an id such as `case` from being a reserved word
  const name = (id) => `${one}${`-${id}`.replace(/-(\w)/g, (_, c) => c.toUpperCase())}`
  const at = under === '.' ? '.' : `./${under}`
  const text = [
    '// Made by scripts/registry.mjs from the folders beside it. Not edited, not committed.',
    `import type { ${type} } from '${from}'`,
    ...found.map((id) => `import { ${one} as ${name(id)} } from '${at}/${id}'`),
    '',
    `export const ${many}: readonly ${type}[] = [${found.map(name).join(', ')}]`,
    '',
  ].join('\n')
  const path = join(root, folder, 'registry.ts')
  if (!existsSync(path) || readFileSync(path, 'utf8') !== text) writeFileSync(path, text)
}

/** @param {string} root the house */
export function writeRegistry(root) {
  write(root, { folder: 'core/footprint', under: 'kinds', one: 'kind', many: 'kinds', type: 'Kind', from: './kind' })
  write(root, { folder: 'core/forms', under: '.', one: 'form', many: 'forms', type: 'HolderForm', from: './form' })
}
