import { plainTool, type Tool } from '#core/footprint/tool'
import type { PlanInput } from '#core/forms/form'
import { filledRow } from '#core/shop/lists'
import { plainBit, type Shop, type Stock } from '#core/shop/shop'
import { usualShop } from '#core/shop/usual'

/** A headed tool, calipered, with the figures that matter to a rail. */
export function mallet(id: string, handleWidth: number, headWidth: number, more: Partial<Tool> = {}): Tool {
  return {
    ...plainTool(id, 'headed', `Mallet ${id}`),
    sure: 'caliper',
    mass: 0.6,
    ...more,
    measures: { handleWidth, headWidth, headLength: 120, ...more.measures },
  }
}

export function shopWith(more: Partial<Shop> = {}, settings: Partial<Shop['settings']> = {}): Shop {
  const shop = usualShop()
  return {
    ...shop,
    bits: [22, 25, 28, 30, 32, 35, 38].map(plainBit),
    ...more,
    settings: { ...shop.settings, gap: 22, ...settings },
  }
}

/** A kind of board by its thickness alone. */
export const board = (id: string, name: string, material: string, thickness: number): Stock =>
  filledRow('stock', { id, name, material, thickness }) as Stock

/** A finger rail of these tools in this order. */
export function railOf(tools: Tool[], choices: Record<string, string | number> = {}, shop = shopWith()): PlanInput {
  return {
    shop,
    tools: new Map(tools.map((t) => [t.id, t])),
    holder: {
      id: 'h1',
      name: 'Rail',
      form: 'finger-rail',
      seats: tools.map((t, i) => ({ id: `s${i + 1}`, tool: t.id, turn: 0 })),
      choices,
    },
  }
}

/** The three mallets of the worked example. */
export const threeMallets = () => [mallet('t1', 27.5, 62), mallet('t2', 29, 70), mallet('t3', 31.2, 88)]
