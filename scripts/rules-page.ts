import { design, finder } from '#core/choose/design'
import type { PlanInput } from '#core/forms/form'
import { plainTool, type Tool } from '#core/footprint/tool'
import { plainBit } from '#core/shop/shop'
import { usualShop } from '#core/shop/usual'
import type { Rule } from '#core/working/figure'
import { formulaInWords, formulaWithNumbers, writeFigure } from '#core/working/text'

const tool = (id: string, width: number, across: number, neck: string): Tool => ({
  ...plainTool(id, 'headed', `Mallet ${id}`),
  measures: { handleWidth: width, handleThickness: 40, headWidth: across, headLength: 120 },
  options: { neck },
  mass: 0.6,
})

/** A file that stands in a bore by its shoulder, and a bit that stands on a floor. */
const file = (id: string, wide: number): Tool => ({
  ...plainTool(id, 'handled-blade', `File ${id}`),
  measures: { handleDiameter: 30, ferruleDiameter: 20, bladeWidth: wide, bladeThickness: 4, bladeLength: 150, overallLength: 270 }, // prettier-ignore
})
const cutter = (id: string, cutting: number): Tool => ({
  ...plainTool(id, 'bit', `Bit ${id}`),
  measures: { shankDiameter: 9.5, shankLength: 62, cuttingDiameter: cutting, overallLength: 90 },
})

/** Blocks that make use of every rule of theirs between them. */
function blocks(): PlanInput[] {
  const tools = [file('a', 12), file('b', 16), cutter('c', 20), cutter('d', 25)]
  const block = (choices: Record<string, string>): PlanInput => ({
    shop: usualShop(),
    tools: new Map(tools.map((t) => [t.id, t])),
    holder: {
      id: 'example',
      name: 'Example',
      form: 'socket-block',
      seats: tools.map((t) => ({ id: t.id, tool: t.id, turn: 0 })),
      choices,
    },
  })
  return [block({ rows: '2', hole: 'blind' }), block({ rows: '2', arrange: 'staggered', bores: 'one' })]
}

/** Rails that make use of every rule of theirs between them. */
function rails(): PlanInput[] {
  const shop = { ...usualShop(), bits: [22, 25, 28, 30, 32, 35, 38].map(plainBit) }
  const tools = [tool('a', 27.5, 62, 'rectangular'), tool('b', 36, 90, 'round')]
  const rail = (choices: Record<string, string>): PlanInput => ({
    shop,
    tools: new Map(tools.map((t) => [t.id, t])),
    holder: {
      id: 'example',
      name: 'Example',
      form: 'finger-rail',
      seats: tools.map((t) => ({ id: t.id, tool: t.id, turn: 0 })),
      choices,
    },
  })
  return [rail({ slots: 'filed' }), rail({ slots: 'jigsawn', pitch: 'even' })]
}

/** A holder of some tools with a form's usual answers, and some others. */
const holderOf = (form: string, tools: Tool[], choices: Record<string, string> = {}): PlanInput => ({
  shop: usualShop(),
  tools: new Map(tools.map((t) => [t.id, t])),
  holder: {
    id: 'example',
    name: 'Example',
    form,
    seats: tools.map((t) => ({ id: t.id, tool: t.id, turn: 0 })),
    choices,
  },
})

/** Saws, mallets on rods and on pins, a ring on a pin, pucks in a chute, planes on a shelf, circular saws on a deck. */
function others(): PlanInput[] {
  const saw = (id: string, plate: number, heel: number): Tool => ({
    ...plainTool(id, 'handsaw', `Saw ${id}`),
    measures: { plateThickness: plate, depthHeel: heel, length: 300, handleThickness: 24 },
    mass: 0.4,
  })
  const ring: Tool = {
    ...plainTool('r', 'ring', 'Ring'),
    measures: { outerDiameter: 120, holeDiameter: 30, thickness: 20 },
    mass: 0.2,
  }
  const puck: Tool = {
    ...plainTool('p', 'ring', 'Puck'),
    measures: { outerDiameter: 66, holeDiameter: 0, thickness: 28 },
    mass: 0.06,
    count: 8,
  }
  const plane = (id: string, wide: number): Tool => ({
    ...plainTool(id, 'plane', `Plane ${id}`),
    measures: { soleLength: 160, soleWidth: wide, height: 60 },
  })
  const circular = (id: string): Tool => ({
    ...plainTool(id, 'base-plate', `Circular saw ${id}`),
    measures: {
      ...{ baseLength: 260, baseWidth: 130, height: 200, cutterBelow: 30, balance: 130, balanceUp: 70 },
      ...{ cutterFromRear: 50, cutterFromSide: 90, guardLength: 130, guardThickness: 14 },
    },
  })
  const mallets = [tool('a', 27.5, 62, 'round'), tool('b', 31, 90, 'round')]
  return [
    holderOf('saw-rest', [saw('a', 0.9, 60), saw('b', 1.1, 110)], { pitch: 'even' }),
    holderOf('twin-rail', mallets, { hung: 'strip' }),
    holderOf('reach-arms', mallets),
    holderOf('peg-rail', [mallets[1]!, ring]),
    holderOf('berth', [plane('a', 42), plane('b', 60)]),
    holderOf('dispenser', [puck]),
    holderOf('lean-deck', [circular('a'), circular('b')]),
    holderOf('lean-deck', [circular('a')], { bears: 'lip' }),
  ]
}

/** One use of each rule, by its id: the figure, the formula in words and in numbers. */
function uses(): Map<string, string> {
  const found = new Map<string, string>()
  for (const input of [...rails(), ...blocks(), ...others()]) {
    const { working } = design(input)
    const find = finder(working)
    for (const f of working) {
      if (f.origin.kind !== 'derived' || found.has(f.origin.rule.id)) continue
      const numbers = formulaWithNumbers(f, find, input.shop)
      found.set(
        f.origin.rule.id,
        `${f.label} = ${formulaInWords(f, find, input.shop)} = ${numbers} = **${writeFigure(f, input.shop)}**`,
      )
    }
  }
  return found
}

/** The page of rules: what each says, who says so, and one use of it. */
export function rulesPage(rules: readonly Rule[]): string {
  const used = uses()
  const lines = rules.flatMap((rule) => [
    `## ${rule.id}`,
    '',
    rule.says,
    '',
    `*${rule.source}.*`,
    '',
    ...(used.has(rule.id) ? [`${used.get(rule.id)}`, ''] : []),
  ])
  return [
    '# The rules',
    '',
    'Every derived figure names one of these rules, and leads back by its formula to measurements and settings.',
    'Made by `npm run docs` from the code; the examples are planned, not written.',
    '',
    ...lines,
  ].join('\n')
}
