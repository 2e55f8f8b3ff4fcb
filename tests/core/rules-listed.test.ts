import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { design } from '#core/choose/design'
import { allForms } from '#core/forms/all-forms'
import { usualShop } from '#core/shop/usual'
import { wallDesign } from '#core/wall/backing/wall-model'
import { newWall } from '#core/wall/wall'
import { likelyHolder } from './likely-holder'

const page = readFileSync(new URL('../../docs/rules.md', import.meta.url), 'utf8')
const listed = new Set(page.split('\n').flatMap((line) => (line.startsWith('## ') ? line.slice(3) : [])))

it('lists every rule that a figure of a holder or a wall names', () => {
  const holders = allForms.flatMap((form) =>
    fc.sample(likelyHolder(form), { numRuns: 6, seed: 2 }).flatMap((input) =>
      ['screwed', 'strip', 'clip'].map((hung) => {
        const choices = { ...input.holder.choices, hung, lock: 'slat' }
        return design({ ...input, holder: { ...input.holder, choices } }).working
      }),
    ),
  )
  const walls = [wallDesign({ ...newWall('w', 'mm'), holds: 'strips' }, usualShop()).working]
  const named = new Set([...holders, ...walls].flat().flatMap(({ origin }) => (origin.kind === 'derived' ? [origin.rule.id] : []))) // prettier-ignore
  expect(named.size).toBeGreaterThan(100)
  expect([...named].filter((id) => !listed.has(id))).toEqual([])
})
