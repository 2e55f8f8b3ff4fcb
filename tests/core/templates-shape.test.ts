import { expect, it } from 'vitest'
import { design } from '#core/choose/design'
import { templatePages } from '#core/exchange/pdf/templates'
import { plainTool, type Tool } from '#core/footprint/tool'
import { usualShop } from '#core/shop/usual'

const ring = (id: string, thickness: number): Tool => ({
  ...plainTool(id, 'ring', `Ring ${id}`),
  sure: 'caliper',
  measures: { outerDiameter: 120, holeDiameter: 60, thickness },
})

/** The boards of which templates are printed for hooks of rings so thick, mm. */
function templatesFor(thick: readonly number[]): string[] {
  const shop = usualShop()
  const tools = thick.map((t, i) => ring(`r${i}`, t))
  const seats = tools.map((t) => ({ id: `s-${t.id}`, tool: t.id, turn: 0 as const }))
  const holder = { id: 'h', name: 'Hooks', form: 'hook', seats, choices: {} }
  const { model } = design({ shop, tools: new Map(tools.map((t) => [t.id, t])), holder })
  const pages = templatePages(model!, shop, { paper: 'A4', measured: 100 })
  const titles = pages.flatMap((p) => p.ink.flatMap((i) => (i.kind === 'text' && i.text.startsWith('Hooks: ') ? [i.text.slice(7)] : []))) // prettier-ignore
  return [...new Set(titles)]
}

it('templates are there for what is only sawn to a shape, one of each', () => {
  // the back is screwed through; of three hooks two are alike
  expect(templatesFor([12])).toEqual(['Back', 'Hook 1'])
  expect(templatesFor([12, 12, 16])).toEqual(['Back', 'Hook 1', 'Hook 3'])
})
