import { allKinds } from '#core/footprint/kinds'
import type { FieldDeclaration, Kind } from '#core/footprint/kind'
import { LISTS, listKeys, type Column } from '#core/shop/lists'

const table = (head: string[], rows: string[][]): string[] => [
  `| ${head.join(' | ')} |`,
  `| ${head.map(() => '---').join(' | ')} |`,
  ...rows.map((r) => `| ${r.join(' | ')} |`),
]

const field = (f: FieldDeclaration): string[] => [
  `\`${f.key}\``,
  f.label,
  `${f.hold}${f.optional ? ` ${f.optional}` : ''}`,
  `${f.sane[0]} to ${f.sane[1]}`,
]

function kind(k: Kind): string[] {
  const more = [
    k.profile ? `\`profile\`: ${k.profile.label.toLowerCase()}, heights from ${k.profile.from}.` : '',
    k.outline ? `\`outline\`: ${k.outline}.` : '',
    k.battery ? 'May have `massWithBattery`.' : '',
  ].filter(Boolean)
  return [
    `## ${k.name}: \`${k.id}\``,
    '',
    `For ${k.covers.join(', ')}.`,
    '',
    ...table(['figure', 'on the card', 'how it is measured', 'commonly, mm'], k.fields.map(field)),
    '',
    ...k.options.map(
      (o) => `- \`${o.key}\`, ${o.label.toLowerCase()}: ${o.values.map((v) => `\`${v.value}\``).join(', ')}`,
    ),
    ...(more.length > 0 ? ['', more.join(' ')] : []),
    '',
  ]
}

/** The page that lists every kind of tool with its figures. */
export const kindsPage = (): string =>
  [
    '# Kinds of tool',
    '',
    'Written from the declarations in `core/footprint/kinds` by `npm run docs`. Lengths are mm. The first value of a choice is',
    'taken where none is given.',
    '',
    ...allKinds.flatMap(kind),
  ].join('\n')

const holds = (c: Column): string => {
  if (c.type === 'option') return c.values.map((v) => `\`${v}\``).join(', ')
  if (c.type === 'flag') return 'true or false'
  if (c.type === 'material') return 'name of a material'
  if (!('min' in c)) return 'text'
  const unit = { length: ' mm', angle: '°', mass: ' kg', force: ' N', number: '' }[c.type]
  return `${c.min} to ${c.max}${unit}${c.empty === undefined ? '' : `, or null: ${c.empty}`}`
}

/** The page that lists what a shop has. */
export const shopListsPage = (): string =>
  [
    '# What a shop has',
    '',
    'Written from the declarations in `core/shop/lists.ts` by `npm run docs`. Each row has an `id` besides these; what is left',
    'out is as usual.',
    '',
    ...listKeys.flatMap((key) => [
      `## ${LISTS[key].title}: \`${key}\``,
      '',
      LISTS[key].about,
      '',
      ...table(
        ['column', 'on the page', 'holds'],
        (LISTS[key].columns as readonly Column[]).map((c) => [`\`${c.key}\``, c.label, holds(c)]),
      ),
      '',
    ]),
  ].join('\n')
