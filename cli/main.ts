import { planCommand } from './plan'

const USAGE = `Fingerling on the command line

  plan FILE [--holder ID]   read a project file (- for standard input) and print the plan of each holder as JSON

The file is described in docs/formats/project.md. Lengths are millimetres.
`

/** Ends with 0, or with 2 and a message on standard error when what came in can't be used. */
async function main(args: string[]): Promise<number> {
  const [command, ...rest] = args
  if (command === 'plan') return planCommand(rest)
  const asked = command === undefined || command === 'help' || command === '--help'
  ;(asked ? process.stdout : process.stderr).write(asked ? USAGE : `There is no command ${command}.\n\n${USAGE}`)
  return asked ? 0 : 2
}

process.exitCode = await main(process.argv.slice(2))
