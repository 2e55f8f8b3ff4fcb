import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { execFileSync } from 'node:child_process'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ESLint } from 'eslint'
import { describe, expect, it } from 'vitest'

const root = fileURLToPath(new URL('../..', import.meta.url))
const eslint = new ESLint({ cwd: root })

/** What the linter says of a text, were it the file at `path`. */
async function lint(path: string, text: string): Promise<string[]> {
  const [result] = await eslint.lintText(text, { filePath: join(root, path) })
  return result!.messages.map((m) => m.ruleId ?? m.message)
}

describe('the arrows of the house', () => {
  it.each([
    ['core/fit/x.ts', "import { ref } from 'vue'\nexport const a = ref"],
    ['core/fit/x.ts', "import { readFileSync } from 'node:fs'\nexport const a = readFileSync"],
    ['core/fit/x.ts', "import { x } from '../../app/stores/records'\nexport const a = x"],
    ['core/fit/x.ts', "import { x } from '#core/checks/web'\nexport const a = x"],
    ['core/fit/x.ts', "import { x } from '../checks/web'\nexport const a = x"],
    ['core/units/x.ts', "export { x } from '../geometry/outline'"],
    ['core/forms/spoon/x.ts', "import type { x } from '../../drawing/view'\nexport type A = x"],
    ['core/fit/x.ts', "export const a = () => import('../checks/web')"],
    ['core/fit/x.ts', 'export const a = document.title'],
    ['core/fit/x.ts', 'export const a = process.env'],
    ['app/stores/x.ts', "import { x } from '../../server/records/store'\nexport const a = x"],
    ['server/http/x.ts', "import { ref } from 'vue'\nexport const a = ref"],
    ['cli/x.ts', "import { x } from '../app/stores/records'\nexport const a = x"],
  ])('forbid in %s: %s', async (path, text) => {
    expect((await lint(path, text)).some((rule) => rule.startsWith('no-restricted'))).toBe(true)
  })

  it.each([
    ['core/checks/x.ts', "import { x } from '../fit/bore'\nexport const a = x"],
    ['core/forms/spoon/x.ts', "import { x } from '../../fit/bore'\nexport const a = x"],
    ['app/stores/x.ts', "import { x } from '#core/checks/web'\nexport const a = x"],
    ['server/http/x.ts', "import { x } from '#core/checks/web'\nexport const a = x"],
  ])('allow in %s: %s', async (path, text) => {
    expect((await lint(path, text)).filter((rule) => rule.startsWith('no-restricted'))).toEqual([])
  })
})

/** The files of the house that are loaded with one, itself too: what is imported as a type only, or when it is asked for, is not. */
function loadedWith(file: string, found = new Set<string>()): Set<string> {
  if (found.has(file)) return found
  found.add(file)
  const text = readFileSync(join(root, file), 'utf8')
  for (const [, from] of text.matchAll(/^(?:import|export) (?!type )[^;'"]*?from '([.#][^']+)'/gm)) {
    const path = from!.startsWith('#core/') ? from!.replace('#core', 'core') : join(dirname(file), from!)
    loadedWith(existsSync(join(root, `${path}.ts`)) ? `${path}.ts` : `${path}/index.ts`, found)
  }
  return found
}

it('cuts from the command line without loading what else it can do: that takes time which is cutting’s', () => {
  expect([...loadedWith('cli/main.ts')]).toEqual(['cli/main.ts'])
  const loaded = [...loadedWith('cli/cut.ts'), ...loadedWith('cli/search-beside-process.ts')]
  expect(loaded).toContain('core/cutting/two-d/solve.ts')
  expect(loaded.filter((file) => !/^(cli|core\/(cutting|units|geometry))\//.test(file))).toEqual([])
})

it('finds a new form of holder by its folder alone, and a new kind of tool by its file', () => {
  const house = mkdtempSync(join(tmpdir(), 'fingerling-registry-'))
  const put = (path: string) => {
    mkdirSync(dirname(join(house, path)), { recursive: true })
    writeFileSync(join(house, path), '')
  }
  try {
    put('core/forms/roll-hanger/index.ts')
    put('core/footprint/kinds/case.ts')
    put('core/footprint/kinds/case.test.ts')
    execFileSync('node', ['scripts/registry.mjs', house], { cwd: root })
    const forms = readFileSync(join(house, 'core/forms/registry.ts'), 'utf8')
    expect(forms).toContain("import { form as formRollHanger } from './roll-hanger'")
    const kinds = readFileSync(join(house, 'core/footprint/registry.ts'), 'utf8')
    expect(kinds).toContain("import { kind as kindCase } from './kinds/case'")
    expect(kinds).toContain('readonly Kind[] = [kindCase]')
  } finally {
    rmSync(house, { recursive: true, force: true })
  }
})

it('names no form of holder outside its folder and its tests, the screens’ first choice aside', () => {
  const sources = readdirSync(join(root, 'core'), { recursive: true, encoding: 'utf8' })
    .filter((f) => f.endsWith('.ts') && !f.endsWith('.test.ts') && !/(^|\/)registry\.ts$/.test(f))
    .filter((f) => !f.startsWith('forms/finger-rail/'))
  for (const file of sources) {
    expect(readFileSync(join(root, 'core', file), 'utf8'), file).not.toMatch(/finger-rail|fingerRail/)
  }
  expect(existsSync(join(root, 'core/forms/finger-rail/index.ts'))).toBe(true)
})
