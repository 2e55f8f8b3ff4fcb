export type Command = (args: string[]) => Promise<number>

/** Each is loaded when it is asked for: all of them take seconds, and cutting is given its time by the clock. */
const commands: Readonly<Record<string, () => Promise<Command>>> = {
  plan: async () => (await import('./plan')).planCommand,
  tools: async () => (await import('./tools')).toolsCommand,
  cut: async () => (await import('./cut')).cutCommand,
  export: async () => (await import('./export')).exportCommand,
}

const USAGE = `Fingerling on the command line

  plan FILE [--holder ID]   read a project file (- for standard input) and print the plan of each holder as JSON
  tools FILE [options]      read a list of tools, CSV or JSON, and print it
      --as json|csv         what it is printed as (json)
      --unit mm|in          what figures without a unit are, and what CSV is printed in (mm)
      --kind KIND           kind of the tools that don't say theirs

  cut FILE [options]        read what is to be cut from what, as JSON, and print a plan of cutting
      --seconds S           how long it is searched at most (10)
      --seed N              where the search starts (1)

  export FILE [options]     write files of one holder of a project: templates, dossier, DXF, SVG, meshes, CSV
      --holder ID           which holder
      --as NAME             one file, such as templates.pdf or rail.dxf (all of them)
      --paper A4|A3|Letter  paper of the templates and the dossier (A4)
      --measured MM         what the 100 mm check bar measures on a page from your printer (100)
      --to FOLDER           where they go (here)

The files are described in docs/formats/project.md, docs/formats/tools.md and docs/formats/cutting.md and docs/formats/files.md. Lengths are millimetres.
`

/** Ends with 0, or with 2 and a message on standard error when what came in can't be used. */
async function main(args: string[]): Promise<number> {
  const [command, ...rest] = args
  const load = command !== undefined && Object.hasOwn(commands, command) ? commands[command] : undefined
  if (load) return (await load())(rest)
  const asked = command === undefined || command === 'help' || command === '--help'
  ;(asked ? process.stdout : process.stderr).write(asked ? USAGE : `There is no command ${command}.\n\n${USAGE}`)
  return asked ? 0 : 2
}

// Who reads what is printed may have seen enough, as `head` has: that is no fault of anybody
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error
  process.exit(0)
})

process.exitCode = await main(process.argv.slice(2))
