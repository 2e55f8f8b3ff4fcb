import prettier from 'eslint-config-prettier'
import withNuxt from './.nuxt/eslint.config.mjs'

/** The folders of the core, each needing only those before it. */
const CORE = [
  'units',
  'geometry',
  'footprint',
  'shop',
  'working',
  'fit',
  'model',
  'forms',
  'drawing',
  'solid',
  'checks',
  'choose',
  'wall',
  'cutting',
  'bench',
  'exchange',
]
/** The core runs in a page, a worker, a server and on the command line, so it knows none of them. */
const OUTSIDE = [
  'vue',
  'vue-router',
  'nuxt',
  'nuxt/*',
  'pinia',
  'vuetify',
  'vuetify/*',
  'h3',
  'knex',
  'mysql2',
  'node:*',
  '#imports',
  '~/*',
  '#app',
]

const laterThan = (folder) => {
  const at = CORE.indexOf(folder)
  return CORE.slice(at + 1)
}

const arrows = CORE.map((folder) => ({
  files: [`core/${folder}/**/*.ts`],
  ignores: ['**/*.test.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          { regex: '^#core(/|$)', message: 'Inside the core, folders are named from where one stands.' },
          { group: OUTSIDE, message: 'The core knows nothing of the page, the server or Node.' },
          {
            group: ['**/app/**', '**/server/**', '**/cli/**', '**/demo/**'],
            message: 'Needs point to the core, never away from it.',
          },
          ...(laterThan(folder).length > 0
            ? [
                {
                  regex: `^(\\.\\./)+(${laterThan(folder).join('|')})(/|$)`,
                  message: `core/${folder} comes before this folder in the house.`,
                },
              ]
            : []),
        ],
      },
    ],
    'no-restricted-syntax': [
      'error',
      { selector: 'ImportExpression', message: 'The core loads nothing by itself: what is heavy is handed in.' },
    ],
    'no-restricted-globals': [
      'error',
      'window',
      'document',
      'localStorage',
      'navigator',
      'process',
      'Buffer',
      'fetch',
      'require',
      '__dirname',
    ],
  },
}))

export default withNuxt(
  ...arrows,
  {
    files: ['app/**/*.{ts,vue}'],
    rules: { 'no-restricted-imports': ['error', { patterns: ['**/server/**', '**/cli/**'] }] },
  },
  {
    files: ['server/**/*.ts', 'cli/**/*.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: ['**/app/**', '~/*', 'vue', 'pinia', 'vuetify'] }] },
  },
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
      '@typescript-eslint/no-explicit-any': 'error',
    },
  },
  prettier,
)
