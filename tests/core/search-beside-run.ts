// Runs one of the searches that go on beside a first, to its end, and one that is stopped at once: prints what they come to.
import { readInstance } from '#core/cutting/read-instance'
import { SearchBeside } from '../../cli/search-beside'
import { panels } from './cut-instances'

const read = readInstance(JSON.stringify(panels(1033).instance))
if (!read.ok) throw new Error('unreadable')
const { instance } = read
const asked = { instance, beside: 1, seed: 2, until: Date.now() + 20_000 }
const through = new SearchBeside(asked)
for (let i = 0; i < 150 && !through.plan; i++) await new Promise((resolve) => setTimeout(resolve, 100))
const plan = await through.last()
const stopped = await new SearchBeside(asked).last()
process.stdout.write(JSON.stringify({ plan, stopped }))
