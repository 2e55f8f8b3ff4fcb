// Runs the command line.
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { bundleOfCommandLine } from './lib/bundle.mjs'
import { root } from './lib/root.mjs'

await import(pathToFileURL(join(await bundleOfCommandLine(root), 'main.js')).href)
