import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { design } from '#core/choose/design'
import { canBeTried, filesOf } from '#core/exchange/file-names'
import { makeFile, NoSuchFile } from '#core/exchange/files'
import { allForms } from '#core/forms/all-forms'
import { fileMeans, readFaces } from '../../server/files/means'
import { oddShop } from './any-shop'
import { likelyHolder } from './likely-holder'

const faces = await readFaces((file) =>
  readFile(createRequire(import.meta.url).resolve(`@fontsource/source-sans-3/files/${file}`)),
)
const means = fileMeans(faces)
const A4 = { paper: 'A4', measured: 100 } as const

describe.each(allForms.map((form) => [form.name, form] as const))('a %s of an odd shop', (_, form) => {
  const drawn = fc
    .sample(likelyHolder(form, oddShop), { numRuns: 40, seed: 5 })
    .map((input) => design(input))
    .filter((d) => d.model !== null)
    .slice(0, 1)

  it('can be taken along as every file that is named, each with figures in it', async () => {
    expect(drawn.length).toBeGreaterThan(0)
    for (const d of drawn)
      for (const name of filesOf(d.model!)) {
        const { content } = await makeFile(name, d, A4, means)
        expect(content.length, name).toBeGreaterThan(15)
        if (/\.(csv|svg|dxf|json)$/.test(name)) expect(content.toString(), name).not.toMatch(/NaN|undefined|Infinity/)
      }
  })

  it('has a test piece named just where there is an opening to try', async () => {
    for (const d of drawn) {
      const tried = d.model!.boards.some((b) => b.openings.some(canBeTried))
      expect(filesOf(d.model!).includes('test-piece.pdf')).toBe(tried)
      const made = makeFile('test-piece.pdf', d, A4, means)
      if (tried) await made
      else await expect(made).rejects.toThrow(NoSuchFile)
    }
  })
})
