// Lets Node run the command line as it is written, when given as `--import`: one process, ready in half the time that a program
// which starts another takes. Processes that it forks are given the same.
import { join } from 'node:path'
import { register } from 'tsx/esm/api'
import { writeRegistry } from './registry.mjs'
import { root } from './root.mjs'

writeRegistry(root)
register({ tsconfig: join(root, 'tsconfig.cli.json') })
