// Writes the lists of forms of holder and kinds of tool: `npm run registry`.
import { writeRegistry } from './lib/registry.mjs'
import { root } from './lib/root.mjs'

// another folder than the house itself is given by the tests
writeRegistry(process.argv[2] ?? root)
