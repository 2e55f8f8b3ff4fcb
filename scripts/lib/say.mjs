// What the start says, a line a step.
export const say = (text) => console.log(`· ${text}`)

export class Trouble extends Error {}

/** Ends with a plain sentence for what we know how to say, with a stack for what we don't. */
export function giveUp(error) {
  console.error(error instanceof Trouble ? `\n${error.message}\n` : error)
  process.exitCode = 1
}
