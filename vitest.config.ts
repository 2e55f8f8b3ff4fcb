import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const core = fileURLToPath(new URL('./core', import.meta.url))
const decorators = { experimentalDecorators: true, useDefineForClassFields: false }

export default defineConfig({
  resolve: { alias: { '#core': core } },
  esbuild: { tsconfigRaw: { compilerOptions: decorators } },
  test: {
    // a file for each processor: by itself Vitest leaves one idle
    maxWorkers: availableParallelism(),
    projects: [
      {
        extends: true,
        test: {
          name: 'unit',
          include: ['core/**/*.test.ts', 'tests/core/**/*.test.ts', 'tests/app/**/*.test.ts'],
          exclude: ['**/*.mocked.test.ts'],
          // the core keeps no state: read once for all files, it takes a third of the time
          isolate: false,
          // searches without a clock take what the machine takes, a busy one four times as long: no test is one of speed
          testTimeout: 180_000,
        },
      },
      {
        extends: true,
        test: {
          // what puts something else in the place of a module has that to itself
          name: 'mocked',
          include: ['tests/core/**/*.mocked.test.ts'],
          testTimeout: 180_000,
        },
      },
      {
        extends: true,
        test: {
          name: 'server',
          include: ['tests/server/**/*.test.ts'],
          globalSetup: ['tests/server/database.setup.ts'],
          fileParallelism: false,
          testTimeout: 60_000,
          hookTimeout: 60000,
        },
      },
    ],
    benchmark: { include: ['tests/bench/**/*.bench.ts'] },
  },
})
