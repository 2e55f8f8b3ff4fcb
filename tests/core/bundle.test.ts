import { execFileSync } from 'node:child_process'
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  utimesSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { bundleOfCommandLine } from '../../scripts/lib/bundle.mjs'

describe('the command line, bundled', () => {
  let house = ''
  const put = (path: string, text: string): void => {
    mkdirSync(dirname(join(house, path)), { recursive: true })
    writeFileSync(join(house, path), text)
  }
  const ran = (folder: string): string => execFileSync('node', [join(folder, 'main.js')], { encoding: 'utf8' })

  beforeEach(() => {
    house = mkdtempSync(join(tmpdir(), 'fingerling-bundle-'))
    put('package.json', '{"type":"module"}')
    put('tsconfig.cli.json', '{"compilerOptions":{"paths":{"#core/*":["./core/*"]}}}')
    put('scripts/lib/bundle.mjs', '')
    put('core/forms/peg/index.ts', '')
    put('core/footprint/kinds/case.ts', '')
    put('core/saw.ts', 'export const saw = (n: number): string => [n].map((k) => `sawn ${k}`).join()')
    put('cli/main.ts', "const cut = await import('./cut')\nconsole.log(cut.cut(3))")
    put('cli/cut.ts', "import { saw } from '#core/saw'\nexport const cut = saw")
    put('cli/search-beside-process.ts', "import { saw } from '#core/saw'\nconsole.log(saw(4))")
  })
  afterEach(() => rmSync(house, { recursive: true, force: true }))

  it('runs, with what it is asked for in files of its own and no function’s name kept for it', async () => {
    const folder = await bundleOfCommandLine(house)
    expect(ran(folder)).toBe('sawn 3\n')
    const files = readdirSync(folder)
    expect(files).toEqual(expect.arrayContaining(['main.js', 'search-beside-process.js']))
    expect(readFileSync(join(folder, 'main.js'), 'utf8')).not.toContain('sawn')
    for (const file of files) expect(readFileSync(join(folder, file), 'utf8')).not.toContain('__name')
  })

  it('is made anew when a source changes, and only then', async () => {
    const folder = await bundleOfCommandLine(house)
    expect(await bundleOfCommandLine(house)).toBe(folder)
    put('core/saw.ts', 'export const saw = (n: number): string => `cut ${n} off`')
    const then = await bundleOfCommandLine(house)
    expect(then).not.toBe(folder)
    expect(ran(then)).toBe('cut 3 off\n')
    // who runs the one before may yet load more of it
    expect(existsSync(folder)).toBe(true)
  })

  it('is none of a source that can’t be read, and one when that is mended', async () => {
    put('core/saw.ts', 'export const saw = (')
    await expect(bundleOfCommandLine(house)).rejects.toThrow('core/saw.ts')
    put('core/saw.ts', 'export const saw = (): string => `mended`')
    expect(ran(await bundleOfCommandLine(house))).toBe('mended\n')
  })

  it('is made by two at once, and those of long ago are thrown away', async () => {
    const old = await bundleOfCommandLine(house)
    utimesSync(old, 0, 0)
    put('core/saw.ts', 'export const saw = (n: number): string => `${n} times`')
    const [one, other] = await Promise.all([bundleOfCommandLine(house), bundleOfCommandLine(house)])
    expect(one).toBe(other)
    expect(ran(one)).toBe('3 times\n')
    expect(readdirSync(dirname(one))).toHaveLength(1)
  })
})
