// Runs a second search beside nothing, and one that is stopped at once: prints what they come to.
import { readInstance } from '#core/cutting/read-instance'
import { SecondSearch } from '../../cli/second-search'
import { panels } from './cut-instances'

const read = readInstance(JSON.stringify(panels(1033).instance))
if (!read.ok) throw new Error('unreadable')
const { instance } = read
const through = new SecondSearch({ instance, seed: 2, seconds: 20 })
for (let i = 0; i < 150 && !through.plan; i++) await new Promise((resolve) => setTimeout(resolve, 100))
const plan = await through.last()
const stopped = await new SecondSearch({ instance, seed: 2, seconds: 20 }).last()
process.stdout.write(JSON.stringify({ plan, stopped }))
